import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { cutList, type OrderLine } from '@/core/cutlist';
import { handLength, nest, readJob, type LayJob } from '@/core/lay';
import { inches, NM } from '@/core/length';
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

/** A workroom-like job of about n pieces: cushions of mixed sizes with hemmed backs and piping. */
function workroomJob(n: number, isMatched: boolean): LayJob {
  const pieces = Array.from(
    { length: Math.ceil(n / 6) },
    (_, i) => [15 + ((i * 7) % 12), 13 + ((i * 5) % 11)] as const,
  ).flatMap(([w, h], i) => [
    { id: `${i} front`, size: [w, h], qty: 2, ...(isMatched && { match: { group: `${i}` } }) },
    { id: `${i} back`, size: [w, (h + 6) / 2 + 0.5], qty: 4 },
  ]);
  const job = readJob({
    format: 'jolly-bolt/lay-job',
    version: 1,
    units: 'in',
    cloth: {
      name: 'bench',
      width: 54,
      selvage: [0.5, 0.5],
      turns: 'half',
      ...(isMatched && { repeat: { across: 11, along: 9, drop: 0.5 } }),
    },
    pieces,
    strips: [{ id: 'piping', width: 1.5, length: 200, grain: 'bias', loss: 1.5, least: 12 }],
  });
  if (!job.ok) throw new Error(job.faults[0]!.message);
  return job.value;
}

function benchLay(seconds: number) {
  console.log(`\nlays of a made-up workroom batch, ${seconds} s each: first plan, used/bound, hand/used`);
  for (const isMatched of [false, true]) {
    for (const n of [30, 100, 300, 1000]) {
      const job = workroomJob(n, isMatched);
      const first = timed(() => nest(job, { steps: 1, clock: now }));
      const found = nest(job, { seconds, clock: now });
      if (!found.ok || !first.value.ok) throw new Error('refused');
      const { used, bound } = found.value;
      const name = `${n} pieces, ${isMatched ? 'matched on a half drop' : 'plain'}`;
      console.log(
        `  ${name.padEnd(36)} ${first.ms.toFixed(0).padStart(6)} ms  ${(used / bound).toFixed(4)}  ${(handLength(job) / used).toFixed(3)}`,
      );
    }
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
    const plan = await layOnAllCores({ json, seconds, seed: job.value.search.seed }, new Cancel());
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
const seconds = Number(time ?? 5);
if (what !== 'lay') benchCutList();
benchLay(seconds);
const development = '../shared/bench/dev';
if (existsSync(development)) await benchDevelopment(development, seconds);
await closePool();
