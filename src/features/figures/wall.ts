import 'server-only';
import { eq } from 'drizzle-orm';
import { clothTasks } from '@/core/batch';
import type { Cloth } from '@/core/cloth';
import { boughtLength } from '@/core/cost';
import { takeOff, type CoverKind } from '@/core/covers';
import { cutList } from '@/core/cutlist';
import { inches, millimetres, printNumber, STYLES, type Nm, type Units } from '@/core/length';
import { beforeWash } from '@/core/stock';
import { database, schema } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { workroomRules } from '@/features/workroom/queries';
import { longLength } from '@/ui/words';
import { lengthsOnceEver, NotYetLaid } from '@/work/lengths-alone';
import { Cancel } from '@/work/pool';

/** Usual sizes, in inches and in centimetres, by the measures that a kind asks for (common practice, no source; metric from memory). */
const USUAL_SIZES: { measures: string[]; in: number[][]; cm: number[][] }[] = [
  {
    measures: ['width', 'height'],
    in: [
      [12, 12],
      [14, 14],
      [16, 16],
      [18, 18],
      [20, 20],
      [22, 22],
      [24, 24],
      [12, 20],
      [14, 22],
    ],
    cm: [
      [30, 30],
      [40, 40],
      [45, 45],
      [50, 50],
      [60, 60],
      [30, 50],
      [40, 60],
    ],
  },
  {
    measures: ['length', 'width', 'thickness'],
    in: [
      [16, 16, 2],
      [18, 18, 2],
      [20, 20, 3],
      [22, 22, 4],
      [24, 20, 3],
      [36, 18, 3],
      [48, 20, 3],
      [60, 20, 4],
    ],
    cm: [
      [40, 40, 5],
      [45, 45, 5],
      [50, 50, 8],
      [60, 50, 8],
      [90, 45, 8],
      [120, 50, 8],
      [150, 50, 10],
    ],
  },
  {
    measures: ['diameter', 'thickness'],
    in: [
      [14, 2],
      [16, 2],
      [18, 3],
      [20, 3],
    ],
    cm: [
      [35, 5],
      [40, 5],
      [45, 8],
      [50, 8],
    ],
  },
  {
    measures: ['diameter', 'length'],
    in: [
      [6, 18],
      [7, 24],
      [8, 30],
    ],
    cm: [
      [15, 45],
      [18, 60],
      [20, 75],
    ],
  },
];

/** Usual widths of cloth (common practice, no source). */
const WIDTHS = { in: [45, 54, 60], mm: [1400, 1500] } as const;

interface WallSize {
  key: string;
  size: string;
  /** Part by part: `front 17 × 17`. */
  cut: string;
  zip: string;
  filling: string;
}

export interface WallChart {
  kinds: { id: string; name: string }[];
  cloths: { id: number; name: string }[];
  kind: string;
  clothId: number | null;
  qty: number;
  units: Units;
  rows: WallSize[];
  /** The columns: usual widths, or the one cloth that was chosen. */
  columns: string[];
}

/** The chart without its lengths, which are laid one after the other (`wallCells`). */
export async function wallChart(kindId: string, clothId: number | null, qty: number): Promise<WallChart> {
  const db = database();
  const [book, { units }, rows] = await Promise.all([
    loadKindBook(db),
    workroomRules(),
    db.select().from(schema.cloths).where(eq(schema.cloths.sort, 'cloth')).orderBy(schema.cloths.name),
  ]);
  const kinds = book.current.filter((kind) => sizesOf(kind) !== null);
  const kind = kinds.find(({ id }) => id === kindId) ?? kinds[0]!;
  const cloth = rows.find(({ id }) => id === clothId) ?? null;
  return {
    kinds: kinds.map(({ id, name }) => ({ id, name })),
    cloths: rows.map(({ id, name }) => ({ id, name })),
    kind: kind.id,
    clothId: cloth?.id ?? null,
    qty,
    units,
    rows: sizesFor(kind, units).map((measures) => sizeOf(kind, measures, units)),
    columns: cloth ? [cloth.name] : WIDTHS[units].map((width) => (units === 'in' ? `${width} in` : `${width / 10} cm`)),
  };
}

const sizesOf = (kind: CoverKind) => {
  const wanted = kind.measures.filter((measure) => measure.default === undefined).map(({ id }) => id);
  return (
    USUAL_SIZES.find(
      ({ measures }) => measures.length === wanted.length && measures.every((id) => wanted.includes(id)),
    ) ?? null
  );
};

