import { describe, expect, test } from 'vitest';
import { refusalOf } from './guard';

const ask = (method: string, headers: Record<string, string>) =>
  refusalOf(method, new Headers(headers), 'workroom.lan')?.status ?? null;

describe('who is answered', () => {
  const host = { host: '127.0.0.1:3000' };

  test('reads by a known name; nothing by another or by none', () => {
    expect(ask('GET', host)).toBeNull();
    expect(ask('GET', { host: 'workroom.lan:3000' })).toBeNull();
    expect(ask('GET', { host: 'elsewhere.example' })).toBe(421);
    expect(ask('GET', {})).toBe(400);
  });

  test('changes from a page of this very host, port and scheme alone', () => {
    expect(ask('POST', { ...host, origin: 'http://127.0.0.1:3000' })).toBeNull();
    expect(ask('POST', host)).toBe(403);
    for (const origin of ['http://127.0.0.1:3001', 'http://localhost:3000', 'https://127.0.0.1:3000'])
      expect([origin, ask('POST', { ...host, origin })]).toEqual([origin, 403]);
    const secure = { host: 'workroom.lan', 'x-forwarded-proto': 'https' };
    expect(ask('POST', { ...secure, origin: 'https://workroom.lan' })).toBeNull();
    expect(ask('POST', { ...secure, origin: 'http://workroom.lan' })).toBe(403);
  });
});
