import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test, vi } from 'vitest';
import { findFaults, readJob, readPlan } from '@/core/lay';
import { button, press, seen, show } from '@/ui/testing/screen';
import { nearWorkers } from '@/ui/testing/workers';
import { LayFile } from './lay-file';
import { EXAMPLE_JOB } from './lay-file-example';
import { layFileWork } from './lay-file-work';

// A lay job from a file, laid in the page or a plan of it checked.

/** A search of a moment, as long as nothing else is said. */
const quick: typeof layFileWork = {
  ...layFileWork,
  lay: (text, _, number, onProgress, onBetter) => layFileWork.lay(text, 0.1, number, onProgress, onBetter),
};
let saved: { name: string; text: Promise<string> }[];
let blobs: Map<string, Blob>;

beforeEach(() => {
  [saved, blobs] = [[], new Map()];
  nearWorkers(quick);
  vi.spyOn(navigator, 'hardwareConcurrency', 'get').mockReturnValue(2);
  vi.spyOn(URL, 'createObjectURL').mockImplementation((blob) => {
    const url = `blob:${blobs.size}`;
    blobs.set(url, blob as Blob);
    return url;
  });
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push({ name: this.download, text: blobs.get(this.href)!.text() });
  });
});

const JOB = JSON.stringify(EXAMPLE_JOB);
const fileOf = (text: string, name: string) => new File([text], name, { type: 'application/json' });
const input = (label: string) => document.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)!;
async function withJob() {
  const { me } = show(<LayFile />);
  await me.upload(input('Lay job'), fileOf(JOB, 'seats-job.json'));
  await waitFor(() => button('Lay it'));
  return me;
}
/** Lays the job, and gives the plan that is saved. */
async function laidPlan(me: Awaited<ReturnType<typeof withJob>>) {
  await press(me, 'Lay it');
  await waitFor(() => button('Save the plan'));
  await press(me, 'Save the plan');
  return JSON.parse(await saved.at(-1)!.text) as {
    lays: { placed: { piece: string; copy: number; x: number; y: number }[] }[];
  };
}

test.each([
  ['half of a file', JOB.slice(0, 90), 'the file is not JSON'],
  ['another format', '{"format":"jolly-bolt/lay-plan"}', 'format: "jolly-bolt/lay-plan" is not "jolly-bolt/lay-job".'],
])('%s is not taken in, and says why; a good one after it is', async (_, text, why) => {
  const { me } = show(<LayFile />);
  await me.upload(input('Lay job'), fileOf(text, 'odd.json'));
  await waitFor(() => expect(seen()).toContain(`“odd.json” was not taken in: ${why}`));
  await me.upload(input('Lay job'), fileOf(JOB, 'seats-job.json'));
  await waitFor(() => button('Lay it'));
  expect(seen()).not.toContain('was not taken in');
  expect(seen()).toContain('seats-job.json');
});

test('it is laid, and the plan that is saved may be cut as it lies', async () => {
  const me = await withJob();
  const plan = await laidPlan(me);
  expect(saved[0]!.name).toBe('seats-plan.json');
  expect(seen()).toMatch(/Used.*Shortest possible.*In rows by hand/);
  const job = readJob(EXAMPLE_JOB);
  if (!job.ok) throw new Error(job.faults[0]!.message);
  const read = readPlan(plan, job.value);
  if (!read.ok) throw new Error(read.faults[0]!.message);
  expect(findFaults(job.value, read.value)).toEqual([]);
  expect(read.value.unplaced).toEqual([]);
});

test('a plan of it that is brought is checked: one that may be cut, one with two pieces on one place, one of another job', async () => {
  const me = await withJob();
  const plan = await laidPlan(me);
  await me.upload(input('Lay plan'), fileOf(JSON.stringify(plan), 'plan.json'));
  await waitFor(() => expect(seen()).toContain('This plan can be cut as it lies'));
  const [one, other] = plan.lays.find(({ placed }) => placed.length > 1)!.placed;
  Object.assign(other!, { x: one!.x, y: one!.y });
  await me.upload(input('Lay plan'), fileOf(JSON.stringify(plan), 'moved.json'));
  await waitFor(() => expect(seen()).toMatch(/wrong with this plan; it can’t be cut as it is\./));
  await me.upload(input('Lay plan'), fileOf(JOB, 'job.json'));
  await waitFor(() =>
    expect(seen()).toContain('“job.json” was not taken in: format: "jolly-bolt/lay-job" is not "jolly-bolt/lay-plan".'),
  );
  expect(seen()).not.toContain('wrong with this plan');
});

test('a search is stopped with the best that it has, or called off while it has none', async () => {
  const counts = nearWorkers({ ...quick, lay: () => new Promise(() => undefined) });
  const me = await withJob();
  await press(me, 'Lay it');
  await waitFor(() => button('Cancel'));
  expect(button('Lay it').disabled).toBe(true);
  const before = counts.ended;
  await press(me, 'Cancel');
  expect(counts.ended).toBe(before + 2);
  await waitFor(() => expect(button('Lay it').disabled).toBe(false));
  expect(seen()).not.toContain('Save the plan');
  nearWorkers({
    ...quick,
    lay: (text: string, _: number, number: number, onProgress: never, onBetter: never) => {
      layFileWork.lay(text, 0.1, number, onProgress, onBetter);
      return new Promise(() => undefined);
    },
  });
  await press(me, 'Lay it');
  await waitFor(() => button('Stop, keep the best'));
  await press(me, 'Stop, keep the best');
  await waitFor(() => button('Save the plan'));
});

test('a search that breaks off says so, and may be begun again', async () => {
  nearWorkers({ ...quick, lay: () => Promise.reject(new Error('out of memory')) });
  const me = await withJob();
  await press(me, 'Lay it');
  await waitFor(() => expect(seen()).toContain('the search broke off (out of memory)'));
  nearWorkers(quick);
  await laidPlan(me);
  expect(seen()).not.toContain('broke off');
});

test('another job takes its place', async () => {
  const me = await withJob();
  await laidPlan(me);
  await press(me, 'Another job');
  expect(seen()).toContain('What a lay job says');
  expect(seen()).not.toContain('Save the plan');
});
