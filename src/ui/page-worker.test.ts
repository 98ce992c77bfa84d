import { expect, test } from 'vitest';
import { askTold } from './page-worker';

test('what a worker still tells after its answer is not heard', async () => {
  const heard: number[] = [];
  let tell: (done: number) => void = () => undefined;
  const answer = await askTold(async (earOf) => {
    tell = earOf((done: number) => heard.push(done));
    tell(0.5);
    return 'laid';
  });
  tell(0.99);
  expect(answer).toBe('laid');
  expect(heard).toEqual([0.5]);
});

test('nor after it broke off', async () => {
  const heard: number[] = [];
  let tell: (done: number) => void = () => undefined;
  const asked = askTold((earOf) => {
    tell = earOf((done: number) => heard.push(done));
    return Promise.reject(new Error('gone'));
  });
  await expect(asked).rejects.toThrow('gone');
  tell(1);
  expect(heard).toEqual([]);
});
