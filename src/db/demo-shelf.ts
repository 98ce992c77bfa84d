import { addDays, format } from 'date-fns';
import { eq } from 'drizzle-orm';
import type { Box, Point } from '@/core/lay';
import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { MovementSort, NotionSort, WasteCause } from '@/core/stock';
import { remnantPrice } from '@/core/stock';
import { schema, type Transaction } from '.';
import { DEMO_MATERIALS, stockOf } from './demo-materials';

// The demo workroom's shelf: bolts, remnants with shapes, notions, eight weeks of movements, prices that changed. All made up.

const read = (text: string, units: Units): Nm => {
  const length = parseLength(text, typingUnit(units));
  if (!length.ok) throw new Error(length.faults[0]!.message);
  return length.value;
};

interface BoltSeed {
  cloth: string;
  lot: string;
  length: string;
  /** The width where it is another than the cloth's. */
  width?: string;
  place: string;
  daysAgo: number;
  /** The price that was paid, where it was another than today's. */
  paid?: number;
  /** From the end, from the left, how long, how wide. */
  flaws?: [string, string, string, string][];
  motif?: [string, string];
}

const BOLTS: BoltSeed[] = [
  { cloth: 'Towpath ticking', lot: 'T41', length: '34 yd', place: 'rack 1', daysAgo: 54, paid: 1380 },
  { cloth: 'Towpath ticking', lot: 'T44', length: '25 yd', place: 'rack 1', daysAgo: 9 },
  {
    cloth: 'Lock-keeper drill',
    lot: '7',
    length: '40 yd',
    place: 'rack 1',
    daysAgo: 50,
    flaws: [['96', '22', '1 1/2', '3']],
  },
  { cloth: 'Heron reed', lot: 'HR-2', length: '22 yd', place: 'rack 2', daysAgo: 41, motif: ['5', '7'] },
  { cloth: 'Heron reed', lot: 'HR-3', length: '9 yd', place: 'rack 2', daysAgo: 12, motif: ['4 1/2', '6'] },
  {
    cloth: 'Winding wheel',
    lot: 'W9',
    length: '18 yd',
    place: 'rack 2',
    daysAgo: 38,
    paid: 2100,
    flaws: [['210', '6', '2', '2 1/4']],
  },
  { cloth: 'Bilge canvas', lot: 'B3', length: '30 yd', place: 'rack 3', daysAgo: 47 },
  { cloth: 'Footlight velvet', lot: 'F12', length: '24 m', place: 'rack 4', daysAgo: 33 },
  { cloth: 'Proscenium diamond', lot: 'P5', length: '11 m', place: 'rack 4', daysAgo: 29, motif: ['8', '11'] },
  {
    cloth: 'Saloon moquette',
    lot: 'M88',
    length: '26 m',
    place: 'rack 5',
    daysAgo: 45,
    flaws: [['640', '30', '6', '4']],
  },
  { cloth: 'Upper-deck vinyl', lot: 'V2', length: '18 m', place: 'rack 5', daysAgo: 52, paid: 1590 },
  { cloth: 'Marionette leaf', lot: 'ML1', length: '7 yd', place: 'rack 3', daysAgo: 20, motif: ['6', '7 1/2'] },
  { cloth: 'Depot lining', lot: '', length: '28 yd', place: 'top shelf', daysAgo: 55 },
];

interface RemnantSeed {
  cloth: string;
  lot: string;
  across: string;
  along: string;
  place: string;
  daysAgo: number;
  outline?: [string, string][];
}

const REMNANTS: RemnantSeed[] = [
  {
    cloth: 'Footlight velvet',
    lot: 'F12',
    across: '70',
    along: '52',
    place: 'drawer 1',
    daysAgo: 26,
    outline: [
      ['0', '0'],
      ['70', '0'],
      ['70', '30'],
      ['38', '30'],
      ['38', '52'],
      ['0', '52'],
    ],
  },
  { cloth: 'Winding wheel', lot: 'W9', across: '26', along: '22', place: 'drawer 1', daysAgo: 19 },
  { cloth: 'Bilge canvas', lot: 'B3', across: '31', along: '40', place: 'drawer 2', daysAgo: 34 },
  { cloth: 'Upper-deck vinyl', lot: 'V1', across: '48', along: '36', place: 'drawer 2', daysAgo: 410 },
  { cloth: 'Lock-keeper drill', lot: '7', across: '24', along: '37 1/2', place: 'drawer 1', daysAgo: 16 },
];

interface NotionSeed {
  name: string;
  sort: NotionSort;
  countedBy: 'length' | 'piece' | 'pack';
  /** Length of a zip, height of a pad; the selling step of what is sold by its length. */
  length?: string;
  width?: string;
  pack?: number;
  price: number;
  per: 'm' | 'yd' | 'piece' | 'pack';
  usualFor: string[];
  supplier: string;
  /** How much is there; nothing where it was never bought. */
  stock?: string | number;
}

