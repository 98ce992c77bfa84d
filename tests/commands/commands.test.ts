import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, test } from 'vitest';

const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
afterAll(() => rmSync(folder, { recursive: true }));

const { scripts } = JSON.parse(readFileSync('package.json', 'utf8')) as { scripts: Record<string, string> };
/** Runs a command as `npm run` does, without the half second that npm takes itself. */
const run = (command: string, args: string[], input?: string) => {
  const [program, ...own] = scripts[command]!.split(' ');
  return spawnSync(program!, [...own, ...args], { encoding: 'utf8', input, timeout: 120_000 });
};
const file = (name: string, content: unknown) => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};
const job = (rest: object = {}) => ({
  format: 'jolly-bolt/lay-job',
  version: 1,
  units: 'in',
  cloth: { name: 'test', width: 54, selvage: [0.5, 0.5], turns: 'half' },
  pieces: [{ id: 'a', size: [26.5, 10], qty: 4 }],
  ...rest,
});

describe('nest', () => {
  test('writes a plan to standard output', () => {
    const { status, stdout, stderr } = spawnSync(
      'npm',
      ['run', '--silent', 'nest', '--', file('good.json', job()), '--seconds', '0.2'],
      { encoding: 'utf8' },
    );
    expect([status, stderr]).toEqual([0, '']);
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'jolly-bolt/lay-plan',
      version: 1,
      units: 'in',
      unplaced: [],
      totals: { used: 20, bound: 20 },
    });
  });

  test('reads standard input and writes a file; the same seed gives the same plan', () => {
    const pieces = Array.from({ length: 12 }, (_, i) => ({ id: `p${i}`, size: [5 + i, 17 - i], qty: 2 }));
    const out = ['1', '2'].map((name) => join(folder, `plan${name}.json`));
    for (const path of out) {
      const { status, stdout } = run(
        'nest',
        ['-', '--out', path, '--seconds', '60', '--steps', '200', '--seed', '7'],
        JSON.stringify(job({ pieces })),
      );
      expect([status, stdout]).toEqual([0, '']);
    }
    expect(readFileSync(out[0]!, 'utf8')).toBe(readFileSync(out[1]!, 'utf8'));
  });

  test('what fits on nothing is unplaced and no error', () => {
    const { status, stdout } = run('nest', ['-'], JSON.stringify(job({ pieces: [{ id: 'wide', size: [60, 20] }] })));
    expect(status).toBe(0);
    expect(JSON.parse(stdout).unplaced).toEqual([{ piece: 'wide', copy: 1, why: 'no stock length is wide enough' }]);
  });

  test.each([
    ['a negative size', job({ pieces: [{ id: 'a', size: [-1, 2] }] }), 'pieces[0].size[0]: -1 is not more than zero'],
    ['no JSON', '{"format":', 'not JSON'],
    ['an empty file', '', 'not JSON'],
    ['a wrong format', { format: 'x' }, 'format: "x"'],
  ])('%s: status 2 and one line', (_, content, message) => {
    const out = join(folder, 'never.json');
    const { status, stdout, stderr } = run('nest', [file('bad.json', content), '--out', out]);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toContain(message);
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(() => readFileSync(out)).toThrow();
  });

  test.each([
    [['/no/such/file.json'], '/no/such/file.json: there is no such file'],
    [[folder], 'this is a folder'],
    [[], 'usage: nest'],
    [['a', 'b'], 'usage: nest'],
    [['x.json', '--seconds', 'soon'], '--seconds: soon'],
    [['x.json', '--seed', '1.5'], '--seed: 1.5'],
    [['x.json', '--fast'], 'usage: nest'],
  ])('%j: status 2 and one line', (args, message) => {
    const { status, stderr } = run('nest', args);
    expect(status).toBe(2);
    expect(stderr).toContain(message);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});

describe('plan-days and estimate', () => {
  const day = {
    format: 'jolly-bolt/day-job',
    version: 1,
    from: '2027-03-01T08:00',
    people: [{ id: 'Ada', does: ['sew'], windows: [['2027-03-01T08:00', '2027-03-01T12:00']] }],
    places: [{ id: 'machines', does: ['sew'] }],
    runs: [{ id: 'a', order: '1', does: 'sew', minutes: 60 }],
    orders: [{ id: '1', promised: '2027-03-01' }],
  };

  test('a day plan goes to standard output; what is no job is one line and status 2', () => {
    const { status, stdout } = run('plan-days', ['-'], JSON.stringify(day));
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ format: 'jolly-bolt/day-plan', runs: [{ id: 'a', person: 'Ada' }] });
    const wrong = run('plan-days', ['-'], JSON.stringify({ ...day, orders: [] }));
    expect([wrong.status, wrong.stdout, wrong.stderr.trim()]).toEqual([
      2,
      '',
      'Run a is of order 1, which is not there.',
    ]);
    expect(run('plan-days', ['-', '--seconds', 'soon'], JSON.stringify(day)).status).toBe(2);
    expect(run('plan-days', ['-'], 'no json').stderr.trim()).toBe('- is no JSON.');
  });

  test('an estimate goes to standard output', () => {
    const log = {
      format: 'jolly-bolt/minutes-log',
      version: 1,
      list: [{ kind: 'x', setup: 10, each: 30 }],
      cases: [],
      asked: [{ kind: 'x', options: [], seam: 2, person: null, covers: 2 }],
    };
    const { status, stdout } = run('estimate', ['-'], JSON.stringify(log));
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'jolly-bolt/minutes-estimate',
      answers: [{ setup: 10, minutes: 60, restsOn: 0 }],
      outliers: [],
    });
    expect(run('estimate', ['-'], '{}').status).toBe(2);
  });
});

