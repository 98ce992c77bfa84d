import 'server-only';
import { sql, type SQL } from 'drizzle-orm';
import { toMajor } from '@/core/cost';
import { WASTE_CAUSES } from '@/core/stock';
import { database } from '@/db';
import { CAUSE_LABELS } from '@/features/stock/words';
import { loadHours } from '@/records/hours';
import { MAKING_FIGURES } from './making-figures';
import { workroomRules } from '@/features/workroom/queries';
import type { ChartFigure } from '@/ui/chart/figure';

const SHOWN = 12;
/** A week is called by the day on which it begins. */
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });

interface Long {
  unit: string;
  /** Nanometres in one. */
  nm: number;
}

const rowsOf = async <T extends Record<string, unknown>>(query: SQL) => (await database().execute<T>(query)).rows;
const round = (value: number) => Math.round(value * 100) / 100;

type Maker = (long: Long) => Promise<ChartFigure>;

/** Waste and its causes, week by week. */
const wasteByCause: Maker = async ({ unit, nm }) => {
  const found = await rowsOf<{ week: string; cause: string; sum: string }>(sql`
    SELECT week::text AS week, cause, sum(quantity) AS sum FROM movement_sums
    WHERE sort = 'wasted' AND item_sort <> 'sheets' AND week > now() - interval '26 weeks' GROUP BY 1, 2 HAVING sum(quantity) <> 0 ORDER BY 1`);
  const causes = WASTE_CAUSES.filter((cause) => found.some((row) => row.cause === cause));
  return {
    id: 'waste',
    title: 'Waste by cause',
    about: 'What was cut away and why, by the week in which it was cut',
    unit,
    isStacked: true,
    columns: ['Week of', ...causes.map((cause) => CAUSE_LABELS[cause]!)],
    rows: [...new Set(found.map(({ week }) => week))].map((week) => ({
      category: week,
      label: DAY.format(new Date(`${week}T00:00:00Z`)),
      values: causes.map((cause) =>
        round(Number(found.find((row) => row.week === week && row.cause === cause)?.sum ?? 0) / nm),
      ),
    })),
    empty: 'Nothing has been cut from the shelf yet.',
  };
};

const yardageByCloth: Maker = async ({ unit, nm }) => {
  const found = await rowsOf<{ name: string; pieces: string; rest: string }>(sql`
    SELECT c.name, s.pieces, s.rest FROM (
      SELECT cloth_id, sum(quantity) FILTER (WHERE sort = 'cut') AS pieces, sum(quantity) FILTER (WHERE sort IN ('wasted', 'kept')) AS rest, sum(quantity) AS total
      FROM movement_sums WHERE item_sort <> 'sheets' AND cloth_id IS NOT NULL GROUP BY cloth_id ORDER BY total DESC LIMIT ${SHOWN}
    ) AS s JOIN cloths c ON c.id = s.cloth_id ORDER BY s.total DESC`);
  return {
    id: 'yardage',
    title: 'Yardage by cloth',
    about: 'What was taken off the shelf: what became pieces, and the rest',
    unit,
    isStacked: true,
    columns: ['Cloth', 'Pieces', 'Waste and remnants'],
    rows: found.map(({ name, pieces, rest }) => ({
      category: name,
      values: [round(Number(pieces ?? 0) / nm), round(Number(rest ?? 0) / nm)],
    })),
    empty: 'Nothing has been cut from the shelf yet.',
  };
};

const planAgainstActual =
  (by: 'batch' | 'person'): Maker =>
  async ({ unit, nm }) => {
    const { hasNames } = await loadHours(database());
    // Lengths as on the shelf, before any wash, like what was really used; sheets by what is cut of them.
    const planned = sql`CASE WHEN (y.cloth->>'sheetLengthNm') IS NOT NULL THEN y.used_nm
    ELSE (SELECT sum((u->>'used')::bigint + (u->>'short')::bigint) FROM jsonb_array_elements(y.stock->'uses') u) END`;
    const actual = sql`(SELECT sum((o->>'usedNm')::bigint + (o->>'moreNm')::bigint) FROM jsonb_array_elements(y.outcome->'items') o)`;
    const found =
      by === 'batch'
        ? await rowsOf<{ name: string; planned: string; actual: string }>(sql`
          SELECT b.name, sum(${planned}) AS planned, sum(${actual}) AS actual FROM lays y JOIN batches b ON b.id = y.batch_id
          WHERE y.cut_at IS NOT NULL GROUP BY b.id ORDER BY max(y.cut_at) DESC LIMIT ${SHOWN}`)
        : await rowsOf<{ name: string; planned: string; actual: string }>(sql`
          SELECT coalesce(p.name, 'nobody named') AS name, sum(${planned}) AS planned, sum(${actual}) AS actual FROM lays y
          LEFT JOIN LATERAL (SELECT person_id FROM movements m WHERE m.batch_id = y.batch_id AND m.sort = 'cut' ORDER BY m.id LIMIT 1) c ON true
          LEFT JOIN people p ON p.id = c.person_id WHERE y.cut_at IS NOT NULL GROUP BY 1 ORDER BY 2 DESC LIMIT ${SHOWN}`);
    return {
      id: `plan-${by}`,
      title: by === 'batch' ? 'Plan against actual, by batch' : 'Plan against actual, by person',
      about: 'What the lays planned, and what was really used with all that went wrong',
      unit,
      isStacked: false,
      columns: [by === 'batch' ? 'Batch' : 'Person', 'Planned', 'Used'],
      rows: found.map(({ name, planned, actual: used }, i) => ({
        category: by === 'person' && !hasNames ? `Person ${i + 1}` : name,
        values: [round(Number(planned) / nm), round(Number(used ?? 0) / nm)],
      })),
      empty: 'No lay has been cut and closed yet.',
    };
  };

