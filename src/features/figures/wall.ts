import 'server-only';
import { eq } from 'drizzle-orm';
import { clothTasks } from '@/core/batch';
import type { Cloth } from '@/core/cloth';
import { boughtLength } from '@/core/cost';
import { isMaterial, readUsualSize, takeOff, type CoverKind } from '@/core/covers';
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

/** Usual widths of cloth (common practice, no source; the narrow metric one from memory). */
const WIDTHS = { in: [45, 54, 60], mm: [1100, 1400, 1500] } as const;

interface WallSize {
  key: string;
  size: string;
  /** How it is piped; empty without. */
  way: string;
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
  const kinds = book.current.filter((kind) => sizesFor(kind, units).length > 0);
  const kind = kinds.find(({ id }) => id === kindId) ?? kinds[0]!;
  const cloth = rows.find(({ id }) => id === clothId) ?? null;
  return {
    kinds: kinds.map(({ id, name }) => ({ id, name })),
    cloths: rows.map(({ id, name }) => ({ id, name })),
    kind: kind.id,
    clothId: cloth?.id ?? null,
    qty,
    units,
    rows: sizesFor(kind, units).map((made) => sizeOf(kind, made, units)),
    columns: cloth ? [cloth.name] : WIDTHS[units].map((width) => (units === 'in' ? `${width} in` : `${width / 10} cm`)),
  };
}

/** A row of the chart: a size of the kind, made in one of its ways. */
interface Made {
  measures: Record<string, Nm>;
  /** The way of piping that it is made with, where the kind has several. */
  piping: { id: string; label: string } | null;
}

/** The usual sizes of a kind in the workroom's units, each without piping and with it where the kind may have some. */
function sizesFor(kind: CoverKind, units: Units): Made[] {
  const unit = units === 'in' ? 'in' : 'cm';
  const piping = kind.options.find(({ id }) => id === 'piping');
  const ways = piping?.type === 'choice' ? [piping.choices[0]!, piping.choices.at(-1)!] : [null];
  return (kind.usualSizes ?? []).flatMap((size) => {
    const measures = size[unit] === undefined ? null : readUsualSize(kind, size[unit], unit);
    return measures === null ? [] : ways.map((one) => ({ measures, piping: one }));
  });
}

const optionsOf = ({ piping }: Made): Record<string, string> => (piping ? { piping: piping.id } : {});
const WITHOUT = 'none';

const number = (length: Nm, units: Units) => printNumber(length, STYLES[units]).text.replace('≈ ', '');
const keyOf = ({ measures, piping }: Made) => [...Object.values(measures), piping?.id ?? ''].join(' ').trim();

function sizeOf(kind: CoverKind, made: Made, units: Units): WallSize {
  const cover = takeOff(kind, { measures: made.measures, options: optionsOf(made), units });
  const pair = ([wide, high]: readonly [Nm, Nm]) => `${number(wide, units)} × ${number(high, units)}`;
  const size = Object.values(made.measures)
    .map((value) => number(value, units))
    .join(' × ');
  const way = made.piping && made.piping.id !== WITHOUT ? `piped ${made.piping.label}` : '';
  const row = { key: keyOf(made), size, way };
  if (!cover.ok) return { ...row, cut: cover.faults[0]!.message, zip: '', filling: '' };
  const { pieces, strips, notions, finished } = cover.value;
  const zip = notions.find(({ name }) => name === 'zip');
  const pad = notions.find(({ name }) => name === 'pad')?.size;
  const foam = pieces.find(({ role }) => role === 'foam');
  return {
    ...row,
    cut: [
      ...pieces
        .filter(({ role }) => !isMaterial(role))
        .map(({ name, qty, across, along }) => `${times(qty)}${name} ${pair([across, along])}`),
      ...strips.map(({ name, qty, width, length }) => `${times(qty)}${name} ${pair([width, length])}`),
    ].join(', '),
    zip: zip?.length ? number(zip.length, units) : '',
    filling: pad
      ? `pad ${pair(pad)}`
      : foam
        ? `foam ${pair([foam.across, foam.along])}${finished.thickness ? ` × ${number(finished.thickness, units)}` : ''}`
        : '',
  };
}

const times = (qty: number) => (qty > 1 ? `${qty} × ` : '');

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
  if (!kind) return;
  const [row] = clothId === null ? [] : await db.select().from(schema.cloths).where(eq(schema.cloths.id, clothId));
  const cloths = row
    ? [toCloth(row)]
    : WIDTHS[units].map((width) => plainCloth(units === 'in' ? inches(width) : millimetres(width), units));
  const cancel = new Cancel();
  signal.addEventListener('abort', () => cancel.request());
  for (const made of sizesFor(kind, units)) {
    if (signal.aborted) return;
    try {
      const lengths = await Promise.all(cloths.map((cloth) => lengthFor(kind, made, cloth, qty, units, cancel)));
      for (const [column, length] of lengths.entries()) tell({ row: keyOf(made), column, length });
    } catch (error) {
      if (error instanceof NotYetLaid) return;
      throw error;
    }
  }
}

async function lengthFor(
  kind: CoverKind,
  made: Made,
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
    measures: made.measures,
    options: optionsOf(made),
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

/** A plain cloth of a width with usual selvages, that may lie any way, sold in the usual steps (common practice, no source). */
const plainCloth = (width: Nm, units: Units): Cloth => ({
  name: 'plain',
  width,
  selvage: [inches(0.5), inches(0.5)],
  repeat: null,
  turns: 'any',
  price: { minor: 0, currency: 'GBP', per: units === 'in' ? 'yd' : 'm' },
  sellingStep: units === 'in' ? inches(4.5) : millimetres(100),
});
