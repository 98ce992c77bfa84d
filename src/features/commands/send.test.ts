import { expect, test } from 'vitest';
import { done, failed } from './answer';
import { send } from './send';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

const lost = failed('', 'The workroom’s computer did not answer. What you typed is still here; try again.', 'offline');

test('each request has an id of its own; one that was not answered is a fault, and is sent again under the same', async () => {
  const ids: string[] = [];
  let isLost = false;
  const action = async (_name: string, requestId?: string) => {
    ids.push(requestId!);
    if (isLost) throw new TypeError('Failed to fetch');
    return done('it');
  };
  expect(await send(action, 'a')).toEqual(done('it'));
  await send(action, 'a');
  isLost = true;
  expect(await send(action, 'b')).toEqual(lost);
  isLost = false;
  await send(action, 'b');
  isLost = true;
  expect(await send(action, 'c')).toEqual(lost);
  isLost = false;
  // Other contents are another request.
  await send(action, 'd');
  expect(ids.every((id) => UUID.test(id))).toBe(true);
  expect(new Set(ids).size).toBe(5);
  expect(ids[2]).toBe(ids[3]);
});