const unitOf = sql.raw(
  `CASE i.price_per WHEN 'yd' THEN 914400000 WHEN 'm' THEN 1000000000 WHEN 'pack' THEN coalesce(n.pack_size, 1) WHEN 'whole' THEN i.length_nm ELSE 1 END`,
);

const valueByAge: Maker = async () => {
  const found = await rowsOf<{ age: string; sort: string; currency: string; worth: string }>(sql`
    SELECT CASE WHEN i.received_at > now() - interval '1 month' THEN 'under a month' WHEN i.received_at > now() - interval '3 months' THEN '1 to 3 months'
      WHEN i.received_at > now() - interval '1 year' THEN '3 to 12 months' ELSE 'over a year' END AS age, i.sort, i.currency,
      sum(i.on_hand::float8 * i.price_minor / ${unitOf}) AS worth
    FROM stock_items i LEFT JOIN materials n ON n.id = i.material_id WHERE i.on_hand > 0 GROUP BY 1, 2, 3`);
  const [currency = 'GBP'] = mostOf(found.map((row) => row.currency));
  const own = found.filter((row) => row.currency === currency);
  const ages = ['under a month', '1 to 3 months', '3 to 12 months', 'over a year'];
  const sorts = ['bolt', 'remnant', 'sheets', 'notion'].filter((sort) => own.some((row) => row.sort === sort));
  return {
    id: 'age',
    title: 'Value on the shelf by age',
    about: 'What lies there, at what was paid; what nobody used in a year is let go',
    unit: currency,
    isStacked: true,
    columns: [
      'There for',
      ...sorts.map((sort) => ({ bolt: 'Bolts', remnant: 'Remnants', sheets: 'Sheets', notion: 'Notions' })[sort]!),
    ],
    rows:
      own.length === 0
        ? []
        : ages.map((age) => ({
            category: age,
            values: sorts.map((sort) =>
              toMajor(
                Math.round(Number(own.find((row) => row.age === age && row.sort === sort)?.worth ?? 0)),
                currency,
              ),
            ),
          })),
    empty: 'The shelf is empty.',
  };
};

const mostOf = (values: readonly string[]): string[] =>
  [...new Set(values)].sort(
    (a, b) => values.filter((one) => one === b).length - values.filter((one) => one === a).length,
  );

/** Savings by remnants: cut from a remnant, what the same length would have cost off the bolt that it came from. */
const remnantsSaved: Maker = async () => {
  const found = await rowsOf<{ month: string; currency: string; worth: string }>(sql`
    SELECT to_char(month, 'YYYY-MM') AS month, currency, sum(worth) AS worth FROM movement_sums
    WHERE sort = 'cut' AND item_sort = 'remnant' GROUP BY 1, 2 ORDER BY 1`);
  const [currency = 'GBP'] = mostOf(found.map((row) => row.currency));
  return {
    id: 'remnants',
    title: 'What remnants saved',
    about: 'Cut from remnants instead of a bolt, at what that cloth cost',
    unit: currency,
    isStacked: false,
    columns: ['Month', 'Saved'],
    rows: found
      .filter((row) => row.currency === currency)
      .map(({ month, worth }) => ({ category: month, values: [toMajor(Math.round(Number(worth)), currency)] })),
    empty: 'No remnant has been used yet.',
  };
};

const MAKERS: Record<string, Maker> = {
  waste: wasteByCause,
  yardage: yardageByCloth,
  'plan-batch': planAgainstActual('batch'),
  'plan-person': planAgainstActual('person'),
  age: valueByAge,
  remnants: remnantsSaved,
  ...MAKING_FIGURES,
};

async function inUnits(): Promise<Long> {
  const { units } = await workroomRules();
  return units === 'in' ? { unit: 'yd', nm: 914_400_000 } : { unit: 'm', nm: 1_000_000_000 };
}

/** All figures of the workroom, from its ledger. */
export async function figures(): Promise<ChartFigure[]> {
  const long = await inUnits();
  return Promise.all(Object.values(MAKERS).map((make) => make(long)));
}

/** One figure by its id, or null. */
export async function figure(id: string): Promise<ChartFigure | null> {
  return Object.hasOwn(MAKERS, id) ? MAKERS[id]!(await inUnits()) : null;
}
