import { BroadcastChannel, receiveMessageOnPort, type MessagePort } from 'node:worker_threads';
import { expect, test } from 'vitest';
import { readJob, type SharedLay } from '@/core/lay';
import layTask from './lay-worker';

const read = readJob({
  format: 'jolly-bolt/lay-job',
  version: 1,
  units: 'in',
  cloth: { name: 't', width: 54, turns: 'half' },
  pieces: [
    { id: 'lid', size: [17, 23], qty: 9 },
    { id: 'side', size: [31, 5.5], qty: 11 },
    { id: 'end', size: [12.5, 9], qty: 8 },
  ],
});
if (!read.ok) throw new Error(read.faults[0]!.message);
const job = read.value;

/** Runs a task and returns its plan with what another thread would hear of it. */
function runHeard(channel: string, task: { channel?: string; seconds: number }) {
  const line = new BroadcastChannel(channel);
  try {
    const plan = layTask({ job, seed: 4, cancel: new SharedArrayBuffer(8), ...task });
    const published: SharedLay[] = [];
    const port = line as unknown as MessagePort;
    for (let next = receiveMessageOnPort(port); next; next = receiveMessageOnPort(port))
      published.push(next.message as SharedLay);
    return { plan, told: published };
  } finally {
    line.close();
  }
}

test('a worker tells the others of its better lays, the last of which is its plan', () => {
  const { plan, told: published } = runHeard('workers', { channel: 'workers', seconds: 0.4 });
  expect(published.length).toBeGreaterThan(0);
  const last = published.at(-1)!;
  const places = (of: [number, number][]) => of.map((place) => place.join()).sort();
  expect(places(Array.from(last.x, (x, i) => [x, last.y[i]!]))).toEqual(
    places(plan.lays.flatMap(({ placed }) => placed.map(({ x, y }): [number, number] => [x, y]))),
  );
  expect(plan.unplaced).toEqual([]);
});

test('without a channel nothing is shown', () => {
  expect(runHeard('nobody', { seconds: 0.1 }).told).toEqual([]);
});
