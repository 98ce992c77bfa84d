import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { cutList, type OrderLine } from '@/core/cutlist';
import { handLength, LayTable, nest, readJob, type LayJob } from '@/core/lay';
import { inches, NM } from '@/core/length';
import { drawTables, layInBrowser, type BrowserFigures } from '@/bench/browser';
import { roomOf } from '@/bench/days';
import { HOSTILE } from '@/bench/hostile';
import { planDays } from '@/core/schedule';
import { dissectedJob, fusedJob, PUBLISHED, publishedJob, shakenJob, shavedJob, workroomJob } from '@/bench/jobs';
import { lengthByLibraries } from '@/bench/libraries';
import { parseLayJob } from '@/core/files/lay-json';
import { Cancel, closePool, layOnAllCores } from '@/work/pool';

// npm run bench: speeds and lengths, printed and never asserted. `bench lay` measures the lay engine alone.

const now = () => performance.now();

function timed<T>(body: () => T): { value: T; ms: number } {
  const start = now();
  const value = body();
  return { value, ms: now() - start };
}

function benchCutList() {
  const lines = Array.from({ length: 1000 }, (_, i): OrderLine => ({
    id: String(i),
    kind: ['envelope-cushion', 'zip-cushion', 'boxed-cushion'][i % 3]!,
    qty: 1 + (i % 5),
    measures:
      i % 3 === 2
        ? { length: inches(30 + (i % 9)), width: inches(19), thickness: inches(3) }
        : { width: inches(15 + (i % 11)), height: inches(17) },
    options: {},
    cloth: { face: 'a' },
  }));
  const times = Array.from({ length: 11 }, () => timed(() => cutList(lines, 'in')).ms);
  const usual = times.slice(1).sort((a, b) => a - b)[5]!;
  console.log(
    `cut list of 1,000 lines: ${usual.toFixed(0)} ms (${times[0]!.toFixed(0)} ms the first time in a process)`,
  );
}

/** Time of a plan as a page asks for it, of rooms of some sizes. */
function benchDays() {
  for (const [covers, people] of [
    [300, 4],
    [1000, 8],
    [3000, 8],
  ] as const) {
    const job = roomOf(covers, people);
    const times = Array.from({ length: 5 }, () => timed(() => planDays(job, { effort: 0.3 })));
    const usual = times.map(({ ms }) => ms).sort((a, b) => a - b)[2]!;
    const { lateOrders } = times[0]!.value.totals;
    console.log(
      `days of ${covers} open covers (${job.runs.length} runs), ${people} people: ${usual.toFixed(0)} ms, ${lateOrders} of ${job.orders.length} orders late`,
    );
  }
}