const zip = (inches: number, price: number, stock: number): NotionSeed => ({
  name: `Coil zip ${inches} in`,
  sort: 'zip',
  countedBy: 'piece',
  length: String(inches),
  price,
  per: 'piece',
  usualFor: ['zip'],
  supplier: 'Needle & Notch',
  stock,
});

const pad = (wide: number, high: number, price: number, stock: number): NotionSeed => ({
  name: `Feather pad ${wide} × ${high} in`,
  sort: 'pad',
  countedBy: 'piece',
  length: String(high),
  width: String(wide),
  price,
  per: 'piece',
  usualFor: ['pad'],
  supplier: 'Loom Lane Mill',
  stock,
});

const NOTIONS: NotionSeed[] = [
  pad(12, 20, 620, 8),
  pad(16, 16, 590, 22),
  pad(18, 18, 680, 26),
  pad(20, 20, 790, 18),
  pad(22, 22, 930, 10),
  pad(24, 24, 1120, 8),
  pad(26, 26, 1340, 4),
  pad(32, 32, 2150, 3),
  zip(10, 48, 20),
  zip(12, 55, 34),
  zip(14, 60, 41),
  zip(16, 66, 18),
  zip(18, 72, 12),
  zip(20, 79, 9),
  zip(22, 84, 6),
  zip(26, 98, 8),
  zip(30, 115, 4),
  zip(36, 135, 8),
  zip(48, 185, 0),
  {
    name: 'Piping cord 1/4 in',
    sort: 'cord',
    countedBy: 'length',
    length: '1 yd',
    price: 38,
    per: 'yd',
    usualFor: ['piping cord'],
    supplier: 'Needle & Notch',
    stock: '96 yd',
  },
  {
    name: 'Hook-and-loop 20 mm',
    sort: 'hook-and-loop',
    countedBy: 'length',
    length: '1 yd',
    price: 145,
    per: 'yd',
    usualFor: ['hook-and-loop'],
    supplier: 'Needle & Notch',
    stock: '14 yd',
  },
  {
    name: 'Staples 10 mm',
    sort: 'staples',
    countedBy: 'pack',
    pack: 5000,
    price: 640,
    per: 'pack',
    usualFor: ['staples'],
    supplier: 'Capstan Hardware',
    stock: 2,
  },
  {
    name: 'Ring snaps',
    sort: 'snaps',
    countedBy: 'pack',
    pack: 50,
    price: 720,
    per: 'pack',
    usualFor: ['snaps'],
    supplier: 'Needle & Notch',
    stock: 1,
  },
  {
    name: 'Horn button 20 mm',
    sort: 'button',
    countedBy: 'piece',
    price: 85,
    per: 'piece',
    usualFor: ['button'],
    supplier: 'Needle & Notch',
    stock: 24,
  },
  {
    name: 'Elastic cord 3 mm',
    sort: 'cord',
    countedBy: 'length',
    price: 60,
    per: 'yd',
    usualFor: ['cord loop'],
    supplier: 'Needle & Notch',
    stock: '10 yd',
  },
  {
    name: 'Bonded thread, stone',
    sort: 'thread',
    countedBy: 'length',
    length: '1000 yd',
    price: 1,
    per: 'yd',
    usualFor: ['thread'],
    supplier: 'Needle & Notch',
    stock: '7000 yd',
  },
];

const SUPPLIERS: Record<string, string> = {
  'Towpath ticking': 'Loom Lane Mill',
  'Lock-keeper drill': 'Loom Lane Mill',
  'Bilge canvas': 'Loom Lane Mill',
  'Depot lining': 'Loom Lane Mill',
  'Heron reed': 'Print Works at the Weir',
  'Winding wheel': 'Print Works at the Weir',
  'Marionette leaf': 'Print Works at the Weir',
  'Sluice stripe': 'Print Works at the Weir',
  'Footlight velvet': 'Velour & Son',
  'Proscenium diamond': 'Velour & Son',
  'Saloon moquette': 'Velour & Son',
  'Upper-deck vinyl': 'Capstan Hardware',
};

/** Cost settings of the demo workroom. */
export const DEMO_COSTING = {
  hour: '26.00',
  currency: 'GBP',
  usualMinutes: '30',
  minutes: {
    'envelope-cushion': '18',
    'zip-cushion': '25',
    'boxed-cushion': '75',
    'padded-book-cover': '55',
    'own-1': '12',
  },
  overhead: '12',
  markup: '25',
  taxName: 'Sales tax',
  tax: '20',
  shareBy: 'length',
  quoteDays: '30',
  leastAcross: '12',
  leastAlong: '12',
  units: 'in',
};