function sizesFor(kind: CoverKind, units: Units): Record<string, Nm>[] {
  const usual = sizesOf(kind)!;
  return (units === 'in' ? usual.in : usual.cm).map((values) =>
    Object.fromEntries(
      usual.measures.map((id, i) => [id, units === 'in' ? inches(values[i]!) : millimetres(10 * values[i]!)]),
    ),
  );
}

const number = (length: Nm, units: Units) => printNumber(length, STYLES[units]).text.replace('≈ ', '');
const keyOf = (measures: Record<string, Nm>) => Object.values(measures).join(' ');

function sizeOf(kind: CoverKind, measures: Record<string, Nm>, units: Units): WallSize {
  const cover = takeOff(kind, { measures, options: {}, units });
  const size = Object.values(measures)
    .map((value) => number(value, units))
    .join(' × ');
  if (!cover.ok) return { key: keyOf(measures), size, cut: cover.faults[0]!.message, zip: '', filling: '' };
  const { pieces, notions } = cover.value;
  const zip = notions.find(({ name }) => name === 'zip');
  return {
    key: keyOf(measures),
    size,
    cut: pieces
      .map(
        ({ name, qty, across, along }) =>
          `${qty > 1 ? `${qty} × ` : ''}${name} ${number(across, units)} × ${number(along, units)}`,
      )
      .join(', '),
    zip: zip?.length ? number(zip.length, units) : '',
    filling: kind.fill === 'soft' ? `pad ${size}` : size,
  };
}

export interface WallCell {
  row: string;
  column: number;
  length: string;
}

/** The length to buy for each size on each width, by real lays; kept by the content of the job, and told as each is known. */
export async function wallCells(
  kindId: string,
  clothId: number | null,
  qty: number,
  signal: AbortSignal,
  tell: (cell: WallCell) => void,
): Promise<void> {
  const db = database();
  const [book, { units }] = await Promise.all([loadKindBook(db), workroomRules()]);
  const kind = book.current.find(({ id }) => id === kindId);
  if (!kind || !sizesOf(kind)) return;
  const [row] = clothId === null ? [] : await db.select().from(schema.cloths).where(eq(schema.cloths.id, clothId));
  const cloths = row
    ? [toCloth(row)]
    : WIDTHS[units].map((width) => plainCloth(units === 'in' ? inches(width) : millimetres(width), units));
  const cancel = new Cancel();
  signal.addEventListener('abort', () => cancel.request());
  for (const measures of sizesFor(kind, units)) {
    if (signal.aborted) return;
    try {
      const lengths = await Promise.all(cloths.map((cloth) => lengthFor(kind, measures, cloth, qty, units, cancel)));
      for (const [column, length] of lengths.entries()) tell({ row: keyOf(measures), column, length });
    } catch (error) {
      if (error instanceof NotYetLaid) return;
      throw error;
    }
  }
}

async function lengthFor(
  kind: CoverKind,
  measures: Record<string, Nm>,
  cloth: Cloth,
  qty: number,
  units: Units,
  cancel: Cancel,
): Promise<string> {
  const line = {
    id: '1',
    kind: kind.id,
    kindVersion: kind.version,
    qty,
    measures,
    options: {},
    matching: cloth.repeat ? ('alike' as const) : ('none' as const),
    cloth: { face: 'c' },
  };
  const book = await loadKindBook(database());
  const list = cutList([line], units, { kinds: book, cloths: new Map([['c', cloth]]) });
  if (!list.ok) return '–';
  const [task] = clothTasks([{ orderNo: '', cutList: list.value }], [{ key: 'c', cloth, units }]);
  if (!task) return '–';
  const { content, job } = task.orders[0]!;
  const used = (await lengthsOnceEver(database(), [{ content, job: job.job }], 1, cancel)).get(content)!;
  return used === 0
    ? 'too wide'
    : longLength(boughtLength(beforeWash(used, cloth.shrinkage?.along), cloth.sellingStep), units).replace('≈ ', '');
}

/** A plain cloth of a width with usual selvages, sold in the usual steps (common practice, no source). */
const plainCloth = (width: Nm, units: Units): Cloth => ({
  name: 'plain',
  width,
  selvage: [inches(0.5), inches(0.5)],
  repeat: null,
  turns: 'half',
  price: { minor: 0, currency: 'GBP', per: units === 'in' ? 'yd' : 'm' },
  sellingStep: units === 'in' ? inches(4.5) : millimetres(100),
});