/** Questions of the table about one piece among 1,000: whether it may lie where it is held, and where it snaps to. */
function benchTable() {
  for (const isMatched of [false, true]) {
    const job = workroomJob(1000, isMatched);
    const plan = nest(job, { steps: 1 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    const table = new LayTable(job, plan.value);
    const held = plan.value.lays.flatMap(({ stock, placed }) =>
      placed.map((one) => ({ stock, ...one, x: one.x + inches(0.3), y: one.y + inches(0.2) })),
    );
    const each = (count: number, ask: (i: number) => unknown) =>
      timed(() => {
        for (let i = 0; i < count; i++) ask((i * 7) % held.length);
      }).ms / count;
    const may = each(2000, (i) => table.canPlace(held[i]!));
    const snaps = each(300, (i) => table.snap(held[i]!, inches(2)));
    console.log(
      `one piece among ${held.length}, ${isMatched ? 'matched' : 'plain'}: may it lie there ${may.toFixed(2)} ms, where it snaps to ${snaps.toFixed(2)} ms`,
    );
  }
}

interface Row {
  name: string;
  job: LayJob;
  /** The proven best length in inches, where it is known, or that of a lay which is known. */
  best?: number;
}

/** Jobs of our own making and published ones: a family each. */
const FAMILIES: Record<string, Row[]> = {
  published: PUBLISHED.map((one) => ({ name: one.name, job: publishedJob(one), best: one.best })),
  ...Object.fromEntries(
    (['free', 'straight', 'matched'] as const).map((kind) => [
      `dissection, ${kind}`,
      [20, 60, 200].map((n, i) => ({ name: `${n} pieces`, ...dissectedJob(n, 31 + i, kind) })),
    ]),
  ),
  'outlines without waste': [12, 40].map((n, i) => ({ name: `${n} pieces`, ...shakenJob(n, 41 + i) })),
  'ells and tees without waste': [12, 26].map((n, i) => ({ name: `${n} pieces`, ...fusedJob(n, 101 + i) })),
  ...Object.fromEntries(
    ([true, false] as const).map((isMatched) => [
      `a known lay, ${isMatched ? 'matched' : 'plain'}`,
      [50, 80].map((n, i) => ({ name: `${n} pieces`, ...shavedJob(n, 51 + i, isMatched) })),
    ]),
  ),
  'workroom, plain': [30, 100, 300].map((n) => ({ name: `${n} pieces`, job: workroomJob(n, false) })),
  'workroom, half drop': [30, 100, 300].map((n) => ({ name: `${n} pieces`, job: workroomJob(n, true) })),
};

/** Used length over the optimum or the proven bound, of the hand method, of packing libraries and of the engine. */
function benchFamilies(seconds: number) {
  console.log(
    `\nlays on one core, ${seconds} s each, over the optimum, the known lay or the bound: by hand, by libraries, by the engine`,
  );
  for (const [family, rows] of Object.entries(FAMILIES)) {
    const ratios = rows.map(({ name, job, best }) => {
      const plan = nest(job, { seconds, clock: now });
      if (!plan.ok) throw new Error('refused');
      const reference = best === undefined ? plan.value.bound : best * NM.in;
      const row = [handLength(job), lengthByLibraries(job), plan.value.used].map((one) => one / reference);
      console.log(`  ${`${family}, ${name}`.padEnd(36)} ${row.map((one) => one.toFixed(4)).join('  ')}`);
      return row;
    });
    const mean = ratios[0]!.map((_, k) => ratios.reduce((sum, row) => sum + row[k]!, 0) / ratios.length);
    console.log(`  ${`${family}, mean`.padEnd(36)} ${mean.map((one) => one.toFixed(4)).join('  ')}`);
  }
}

/** How long the first plan takes, how that grows with the pieces, and the memory at the most. */
function benchFirstPlans() {
  console.log('\nfirst plan: median of runs, and the exponent of growth between neighbours');
  for (const isMatched of [false, true]) {
    let before: { n: number; ms: number } | null = null;
    for (const n of [100, 300, 1000, 3000, 5000]) {
      const job = workroomJob(n, isMatched);
      const runs = n <= 1000 ? 5 : 1;
      const times = Array.from({ length: runs }, () => timed(() => nest(job, { steps: 1, clock: now })).ms);
      const ms = times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
      const growth = before ? `n^${(Math.log(ms / before.ms) / Math.log(n / before.n)).toFixed(2)}` : '';
      const memory = process.memoryUsage().rss / 1e6;
      console.log(
        `  ${`${n} pieces, ${isMatched ? 'half drop' : 'plain'}`.padEnd(36)} ${ms.toFixed(0).padStart(6)} ms  ${growth.padEnd(6)}  ${memory.toFixed(0)} MB in all`,
      );
      before = { n, ms };
    }
  }
}

/** The engine in a page's worker: how soon it has a first lay, and whether the page keeps its frames meanwhile. */
async function benchBrowser() {
  const goes = 5;
  console.log(
    `\nin a worker of a page: first lay, cold and again, median and longest of ${goes}; frames meanwhile, the longest and the usual`,
  );
  for (const isMatched of [false, true]) {
    const name = `100 pieces, ${isMatched ? 'half drop' : 'plain'}`;
    const all: BrowserFigures[] = [];
    for (let go = 0; go < goes; go++) {
      const question = { pieces: 100, isMatched, seconds: 2 };
      const figures = await layInBrowser(join(process.env.JOLLY_BOLT_HOME!, 'dist'), question);
      if (!figures) return console.log('  no Chromium on this machine');
      all.push(figures);
    }
    const figures = (of: (one: BrowserFigures) => number) => {
      const sorted = all.map(of).sort((a, b) => a - b);
      return `${sorted[(goes - 1) / 2]!.toFixed(0)} (${sorted.at(-1)!.toFixed(0)}) ms`;
    };
    const frames = `${Math.max(...all.map(({ longestFrame }) => longestFrame)).toFixed(0)} ms, ${all[0]!.usualFrame.toFixed(0)} ms`;
    console.log(`  ${name.padEnd(36)} ${figures(({ cold }) => cold)}, ${figures(({ warm }) => warm)}; ${frames}`);
  }
}

/** The table in a page: frames while it is panned, zoomed and dragged on, and the first answer of laying the rest again. */
async function benchHands() {
  console.log(
    '\nthe table in a page: frames, the usual one, 95 of 100 and the longest (ms); what the page works at one; the rest laid again',
  );
  const all = await drawTables(join(process.env.JOLLY_BOLT_HOME!, 'dist'), [200, 1000]);
  if (!all) return console.log('  no Chromium on this machine');
  for (const { pieces, work, again, ...moves } of all) {
    const figures = (['pan', 'zoom', 'drag'] as const).map(
      (name) =>
        `${name} ${moves[name].usual.toFixed(1)} ${moves[name].p95.toFixed(1)} ${moves[name].longest.toFixed(1)} (${work[name].toFixed(1)})`,
    );
    console.log(`  ${`${pieces} pieces`.padEnd(14)} ${figures.join('; ')}; again ${again.toFixed(0)} ms`);
  }
}

/** How long it takes to refuse what can't be or shouldn't. */
function benchRefusals() {
  console.log('\nhostile jobs: the time to refuse them');
  for (const [name, text] of Object.entries(HOSTILE)) {
    const { value, ms } = timed(() => parseLayJob(text()));
    console.log(
      `  ${name.padEnd(36)} ${ms.toFixed(0).padStart(6)} ms  ${value.ok ? 'NOT REFUSED' : value.faults[0]!.message}`,
    );
  }
}

interface DevJob {
  file: string;
  family: string;
  optimum?: number;
  bound?: number;
  measure?: string;
}

/** The development jobs, where they are beside the project: used / optimum, or used / the better proven bound. */
async function benchDevelopment(folder: string, seconds: number) {
  const manifest = JSON.parse(readFileSync(`${folder}/manifest.json`, 'utf8')).jobs as DevJob[];
  const best = existsSync(`${folder}/best.json`) ? JSON.parse(readFileSync(`${folder}/best.json`, 'utf8')) : {};
  const families = new Map<string, number[]>();
  console.log(
    `\ndevelopment jobs, ${seconds} s each on all cores: used, ratio to the optimum or bound, ratio of the best known`,
  );
  for (const { file, family, optimum, bound = 0, measure } of manifest.filter(({ family: one }) => one !== 'bad')) {
    if (!readdirSync(folder).includes(file)) continue;
    const json: unknown = JSON.parse(readFileSync(`${folder}/${file}`, 'utf8'));
    const job = readJob(json);
    if (!job.ok) throw new Error(`${file}: ${job.faults[0]!.message}`);
    const plan = await layOnAllCores({ job: job.value, seconds, seed: job.value.search.seed }, new Cancel());
    const unit = NM[job.value.units];
    const used = (measure === 'endlessUsed' ? plan.endless : plan.used) / unit;
    const reference = optimum ?? (measure ? bound : Math.max(bound, plan.bound / unit));
    families.set(family, [...(families.get(family) ?? []), used / reference]);
    console.log(
      `  ${file.padEnd(26)} ${used.toFixed(2).padStart(9)}  ${(used / reference).toFixed(4)}  ${((best[file] ?? NaN) / reference).toFixed(4)}`,
    );
  }
  for (const [family, ratios] of families) {
    const mean = ratios.reduce((a, b) => a + b, 0) / ratios.length;
    console.log(`  ${family.padEnd(26)} mean ${mean.toFixed(4)}  worst ${Math.max(...ratios).toFixed(4)}`);
  }
}

const [what, time] = process.argv.slice(2);
if (what === '--help' || what === '-h') {
  console.log(
    'usage: bench [all|lay|table] [SECONDS]: prints speeds and lengths; lay: of the lay engine alone; table: of the table alone; SECONDS (5) a job',
  );
  process.exit(0);
}
const seconds = Number(time ?? 5);
if (what === 'table') {
  benchTable();
  await benchHands();
  process.exit(0);
}
if (what !== 'lay') {
  benchCutList();
  benchDays();
}
benchTable();
benchFirstPlans();
await benchBrowser();
await benchHands();
benchRefusals();
benchFamilies(seconds);
const development = '../shared/bench/dev';
if (existsSync(development)) await benchDevelopment(development, seconds);
await closePool();
