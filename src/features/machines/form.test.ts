import { describe, expect, test } from 'vitest';
import { hostAndPort, machineFaults, NO_MACHINES, type MachinesForm } from './form';

describe('a host and its port', () => {
  test.each([
    ['127.0.0.1:4102', { host: '127.0.0.1', port: 4102 }],
    [' printer.lan:9100 ', { host: 'printer.lan', port: 9100 }],
    ['p:1', { host: 'p', port: 1 }],
    ['p:65535', { host: 'p', port: 65_535 }],
  ])('“%s”', (text, address) => {
    expect(hostAndPort(text)).toEqual(address);
  });

  test.each([
    '',
    'printer',
    ':9100',
    'printer:',
    'printer:0',
    'printer:65536',
    'http://printer:9100',
    'a b:1',
    '-p:1',
    'p-:1',
    'p:1/x',
  ])('“%s” is none', (text) => {
    expect(hostAndPort(text)).toBeNull();
  });
});

describe('addresses of machines', () => {
  const fieldsOf = (part: Partial<MachinesForm>) =>
    machineFaults({ ...NO_MACHINES, ...part }).map(({ field }) => field);

  test('a workroom may have none, or all of them', () => {
    expect(machineFaults(NO_MACHINES)).toEqual([]);
    const all = {
      cutter: 'http://127.0.0.1:4101',
      printer: '127.0.0.1:4102',
      tape: 'ws://localhost:4104',
      supplier: 'https://mill.lan/prices',
    };
    expect(machineFaults(all)).toEqual([]);
  });

  test.each<[keyof MachinesForm, string]>([
    ['cutter', '127.0.0.1:4101'],
    ['cutter', 'ftp://127.0.0.1'],
    ['cutter', 'http://user@127.0.0.1:4101'],
    ['cutter', 'javascript:alert(1)'],
    ['printer', 'http://127.0.0.1:4102'],
    ['printer', '127.0.0.1'],
    // The page that listens to it runs on the device, and would reach any other machine from there.
    ['tape', 'ws://192.168.1.7:4104'],
    ['tape', 'ws://127.0.0.1.example:4104'],
    ['tape', 'http://127.0.0.1:4104'],
    ['supplier', 'file:///etc/passwd'],
    ['supplier', 'not an address'],
  ])('a %s at “%s” is refused at its field', (field, text) => {
    expect(fieldsOf({ [field]: text })).toEqual([field]);
    expect(machineFaults({ ...NO_MACHINES, [field]: text })[0]!.message).toMatch(/is like \S+/);
  });

  test.each<[keyof MachinesForm, string]>([
    ['cutter', 'http://8.8.8.8:4101'],
    ['cutter', 'https://cutter.example.com'],
    ['printer', '93.184.216.34:4102'],
    ['supplier', 'http://172.32.0.1/prices'],
    ['supplier', 'http://[2606:4700::1111]/prices'],
  ])('a %s at “%s” is outside the workroom, and refused', (field, text) => {
    const [fault] = machineFaults({ ...NO_MACHINES, [field]: text });
    expect(fault).toMatchObject({ field });
    expect(fault!.message).toContain('the workroom’s own network');
  });

  test.each<[keyof MachinesForm, string]>([
    ['cutter', 'http://192.168.1.20:4101'],
    ['cutter', 'http://cutter.lan'],
    ['printer', 'labels:9100'],
    ['printer', '10.0.0.4:9100'],
    ['supplier', 'http://172.20.3.4/prices'],
    ['supplier', 'http://[fd12:3456::1]/prices'],
  ])('a %s at “%s” is on the workroom’s own network', (field, text) => {
    expect(machineFaults({ ...NO_MACHINES, [field]: text })).toEqual([]);
  });

  test('several that are wrong are all shown', () => {
    expect(fieldsOf({ cutter: 'x', printer: 'x', tape: 'x', supplier: 'x' })).toEqual([
      'cutter',
      'printer',
      'tape',
      'supplier',
    ]);
  });
});
