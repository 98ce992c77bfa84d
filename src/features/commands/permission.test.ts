import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { expect, test } from 'vitest';
import { COMMAND_PLACES, mayRun, placeOf, type CommandName } from './permission';

const filesBelow = (folder: string) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => join(folder, name));

test('every command is in the table, and the table names no other', () => {
  const named = filesBelow('src/features')
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => readFileSync(file, 'utf8'))
    .filter((text) => /\bCommand</.test(text))
    .flatMap((text) => [...text.matchAll(/^\s+name: '([a-z ]+)',$/gm)].map(([, name]) => name));
  expect([...new Set(named)].sort()).toEqual(Object.keys(COMMAND_PLACES).sort());
});

test('every file has its place; money, archives, people and settings are the desk’s', () => {
  const routes = filesBelow('src/app/api')
    .filter((file) => file.endsWith('route.ts'))
    .map((file) => `/${relative('src/app', dirname(file)).replace(/\[\w+\]/g, '7')}`);
  expect(routes.filter((route) => placeOf(route) === null)).toEqual([]);
  for (const desk of ['/api/archive', '/api/backup', '/workroom', '/quotes/4', '/orders/7/cost/print', '/figures'])
    expect(placeOf(desk)).toBe('desk');
  for (const device of ['/api/batches/3/cutting/1', '/api/cloths/2/photo/5']) expect(placeOf(device)).toBe('device');
  for (const open of ['/orders', '/orders/7', '/batches/4/cutting/1', '/']) expect(placeOf(open)).toBeNull();
  const forDesk: CommandName[] = ['make backup', 'add person', 'save kind', 'step quote', 'delete order', 'receive'];
  for (const name of forDesk) {
    expect(mayRun(name, true)).toContain('at the desk');
    expect(mayRun(name, false)).toBeNull();
  }
  for (const name of ['note cuts', 'close lay', 'cut piece again'] satisfies CommandName[])
    expect(mayRun(name, true)).toBeNull();
});