type ClothRow = typeof schema.cloths.$inferSelect;

/** Puts the shelf into the demo workroom, after its cloths. */
// eslint-disable-next-line max-lines-per-function -- a list of what the demo has, item by item
export async function insertShelf(
  tx: Transaction,
  today: Date,
  cloths: readonly ClothRow[],
  people: readonly number[],
) {
  const named = (name: string) => cloths.find((cloth) => cloth.name === name)!;
  const daysAgo = (days: number) => addDays(today, -days);
  await tx.insert(schema.settings).values({ key: 'reckoning', value: DEMO_COSTING });
  for (const cloth of cloths) {
    if (SUPPLIERS[cloth.name])
      await tx.update(schema.cloths).set({ supplier: SUPPLIERS[cloth.name]! }).where(eq(schema.cloths.id, cloth.id));
    const { priceMinor, currency, pricePer } = cloth;
    const before = BOLTS.find((bolt) => bolt.cloth === cloth.name && bolt.paid !== undefined)?.paid;
    await tx.insert(schema.prices).values([
      {
        clothId: cloth.id,
        since: format(daysAgo(120), 'yyyy-MM-dd'),
        priceMinor: before ?? priceMinor,
        currency,
        pricePer,
      },
      ...(before === undefined
        ? []
        : [{ clothId: cloth.id, since: format(daysAgo(21), 'yyyy-MM-dd'), priceMinor, currency, pricePer }]),
    ]);
  }
  await insertNotions(tx, people, daysAgo(56));
  const ids = new Map<string, number>();
  for (const seed of BOLTS) {
    const cloth = named(seed.cloth);
    const length = read(seed.length, cloth.units);
    const id = await insertItem(tx, cloth, {
      sort: 'bolt',
      lot: seed.lot,
      widthNm: seed.width ? read(seed.width, cloth.units) : cloth.widthNm,
      selvageLeftNm: cloth.selvageLeftNm,
      selvageRightNm: cloth.selvageRightNm,
      lengthNm: length,
      place: seed.place,
      priceMinor: seed.paid ?? cloth.priceMinor,
      receivedAt: daysAgo(seed.daysAgo),
      flaws: (seed.flaws ?? []).map(([along, across, long, wide]): Box => {
        const [y, x, h, w] = [along, across, long, wide].map((text) => read(text, cloth.units)) as [Nm, Nm, Nm, Nm];
        return [x, y, x + w, y + h];
      }),
      ...(seed.motif && {
        motifAcrossNm: read(seed.motif[0], cloth.units),
        motifAlongNm: read(seed.motif[1], cloth.units),
      }),
    });
    ids.set(`${seed.cloth} ${seed.lot}`, id);
    await book(tx, id, people, daysAgo(seed.daysAgo), 'received', length);
  }
  for (const seed of REMNANTS) {
    const cloth = named(seed.cloth);
    const [across, along] = [read(seed.across, cloth.units), read(seed.along, cloth.units)];
    const id = await insertItem(tx, cloth, {
      sort: 'remnant',
      lot: seed.lot,
      widthNm: across,
      lengthNm: along,
      place: seed.place,
      ...remnantPrice(Math.round((along * across) / cloth.widthNm), cloth),
      receivedAt: daysAgo(seed.daysAgo),
      outline:
        seed.outline?.map(([x, y]): Point => [
          x === '0' ? 0 : read(x, cloth.units),
          y === '0' ? 0 : read(y, cloth.units),
        ]) ?? null,
      fromItemId: ids.get(`${seed.cloth} ${seed.lot}`) ?? null,
    });
    await book(tx, id, people, daysAgo(seed.daysAgo), 'received', along, { reason: 'kept after a cut' });
  }
  for (const seed of DEMO_MATERIALS) {
    const material = named(seed.name);
    const amount = stockOf(seed);
    const isSheet = material.sheetLengthNm !== null;
    const id = await insertItem(tx, material, {
      sort: isSheet ? 'sheets' : 'bolt',
      widthNm: material.widthNm,
      lengthNm: isSheet ? material.sheetLengthNm : amount,
      place: seed.place,
      priceMinor: seed.priceMinor,
      receivedAt: daysAgo(23),
    });
    await book(tx, id, people, daysAgo(23), 'received', amount);
  }
  await history(tx, ids, people, daysAgo);
}

type Extra = { reason?: string; cause?: WasteCause };

async function book(
  tx: Transaction,
  itemId: number,
  people: readonly number[],
  at: Date,
  sort: MovementSort,
  quantity: number,
  extra: Extra = {},
) {
  await tx
    .insert(schema.movements)
    .values({ itemId, sort, quantity, at, personId: people[itemId % people.length] ?? null, ...extra });
}

