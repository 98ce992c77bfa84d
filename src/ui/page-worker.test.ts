import { expose } from 'comlink';
import { expect, test } from 'vitest';
import { whyBroken, pageWorker } from './page-worker';

type Ear = (done: number) => void;

/** A worker that does this, in the process of the test. */
function workerOf<Work extends object>(work: Work) {
  const { port1, port2 } = new MessageChannel();
  expose(work, port1 as never);
  const worker = Object.assign(port2, { terminate: () => port1.close() }) as unknown as Worker;
  return { asked: pageWorker<Work>(worker), worker };
}
const soon = () => new Promise((resolve) => setTimeout(resolve, 20));

test('what a worker tells is heard until its answer, and nothing after it', async () => {
  const ears: Ear[] = [];
  const { asked } = workerOf({ lay: async (ear: Ear) => (ears.push(ear), await ear(0.5), 'laid') });
  const heard: number[] = [];
  expect(await asked.ask((work, handlerOf) => work.lay(handlerOf((done: number) => heard.push(done))))).toBe('laid');
  ears[0]!(0.99);
  await soon();
  expect(heard).toEqual([0.5]);
  asked.end();
});

test('nor after it broke off, which is shown with what it said', async () => {
  const ears: Ear[] = [];
  const { asked } = workerOf({
    lay: async (ear: Ear): Promise<string> => (ears.push(ear), Promise.reject(new Error('no room'))),
  });
  const heard: number[] = [];
  const answer = asked.ask((work, handlerOf) => work.lay(handlerOf((done: number) => heard.push(done))));
  expect(await answer.catch(whyBroken)).toBe('no room');
  ears[0]!(1);
  await soon();
  expect(heard).toEqual([]);
  asked.end();
});

test.each([
  ['while it is asked', 0],
  ['before it is asked', 20],
])('one that can’t be loaded is shown and not waited for: %s', async (_, wait) => {
  const { asked, worker } = workerOf({ lay: () => new Promise<string>(() => undefined) });
  if (wait === 0) setTimeout(() => worker.onerror!({ message: '' } as ErrorEvent), 5);
  else worker.onerror!({ message: '' } as ErrorEvent);
  await new Promise((resolve) => setTimeout(resolve, wait));
  expect(await asked.ask((work) => work.lay()).catch(whyBroken)).toBe('its program did not come');
  asked.end();
});

test('one that is ended while it is asked answers nobody, and says so to whoever waits', async () => {
  const { asked } = workerOf({ lay: () => new Promise<string>(() => undefined) });
  const answer = asked.ask((work) => work.lay());
  asked.end();
  expect(await answer.catch(whyBroken)).toBe('it was ended');
});
