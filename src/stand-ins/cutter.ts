import { randomUUID } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { checkDrawing, readCuts, type Bed, type Cut } from './cutter-drawing';
import { optionsOf } from './options';

// A stand-in for a cutting machine: takes a lay as DXF or SVG over HTTP, checks it, draws what it would cut, and "cuts" it by a clock.
// The protocol is docs/formats/cutter.md.

const MOST_BYTES = 20_000_000;
const MOST_JOBS = 50;
/** Lifting the tool, moving it and putting it down again, for each cut (s). */
const LIFT_S = 0.6;

interface Job {
  id: string;
  name: string;
  state: 'waiting' | 'cutting' | 'done' | 'stopped' | 'failed';
  cuts: Cut[];
  lengthMm: number;
  sharedMm: number;
  seconds: number;
  begunAt: number | null;
  progress: number;
  faults: string[];
}

const options = optionsOf(
  { port: '4101', bed: '20000x1800', speed: '400', hurry: '1', behave: 'well' },
  `usage: npm run stand-in -- cutter [--port N] [--bed LENGTHxWIDTH] [--speed MM_A_SECOND] [--hurry N] [--behave well|stalls|nonsense|dies|breaks]
  --bed     the bed in mm: along the cloth by across it (20000x1800)
  --hurry   so many times as fast as a real one
  --behave  badly on purpose: never answers, answers nonsense, ends at the first job, or breaks down half way`,
);
const [bedLength, bedWidth] = options.bed.split('x').map(Number) as [number, number];
const bed: Bed = { length: bedLength, width: bedWidth };
const jobs: Job[] = [];

function advance(job: Job) {
  if (job.state === 'waiting' && !jobs.some(({ state }) => state === 'cutting')) {
    job.state = 'cutting';
    job.begunAt = Date.now();
  }
  if (job.state !== 'cutting') return;
  job.progress = Math.min(1, (((Date.now() - job.begunAt!) / 1000) * Number(options.hurry)) / job.seconds);
  if (options.behave === 'breaks' && job.progress > 0.5) {
    job.state = 'failed';
    job.faults.push('The blade broke at half of the lay.');
  } else if (job.progress >= 1) job.state = 'done';
}
const tick = setInterval(() => jobs.forEach(advance), 100);
tick.unref();

const shown = ({ id, name, state, progress, seconds, lengthMm, sharedMm, faults, cuts }: Job) => ({
  id,
  name,
  state,
  progress,
  seconds,
  lengthMm,
  sharedMm,
  cuts: cuts.length,
  faults,
});

const json = (response: ServerResponse, status: number, value: unknown) => {
  response.writeHead(status, { 'content-type': 'application/json' });
  response.end(JSON.stringify(value));
};

async function bodyOf(request: IncomingMessage): Promise<string | null> {
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > MOST_BYTES) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

async function take(request: IncomingMessage, response: ServerResponse, url: URL) {
  const text = await bodyOf(request);
  if (text === null) return json(response, 413, { faults: ['The drawing is larger than 20 MB.'] });
  const read = readCuts(text, request.headers['content-type'] ?? '');
  const faults = 'message' in read ? [read.message] : checkDrawing(read.cuts, bed);
  if ('message' in read || faults.length > 0) return json(response, 422, { faults });
  const { lengthMm, sharedMm } = read;
  const seconds = lengthMm / Number(options.speed) + read.cuts.length * LIFT_S;
  const job: Job = {
    id: randomUUID(),
    name: (url.searchParams.get('name') ?? '').slice(0, 200),
    state: 'waiting',
    cuts: read.cuts,
    lengthMm,
    sharedMm,
    seconds,
    begunAt: null,
    progress: 0,
    faults: [],
  };
  jobs.push(job);
  if (jobs.length > MOST_JOBS) jobs.shift();
  advance(job);
  console.log(
    `took ${job.name || job.id}: ${read.cuts.length} cuts, ${(lengthMm / 1000).toFixed(1)} m, about ${seconds.toFixed(0)} s`,
  );
  json(response, 201, shown(job));
}

/** The drawing to cut: what is done so far is thick. */
function picture({ cuts, progress }: Job): string {
  const done = Math.floor(cuts.length * progress);
  const lines = cuts.map(
    ({ points }, i) =>
      `<polygon points="${points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ')}" stroke-width="${i < done ? 6 : 1.5}"/>`,
  );
  const [xs, ys] = [
    cuts.flatMap(({ points }) => points.map(([x]) => x)),
    cuts.flatMap(({ points }) => points.map(([, y]) => y)),
  ];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${left - 20} ${top - 20} ${Math.max(...xs) - left + 40} ${Math.max(...ys) - top + 40}" fill="none" stroke="#14241f">${lines.join('')}</svg>`;
}

const page =
  () => `<!doctype html><meta charset="utf-8"><meta http-equiv="refresh" content="2"><title>Stand-in cutter</title>
<body style="font:16px system-ui;margin:32px;max-width:900px"><h1>Stand-in cutter</h1><p>Bed ${bed.length} by ${bed.width} mm. It cuts nothing.</p>
${[...jobs]
  .reverse()
  .map(
    (job) =>
      `<h2>${job.name.replace(/[<&]/g, '')} <small>${job.state}, ${(100 * job.progress).toFixed(0)} %</small></h2>${picture(job)}`,
  )
  .join('')}`;

const server = createServer((request, response) => {
  const url = new URL(request.url ?? '/', 'http://localhost');
  if (options.behave === 'stalls') return;
  if (options.behave === 'nonsense') return void response.end('<<< 7 of clubs >>>');
  if (options.behave === 'dies' && request.method === 'POST') process.exit(1);
  const [, what, id, act] = url.pathname.split('/');
  const job = jobs.find((one) => one.id === id);
  if (job) advance(job);
  if (request.method === 'POST' && what === 'jobs' && !id)
    return void take(request, response, url).catch(() => response.destroy());
  if (request.method === 'GET' && !what) {
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' });
    return void response.end(page());
  }
  if (what !== 'jobs' || !job) return json(response, 404, { faults: ['There is no such job.'] });
  if (request.method === 'GET' && !act) return json(response, 200, shown(job));
  if (request.method === 'GET' && act === 'picture.svg') {
    response.writeHead(200, { 'content-type': 'image/svg+xml' });
    return void response.end(picture(job));
  }
  if (request.method === 'POST' && act === 'stop') {
    if (job.state === 'waiting' || job.state === 'cutting') job.state = 'stopped';
    return json(response, 200, shown(job));
  }
  json(response, 405, { faults: ['That can’t be asked of a cutter.'] });
});
server.listen(Number(options.port), '127.0.0.1', () =>
  console.log(`Stand-in cutter: http://127.0.0.1:${options.port}`),
);
