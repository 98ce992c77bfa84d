import { addDays, format } from 'date-fns';
import { kindById, outlineFromOffsets, type CoverKind } from '@/core/covers';
import { markOf } from '@/core/cutlist';
import { inches, parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import { schema, type Transaction } from '.';
import { CLOTHS } from './demo-cloths';
import { insertMaterials } from './demo-materials';
import { insertShelf } from './demo-shelf';

// The demo workroom: it fits out a canal-boat hire yard, a small puppet theatre, a tram museum and their neighbours.
// Everything here is made up.

const read = (text: string, units: Units): Nm => {
  const length = parseLength(text, typingUnit(units));
  if (!length.ok) throw new Error(length.faults[0]!.message);
  return length.value;
};

const CUSTOMERS = [
  ['Kettle Lock Boat Hire', 'Bosun’s office, by the winding hole'],
  ['Paper Moon Puppet Theatre', 'stage door, afternoons'],
  ['Overhead Wire Tram Museum', 'the depot, ask for the saloon shop'],
  ['Weir Cottage Rooms', ''],
  ['The Lantern Tearoom', 'closed on Tuesdays'],
  ['Wharf End Chandlery', ''],
  ['Old Depot Reading Room', ''],
  ['Number Nine Narrowboat', 'moored at the third bridge'],
] as const;

interface LineSeed {
  kind: string;
  qty: number;
  typed: Record<string, string>;
  choices?: Record<string, string>;
  fit?: 'true' | 'snug' | 'overfull';
  matching?: 'none' | 'alike' | 'centred';
  cloth: Record<string, string>;
  /** Materials that are not bought for it, by role or name. */
  provided?: Record<string, 'supplied' | 'reused'>;
  /** A form that was measured by offsets from a centre line (in): a smooth edge through the stations. */
  offsets?: readonly (readonly [at: number, left: number, right: number])[];
}

interface OrderSeed {
  customer: number;
  due: number;
  units: Units;
  notes?: string;
  batch?: number;
  lines: LineSeed[];
}

const envelope = (
  qty: number,
  width: string,
  height: string,
  cloth: Record<string, string>,
  rest: Partial<LineSeed> = {},
): LineSeed => ({ kind: 'envelope-cushion', qty, cloth, ...rest, typed: { width, height, ...rest.typed } });
const zipped = (
  qty: number,
  width: string,
  height: string,
  cloth: Record<string, string>,
  rest: Partial<LineSeed> = {},
): LineSeed => ({ kind: 'zip-cushion', qty, cloth, ...rest, typed: { width, height, ...rest.typed } });
const boxed = (
  qty: number,
  length: string,
  width: string,
  thickness: string,
  cloth: Record<string, string>,
  rest: Partial<LineSeed> = {},
): LineSeed => ({ kind: 'boxed-cushion', qty, cloth, ...rest, typed: { length, width, thickness, ...rest.typed } });

/** A window seat that narrows towards the glass: distances to the left and to the right of a string, at five places along it (in). */
const WINDOW_SEAT = [
  [0, 14, 14],
  [6, 13.5, 13.5],
  [12, 12, 12.5],
  [18, 10, 10.5],
  [21, 8, 8.5],
] as const;

const ORDERS: OrderSeed[] = [
  {
    customer: 0,
    due: 1,
    units: 'in',
    batch: 0,
    notes: 'Saloon of the “Curlew”',
    lines: [
      boxed(
        4,
        '46',
        '21 1/2',
        '3',
        { face: 'Towpath ticking', welt: 'Lock-keeper drill' },
        { choices: { piping: 'both' }, matching: 'alike' },
      ),
      zipped(6, '17', '17', { face: 'Lock-keeper drill' }),
    ],
  },
  {
    customer: 3,
    due: 2,
    units: 'in',
    batch: 0,
    lines: [envelope(5, '19', '19', { face: 'Towpath ticking' }, { matching: 'alike' })],
  },
  {
    customer: 7,
    due: -1,
    units: 'in',
    batch: 0,
    lines: [boxed(2, '34 1/2', '19', '2 1/2', { face: 'Lock-keeper drill' }, { choices: { piping: 'top' } })],
  },
  {
    customer: 2,
    due: 3,
    units: 'mm',
    batch: 1,
    notes: 'Lower saloon, car 14',
    lines: [
      boxed(
        6,
        '88',
        '43',
        '7',
        { face: 'Saloon moquette', welt: 'Upper-deck vinyl' },
        { choices: { piping: 'top', grain: 'straight' }, matching: 'alike' },
      ),
    ],
  },
  {
    customer: 6,
    due: 5,
    units: 'mm',
    batch: 1,
    lines: [
      zipped(4, '48', '33', { face: 'Saloon moquette' }, { matching: 'centred' }),
      zipped(4, '42', '42', { face: 'Upper-deck vinyl' }, { fit: 'true' }),
    ],
  },
  {
    customer: 2,
    due: 6,
    units: 'mm',
    batch: 1,
    notes: 'Conductor’s perch',
    lines: [boxed(1, '36', '31', '6', { face: 'Upper-deck vinyl' }, { choices: { boxing: 'wrap' } })],
  },
  {
    customer: 1,
    due: 8,
    units: 'in',
    batch: 2,
    notes: 'Front two rows',
    lines: [
      zipped(8, '15 1/2', '15 1/2', { face: 'Heron reed' }, { matching: 'centred' }),
      boxed(
        2,
        '41',
        '14',
        '2',
        { face: 'Heron reed', welt: 'Bilge canvas' },
        { choices: { piping: 'top' }, matching: 'alike' },
      ),
    ],
  },
  {
    customer: 4,
    due: 9,
    units: 'in',
    batch: 2,
    lines: [
      envelope(6, '18', '18', { face: 'Winding wheel' }, { matching: 'centred' }),
      envelope(2, '22', '14', { face: 'Heron reed' }, { matching: 'alike' }),
    ],
  },
  {
    customer: 0,
    due: 11,
    units: 'in',
    batch: 2,
    notes: 'Cratch board seats',
    lines: [
      boxed(3, '28 3/4', '22', '3 1/2', { face: 'Bilge canvas' }),
      zipped(5, '18 1/2', '12 1/2', { face: 'Winding wheel' }, { matching: 'alike' }),
    ],
  },
  {
    customer: 5,
    due: 12,
    units: 'in',
    batch: 3,
    lines: [
      boxed(2, '52', '18 1/2', '4 1/2', { face: 'Bilge canvas' }, { choices: { piping: 'both', grain: 'straight' } }),
    ],
  },
  {
    customer: 7,
    due: 13,
    units: 'in',
    batch: 3,
    lines: [
      envelope(4, '17 1/2', '17 1/2', { face: 'Marionette leaf', back: 'Depot lining' }, { matching: 'centred' }),
    ],
  },
  {
    customer: 1,
    due: 2,
    units: 'mm',
    lines: [
      zipped(12, '38', '38', { face: 'Footlight velvet' }),
      boxed(
        3,
        '105',
        '40',
        '8',
        { face: 'Footlight velvet', welt: 'Proscenium diamond' },
        { choices: { piping: 'both' } },
      ),
    ],
    notes: 'Box seats before the new play',
  },
  {
    customer: 1,
    due: 4,
    units: 'mm',
    lines: [
      envelope(
        6,
        '44',
        '44',
        { face: 'Proscenium diamond' },
        { matching: 'centred', typed: { hem: '3', overlap: '12' } },
      ),
    ],
  },
  {
    customer: 0,
    due: 7,
    units: 'in',
    notes: 'Day boat, both benches',
    lines: [
      boxed(
        2,
        '62 1/2',
        '20 1/2',
        '3',
        { face: 'Towpath ticking', welt: 'Lock-keeper drill' },
        { choices: { piping: 'top' }, matching: 'alike' },
      ),
    ],
  },
  {
    customer: 3,
    due: 10,
    units: 'in',
    lines: [
      envelope(3, '23', '23', { face: 'Winding wheel' }, { matching: 'centred' }),
      zipped(3, '17', '17', { face: 'Lock-keeper drill' }),
    ],
  },
  {
    customer: 4,
    due: 14,
    units: 'in',
    lines: [envelope(10, '15', '15', { face: 'Towpath ticking' }, { matching: 'alike' })],
  },
  {
    customer: 2,
    due: 15,
    units: 'mm',
    notes: 'Upper deck, slatted seats',
    lines: [boxed(8, '92', '39', '5', { face: 'Upper-deck vinyl' })],
  },
  {
    customer: 6,
    due: 17,
    units: 'mm',
    lines: [zipped(6, '46', '46', { face: 'Sluice stripe' }, { matching: 'alike' })],
  },
  { customer: 5, due: 18, units: 'in', lines: [boxed(4, '17 1/2', '17', '2', { face: 'Bilge canvas' })] },
  {
    customer: 7,
    due: 20,
    units: 'in',
    notes: 'Same as last spring',
    lines: [
      zipped(2, '25', '15', { face: 'Marionette leaf' }, { matching: 'alike' }),
      boxed(1, '73', '24 1/2', '4', { face: 'Lock-keeper drill' }, { choices: { piping: 'both' } }),
    ],
  },
  {
    customer: 3,
    due: 22,
    units: 'mm',
    lines: [envelope(4, '52', '52', { face: 'Sluice stripe' }, { matching: 'centred' })],
  },
  {
    customer: 0,
    due: 24,
    units: 'in',
    lines: [zipped(9, '16 3/4', '16 3/4', { face: 'Heron reed' }, { matching: 'alike' })],
  },
  {
    customer: 1,
    due: 27,
    units: 'mm',
    notes: 'Bench in the foyer',
    lines: [
      boxed(
        1,
        '128',
        '44',
        '9',
        { face: 'Proscenium diamond', welt: 'Footlight velvet' },
        { choices: { piping: 'both' }, matching: 'alike' },
      ),
    ],
  },
  {
    customer: 4,
    due: 30,
    units: 'in',
    lines: [
      boxed(
        6,
        '15 1/4',
        '14 3/4',
        '1 1/2',
        { face: 'Towpath ticking' },
        { choices: { piping: 'top', grain: 'straight' }, matching: 'alike' },
      ),
    ],
  },
  {
    customer: 2,
    due: 31,
    units: 'mm',
    notes: 'Saloon of car 22',
    lines: [
      { kind: 'own-1', qty: 16, typed: { width: '33', height: '26', grip: '8' }, cloth: { face: 'Footlight velvet' } },
      {
        kind: 'round-cushion',
        qty: 2,
        typed: { diameter: '41', thickness: '6' },
        choices: { piping: 'both' },
        cloth: { face: 'Saloon moquette', welt: 'Upper-deck vinyl' },
      },
    ],
  },
  {
    customer: 6,
    due: 32,
    units: 'in',
    notes: 'Log books and the reading tablet',
    lines: [
      {
        kind: 'padded-book-cover',
        qty: 3,
        typed: { wrap: '18 3/4', height: '11 1/4' },
        cloth: { face: 'Winding wheel', lining: 'Depot lining' },
      },
      {
        kind: 'device-sleeve',
        qty: 1,
        typed: { width: '7 1/8', length: '9 7/8', depth: '3/8' },
        cloth: { face: 'Bilge canvas' },
      },
      {
        kind: 'hemmed-book-cover',
        qty: 2,
        typed: { wrap: '14 1/2', height: '10', cover: '6 3/4', pocketWidth: '4', pocketHeight: '6' },
        cloth: { face: 'Winding wheel', lining: 'Depot lining' },
      },
      { kind: 'bolster', qty: 2, typed: { diameter: '7', length: '26' }, cloth: { face: 'Towpath ticking' } },
    ],
  },
  {
    customer: 2,
    due: 33,
    units: 'mm',
    lines: [zipped(5, '49', '34', { face: 'Saloon moquette' }, { matching: 'alike' })],
  },
  {
    customer: 3,
    due: 34,
    units: 'in',
    notes: 'Seat of the bay window, measured from a string',
    lines: [
      {
        kind: 'strapped-pad',
        qty: 2,
        typed: { width: '28', depth: '21', thickness: '2 1/2' },
        cloth: { face: 'Bilge canvas' },
        offsets: WINDOW_SEAT,
      },
    ],
  },
  {
    customer: 2,
    due: 35,
    units: 'mm',
    notes: 'Waiting room: bench with six lids, the stool, three seats',
    lines: [
      {
        kind: 'platform-notched',
        qty: 6,
        typed: { length: '86', width: '41', thickness: '7', wrap: '5' },
        cloth: { face: 'Saloon moquette' },
      },
      {
        kind: 'pillow-top-stool',
        qty: 1,
        typed: { length: '52', width: '44', thickness: '9', drop: '31', inset: '6' },
        cloth: { face: 'Saloon moquette', welt: 'Upper-deck vinyl' },
      },
      {
        kind: 'platform-boxed',
        qty: 3,
        typed: { length: '64', width: '38', thickness: '6' },
        choices: { tuftsAcross: '3', tuftsAlong: '2' },
        cloth: { face: 'Upper-deck vinyl' },
        provided: { 'dust cover': 'reused' },
      },
    ],
  },
];

/** Who works in the demo workroom. */
const DEMO_PEOPLE = [
  { name: 'Ada Weir', initials: 'AW', colour: 0 },
  { name: 'Ben Lock', initials: 'BL', colour: 1 },
  { name: 'Cato Towpath', initials: 'CT', colour: 2 },
];

/** The batches in the order of `OrderSeed.batch`, and how far each has come once its lays are made. */
export const DEMO_BATCHES = [
  { name: 'The “Curlew” refit', end: 'cut' },
  { name: 'Car 14', end: 'approved' },
  { name: 'Theatre and tearoom', end: 'laid' },
  { name: 'Quiet Friday', end: 'draft' },
] as const;

const FIRST_NO = 201;

/** The kind that only this workroom makes: it is `own-1` in the orders. */
const HEADREST: CoverKind = {
  id: '',
  letter: '',
  name: 'Headrest slip',
  version: 1,
  about: 'One piece over the top of a seat back, hemmed at both ends, taped at the sides.',
  drawing: 'flat',
  object: 'pad',
  fill: 'firm',
  measures: [
    { id: 'width', label: 'Width', hint: 'across the seat back, edge to edge', tape: 'across' },
    { id: 'height', label: 'Height', hint: 'from the top edge down the front', tape: 'down' },
    { id: 'grip', label: 'Down the back', hint: 'how far it hangs behind', tape: 'edge', default: 'cm(10)' },
  ],
  options: [
    { id: 'seam', label: 'Seam allowance', type: 'length', default: 'cm(1)', hint: 'at the sides' },
    { id: 'hem', label: 'End hems', type: 'hem', default: ['cm(1)', 'cm(2)'], hint: 'one turn, or two with a +' },
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [{ name: 'long', is: 'height + grip + 2 * hem' }],
  finished: { width: 'width', height: 'height' },
  pieces: [
    {
      name: 'slip',
      role: 'face',
      qty: 1,
      across: 'width + allowance',
      along: 'long',
      match: { anchor: ['width / 2 + seam', 'hem'], delta: ['inch(0)', 'inch(0)'] },
    },
  ],
  strips: [],
  notions: [{ name: 'hook-and-loop', qty: '2', length: 'grip', note: 'one a side, behind' }],
  checks: [
    {
      code: 'grip-short',
      field: 'grip',
      level: 'warn',
      when: 'grip < cm(5)',
      message: 'A slip that hangs {grip} behind will creep up; 5 cm is the least that stays.',
    },
  ],
  steps: [
    {
      do: 'Press the cloth, square its end against the selvage and cut the slips; put a label on each.',
      caution: 'Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler’s edge.',
    },
    { do: 'Turn and stitch the end hems, then the sides.', stitch: 'seam' },
    { do: 'Sew hook-and-loop to the sides behind.', stitch: 'seam' },
    { do: 'Check: it lies flat over the seat back, the pile runs down.' },
  ],
};

const demoKind = (id: string): CoverKind => (id === 'own-1' ? HEADREST : kindById(id)!);

/** Writes the demo workroom into an empty database; returns the ids of its batches, still without lays. */
// eslint-disable-next-line max-lines-per-function -- a list of what the demo has, record by record
export async function insertDemo(tx: Transaction, today: Date): Promise<number[]> {
  const customers = await tx
    .insert(schema.customers)
    .values(CUSTOMERS.map(([name, contact]) => ({ name, contact })))
    .returning({ id: schema.customers.id });
  const seen = await tx
    .insert(schema.cloths)
    .values(
      CLOTHS.map(
        ([
          name,
          units,
          width,
          selvage,
          across,
          along,
          dropPart,
          turns,
          pattern,
          groundColour,
          figureColour,
          priceMinor,
          step,
          notes,
          fibre,
          weight,
          give,
        ]) => ({
          name,
          units,
          widthNm: read(width, units),
          selvageLeftNm: read(selvage, units),
          selvageRightNm: read(selvage, units),
          repeatAcrossNm: read(across, units),
          repeatAlongNm: read(along, units),
          dropPart,
          turns,
          pattern,
          groundColour,
          figureColour,
          priceMinor,
          currency: 'GBP',
          pricePer: units === 'in' ? ('yd' as const) : ('m' as const),
          sellingStepNm: read(step, units),
          notes,
          fibre,
          weight,
          give,
        }),
      ),
    )
    .returning();
  const cloths = [...seen, ...(await insertMaterials(tx))];
  const clothId = (name: string) => cloths.find((cloth) => cloth.name === name)!.id;
  const people = await tx.insert(schema.people).values(DEMO_PEOPLE).returning({ id: schema.people.id });
  await insertShelf(
    tx,
    today,
    cloths,
    people.map(({ id }) => id),
  );
  const batches = await tx
    .insert(schema.batches)
    .values(DEMO_BATCHES.map(({ name }) => ({ name, seconds: 3 })))
    .returning({ id: schema.batches.id });

  const [own] = await tx.insert(schema.kinds).values({}).returning({ id: schema.kinds.id });
  await tx.insert(schema.kindVersions).values({ kindId: own!.id, version: 1, data: HEADREST });

  for (const [i, seed] of ORDERS.entries()) {
    const no = FIRST_NO + i;
    const [order] = await tx
      .insert(schema.orders)
      .values({
        no,
        mark: markOf(no),
        customerId: customers[seed.customer]!.id,
        due: format(addDays(today, seed.due), 'yyyy-MM-dd'),
        units: seed.units,
        notes: seed.notes ?? '',
      })
      .returning({ id: schema.orders.id });
    for (const [k, line] of seed.lines.entries()) {
      const kind = demoKind(line.kind);
      const [row] = await tx
        .insert(schema.orderLines)
        .values({
          orderId: order!.id,
          position: k + 1,
          kind: line.kind,
          kindVersion: kind.version,
          qty: line.qty,
          fit: line.fit ?? kind.defaultFit,
          matching: line.matching ?? 'none',
          batchId: seed.batch === undefined ? null : batches[seed.batch]!.id,
          outline: line.offsets ? tracedBy(line.offsets) : null,
          provided: line.provided ?? {},
        })
        .returning({ id: schema.orderLines.id });
      await tx.insert(schema.lineValues).values([
        ...Object.entries(line.typed).map(([name, typed]) => ({
          lineId: row!.id,
          name,
          isMeasure: kind.measures.some(({ id }) => id === name),
          valueNm: read(typed, seed.units),
          typed,
        })),
        ...Object.entries(line.choices ?? {}).map(([name, choice]) => ({
          lineId: row!.id,
          name,
          isMeasure: false,
          choice,
        })),
      ]);
      await tx.insert(schema.lineCloths).values(
        Object.entries(line.cloth).map(([role, name]) => ({
          lineId: row!.id,
          role: role as 'face',
          clothId: clothId(name),
        })),
      );
    }
  }
  return batches.map(({ id }) => id);
}

/** A traced form as an order keeps it: what would have been typed, and its corners. */
function tracedBy(offsets: NonNullable<LineSeed['offsets']>) {
  const stations = offsets.map(([at, left, right]) => ({
    at: inches(at),
    left: inches(left),
    right: inches(right),
    isCorner: false,
  }));
  const shape = outlineFromOffsets(stations, true);
  if (!shape.ok) throw new Error(shape.faults[0]!.message);
  return {
    typed: ['offsets, smooth', ...offsets.map(([at, left, right]) => `${at}: ${left}, ${right}`)].join('\n'),
    corners: shape.value.ring,
  };
}