describe('takeoff', () => {
  const order = (measures: object, options: object = {}) => ({
    format: 'jolly-bolt/order',
    version: 1,
    units: 'in',
    order: { no: 'T-1', customer: 'x', due: '2027-01-01' },
    lines: [{ id: '1', kind: 'envelope-cushion', qty: 4, measures, options, cloth: { face: 'Reed' } }],
  });

  test('writes the cut list with its sums', () => {
    const { status, stdout } = run(
      'takeoff',
      ['-'],
      JSON.stringify(order({ width: '20', height: 20 }, { hem: [0.25, 0.25], overlap: 6 })),
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'jolly-bolt/cut-list',
      version: 1,
      pieces: [
        { line: '1', name: 'front', role: 'face', cloth: 'Reed', qty: 4, size: [21, 21] },
        {
          line: '1',
          name: 'back panel',
          role: 'face',
          cloth: 'Reed',
          qty: 8,
          size: [21, 14],
          sum: ['20 + 2 x 1/2 = 21', '(21 + 6) / 2 + 1/2 = 14'],
        },
      ],
      warnings: [],
    });
  });

  test('names the line, the field and the value', () => {
    const { status, stdout, stderr } = run('takeoff', ['-'], JSON.stringify(order({ width: '20 elbows', height: 20 })));
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(/^line 1: measures\.width: .*elbows.*\n$/);
  });
});

describe('npm start says what is in the way', () => {
  const start = (env: object, ...args: string[]) =>
    spawnSync(process.execPath, ['scripts/start.mjs', ...args], {
      encoding: 'utf8',
      timeout: 120_000,
      env: { ...process.env, ...env },
    });

  test('a taken port', async () => {
    const server = createServer().listen(0, '127.0.0.1');
    await new Promise((resolve) => server.on('listening', resolve));
    const { port } = server.address() as AddressInfo;
    const { status, stderr } = start({ PORT: String(port) }, '--data', join(folder, 'data'));
    server.close();
    expect(status).toBe(1);
    expect(stderr).toBe(
      `Port ${port} of 127.0.0.1 is taken by another program: stop that one, or use another port with "PORT=${port + 1} npm start".\n`,
    );
  });

  test('a port that is none, an unknown flag, a folder that can’t be made', () => {
    expect(start({ PORT: 'web' }).stderr).toBe('PORT is "web"; a port is a whole number from 1 to 65535.\n');
    expect(start({}, '--demo').stderr).toContain("Unknown option '--demo'");
    expect(start({}, '--host', 'a b').stderr).toMatch(/^--host a b: a name like workroom\.lan is needed/);
    expect(start({}, '--help').stdout).toContain('--host NAME');
    expect(start({}, '--data', join(folder, 'good.json', 'data')).stderr).toMatch(
      /^The folder .*good\.json\/data can't be used: ENOTDIR/,
    );
  });

  test('options for the network that do not fit together, or files that can’t be read', () => {
    expect(start({}, '--cert', 'a.pem', '--key', 'b.pem').stderr).toBe(
      '--cert and --key are for devices on the network: give --host too.\n',
    );
    expect(start({}, '--host', 'workroom.lan', '--cert', 'a.pem').stderr).toBe('--cert and --key belong together.\n');
    expect(start({}, '--host', 'workroom.lan', '--cert', 'a.pem', '--key', 'b.pem').stderr).toMatch(
      /^--cert a\.pem can't be read: ENOENT/,
    );
    expect(start({}, '--host', 'workroom.lan', '--dev').stderr).toBe(
      '--dev answers on this machine alone: leave --host out.\n',
    );
  });

  test('a stand-in that is none', () => {
    const { status, stderr } = spawnSync(process.execPath, ['scripts/stand-in.mjs', 'loom'], { encoding: 'utf8' });
    expect([status, stderr]).toEqual([1, expect.stringMatching(/^usage: npm run stand-in -- NAME/)]);
  });

  test('a Node that is too old', () => {
    const script = `Object.defineProperty(process.versions, 'node', { value: '18.19.0' }); await import('./scripts/start.mjs');`;
    const { status, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', script], { encoding: 'utf8' });
    expect([status, stderr]).toEqual([
      1,
      'Jolly Bolt needs Node 20.9 or newer, and this is 18.19.0: install Node 20 and run this again.\n',
    ]);
  });
});

test('an error of the engine’s own is not said to be a fault of the job', () => {
  // A bundle of a command whose body breaks.
  const script = `process.argv = ['node', 'x']; import('./src/cli/command.ts').then(({ runCommand }) => runCommand('usage', () => { throw new TypeError('nothing there'); }));`;
  const { status, stderr } = spawnSync('node_modules/.bin/tsx', ['--eval', script], { encoding: 'utf8' });
  expect([status, stderr]).toEqual([70, 'This is a fault of the program, not of what you gave it: nothing there\n']);
});

test.each([
  'nest',
  'takeoff',
  'plan-days',
  'estimate',
  'fuzz',
  'bench',
  'backup',
  'restore',
  'make-workroom',
  'demo:reset',
  'bench:load',
])('%s --help says how it is used', (command) => {
  const { status, stdout } = run(command, ['--help']);
  expect(status).toBe(0);
  expect(stdout).toMatch(/^usage: /);
});
