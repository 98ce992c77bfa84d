// Sentences for what the database refuses, by PostgreSQL's own codes (appendix A of its manual).
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { answering, done } from './answer';

beforeEach(() => void vi.spyOn(console, 'error').mockImplementation(() => undefined));
afterEach(() => void vi.restoreAllMocks());

const refusedWith = async (code: string) => {
  const answer = await answering(async () => {
    throw Object.assign(new Error('Failed query'), { cause: { code } });
  });
  return answer.ok ? null : answer.faults[0]!;
};

test('what goes well is answered as it is', async () => {
  expect(await answering(async () => done(7))).toEqual({ ok: true, value: 7 });
});

test('a full disk, a lock that was waited for, and letters that can’t be kept have sentences of their own', async () => {
  expect(await refusedWith('53100')).toMatchObject({
    code: 'disk-full',
    message: expect.stringContaining('make room'),
  });
  for (const code of ['55P03', '57014'])
    expect(await refusedWith(code)).toMatchObject({ code: 'waited', message: expect.stringContaining('try again') });
  for (const code of ['22021', '22P05'])
    expect(await refusedWith(code)).toMatchObject({ message: expect.stringContaining('write that field again') });
});

test('anything else says that nothing was saved, names no inner thing, and is written down', async () => {
  const fault = await refusedWith('XX000');
  expect(fault).toMatchObject({
    code: 'unavailable',
    message: expect.stringContaining('What you typed is still here'),
  });
  expect(fault!.message).not.toContain('XX000');
  expect(console.error).toHaveBeenCalled();
});

test('what is not an error of ours goes on to whoever it is for', async () => {
  const redirect = new Error('NEXT_REDIRECT');
  const passOn = (error: unknown) => {
    throw error;
  };
  await expect(
    answering(async () => {
      throw redirect;
    }, passOn),
  ).rejects.toBe(redirect);
});
