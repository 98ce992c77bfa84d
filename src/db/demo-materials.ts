import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { ClothSort } from '@/core/stock';
import { schema, type Transaction } from '.';

// Materials that nobody sees in the demo workroom's covers: off rolls and in sheets. All made up.

interface MaterialSeed {
  name: string;
  sort: ClothSort;
  units: Units;
  width: string;
  /** Fields of materials that come in sheets. */
  sheet?: string;
  thickness?: string;
  priceMinor: number;
  usualFor: string[];
  supplier: string;
  ground: string;
  notes: string;
  firmness?: string;
  life?: string;
  /** How many sheets, or how much of a roll is on the shelf. */
  stock: number | string;
  place: string;
}

/** Foam by the sheet: how thick, for how much, how many there are. */
const FOAMS: [units: Units, thickness: string, priceMinor: number, stock: number][] = [
  ['in', '2', 2340, 4],
  ['in', '2 1/2', 2890, 5],
  ['in', '3', 3440, 4],
  ['in', '3 1/2', 3980, 4],
  ['in', '4', 4490, 5],
  ['in', '4 1/2', 5040, 4],
  ['mm', '5', 2650, 11],
  ['mm', '6', 3150, 6],
  ['mm', '7', 3680, 4],
];

export const DEMO_MATERIALS: MaterialSeed[] = [
  {
    name: 'Loft batting',
    sort: 'batting',
    units: 'in',
    width: '88',
    priceMinor: 610,
    usualFor: ['batting'],
    supplier: 'Loom Lane Mill',
    ground: '#f2efe4',
    notes: 'Needled; no scrim',
    stock: '11 yd',
    place: 'top shelf',
  },
  {
    name: 'Ledger interfacing',
    sort: 'interfacing',
    units: 'in',
    width: '35',
    priceMinor: 290,
    usualFor: ['interfacing'],
    supplier: 'Needle & Notch',
    ground: '#ece9df',
    notes: 'Sewn in, stiff',
    stock: '16 yd',
    place: 'top shelf',
  },
  {
    name: 'Bench cambric',
    sort: 'dust cover',
    units: 'mm',
    width: '148',
    priceMinor: 210,
    usualFor: ['dust cover', 'underlining'],
    supplier: 'Capstan Hardware',
    ground: '#33363a',
    notes: 'Black, for under seats',
    stock: '19 m',
    place: 'rack 5',
  },
  {
    name: 'Deck ply',
    sort: 'board',
    units: 'mm',
    width: '122',
    sheet: '244',
    thickness: '0.6',
    priceMinor: 3380,
    usualFor: ['board'],
    supplier: 'Capstan Hardware',
    ground: '#d9c39a',
    notes: 'Ask the yard to cut sheets in half',
    stock: 7,
    place: 'board rack',
  },
  {
    name: 'Seat foam, firm',
    sort: 'foam',
    units: 'mm',
    width: '200',
    sheet: '120',
    thickness: '7.5',
    priceMinor: 5650,
    usualFor: ['foam'],
    supplier: 'Capstan Hardware',
    ground: '#e6d8b5',
    notes: 'Keep out of the light',
    firmness: 'firm',
    life: 'some years of daily use',
    stock: 3,
    place: 'loft',
  },
  ...FOAMS.map(([units, thickness, priceMinor, stock]): MaterialSeed => ({
    name: `Seat foam ${thickness} ${units === 'in' ? 'in' : 'cm'}`,
    sort: 'foam',
    units,
    width: units === 'in' ? '78' : '200',
    sheet: units === 'in' ? '48' : '120',
    thickness,
    priceMinor,
    usualFor: [],
    supplier: 'Capstan Hardware',
    ground: '#e6d8b5',
    notes: 'Keep out of the light',
    firmness: 'firm',
    life: 'some years of daily use',
    stock,
    place: 'loft',
  })),
  {
    name: 'Sail strap cloth',
    sort: 'strap',
    units: 'in',
    width: '60',
    priceMinor: 840,
    usualFor: ['strap'],
    supplier: 'Loom Lane Mill',
    ground: '#b7a98a',
    notes: 'Firm, for straps',
    stock: '9 yd',
    place: 'rack 5',
  },
  {
    name: 'Cloth-backed foam',
    sort: 'sewing foam',
    units: 'mm',
    width: '150',
    priceMinor: 420,
    usualFor: ['sewing foam'],
    supplier: 'Loom Lane Mill',
    ground: '#dcd3bd',
    notes: 'Thin, for behind a stitched plate',
    stock: '14 m',
    place: 'rack 5',
  },
];

const read = (text: string, units: Units): Nm => {
  const length = parseLength(text, typingUnit(units));
  if (!length.ok) throw new Error(length.faults[0]!.message);
  return length.value;
};

/** Writes the materials down, behind the cloths. */
export const insertMaterials = (tx: Transaction) =>
  tx
    .insert(schema.cloths)
    .values(
      DEMO_MATERIALS.map((seed) => ({
        name: seed.name,
        sort: seed.sort,
        units: seed.units,
        widthNm: read(seed.width, seed.units),
        turns: 'any' as const,
        groundColour: seed.ground,
        figureColour: seed.ground,
        priceMinor: seed.priceMinor,
        currency: 'GBP',
        pricePer: seed.sheet ? ('sheet' as const) : seed.units === 'in' ? ('yd' as const) : ('m' as const),
        sellingStepNm: seed.sheet
          ? read(seed.sheet, seed.units)
          : read(seed.units === 'in' ? '1/4 yd' : '10', seed.units),
        sheetLengthNm: seed.sheet ? read(seed.sheet, seed.units) : null,
        thicknessNm: seed.thickness ? read(seed.thickness, seed.units) : null,
        firmness: seed.firmness ?? '',
        life: seed.life ?? '',
        usualFor: seed.usualFor,
        supplier: seed.supplier,
        notes: seed.notes,
      })),
    )
    .returning();

/** Stock of a material: sheets, or nanometres of a roll. */
export const stockOf = ({ stock, units }: MaterialSeed): number =>
  typeof stock === 'number' ? stock : read(stock, units);