/** History of the bolts before the batches of the demo: cut for orders of last season, counted, moved. */
async function history(
  tx: Transaction,
  ids: ReadonlyMap<string, number>,
  people: readonly number[],
  daysAgo: (days: number) => Date,
) {
  const last = 'for an order of last season';
  const events: [string, number, MovementSort, string, Units, Extra?][] = [
    ['Towpath ticking T41', 44, 'cut', '4 1/4 yd', 'in', { reason: last }],
    ['Towpath ticking T41', 44, 'wasted', '14', 'in', { cause: 'offcut', reason: last }],
    ['Lock-keeper drill 7', 43, 'cut', '3 yd', 'in', { reason: last }],
    ['Lock-keeper drill 7', 43, 'wasted', '9', 'in', { cause: 'selvage', reason: last }],
    ['Winding wheel W9', 30, 'cut', '2 3/4 yd', 'in', { reason: last }],
    ['Winding wheel W9', 30, 'wasted', '16', 'in', { cause: 'pattern', reason: last }],
    ['Winding wheel W9', 30, 'wasted', '4', 'in', { cause: 'flaw', reason: 'an ink spot at the edge' }],
    ['Footlight velvet F12', 27, 'cut', '2.6 m', 'mm', { reason: last }],
    ['Footlight velvet F12', 27, 'wasted', '35', 'mm', { cause: 'offcut', reason: last }],
    ['Saloon moquette M88', 24, 'cut', '3.1 m', 'mm', { reason: last }],
    ['Saloon moquette M88', 24, 'wasted', '22', 'mm', { cause: 'miscut', reason: 'the ruler slipped' }],
    ['Upper-deck vinyl V2', 22, 'counted', '-0.4 m', 'mm', { reason: 'autumn count' }],
    ['Bilge canvas B3', 22, 'counted', '-9', 'in', { reason: 'autumn count' }],
    ['Depot lining ', 15, 'cut', '2 yd', 'in', { reason: last }],
    ['Proscenium diamond P5', 11, 'moved', '0', 'mm', { reason: 'rack 2 → rack 4' }],
  ];
  for (const [name, days, sort, text, units, extra] of events) {
    const quantity = text === '0' ? 0 : text.startsWith('-') ? -read(text.slice(1), units) : read(text, units);
    await book(tx, ids.get(name)!, people, daysAgo(days), sort, quantity, extra);
  }
}

async function insertNotions(tx: Transaction, people: readonly number[], at: Date) {
  for (const seed of NOTIONS) {
    const isZip = seed.sort === 'zip';
    const [row] = await tx
      .insert(schema.materials)
      .values({
        name: seed.name,
        sort: seed.sort,
        countedBy: seed.countedBy,
        packSize: seed.pack ?? 1,
        sellingStepNm: seed.countedBy === 'length' && seed.length ? read(seed.length, 'in') : 0,
        lengthNm: isZip || seed.sort === 'pad' ? read(seed.length!, 'in') : null,
        widthNm: seed.width ? read(seed.width, 'in') : null,
        teeth: isZip ? 'coil' : null,
        supplier: seed.supplier,
        priceMinor: seed.price,
        currency: 'GBP',
        pricePer: seed.per,
        usualFor: seed.usualFor,
      })
      .returning({ id: schema.materials.id });
    await tx.insert(schema.prices).values({
      materialId: row!.id,
      since: format(at, 'yyyy-MM-dd'),
      priceMinor: seed.price,
      currency: 'GBP',
      pricePer: seed.per,
    });
    if (!seed.stock) continue;
    const quantity = typeof seed.stock === 'string' ? read(seed.stock, 'in') : seed.stock * (seed.pack ?? 1);
    const [item] = await tx
      .insert(schema.stockItems)
      .values({
        sort: 'notion',
        materialId: row!.id,
        lengthNm: seed.countedBy === 'length' ? quantity : null,
        place: 'notions cabinet',
        supplier: seed.supplier,
        priceMinor: seed.price,
        currency: 'GBP',
        pricePer: seed.per,
        receivedAt: at,
      })
      .returning({ id: schema.stockItems.id });
    await book(tx, item!.id, people, at, 'received', quantity);
  }
}

async function insertItem(
  tx: Transaction,
  cloth: ClothRow,
  rest: Omit<typeof schema.stockItems.$inferInsert, 'currency' | 'pricePer' | 'clothId'> & { pricePer?: 'whole' },
): Promise<number> {
  const [row] = await tx
    .insert(schema.stockItems)
    .values({
      clothId: cloth.id,
      currency: cloth.currency,
      pricePer: cloth.pricePer,
      supplier: SUPPLIERS[cloth.name] ?? cloth.supplier,
      ...rest,
    })
    .returning({ id: schema.stockItems.id });
  return row!.id;
}
