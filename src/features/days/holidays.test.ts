// Public holidays from a calendar file: whole days, days that come back each year, and files that are none.
import { expect, test } from 'vitest';
import { readHolidays, withHolidays } from './holidays';

const file = (...events: string[]) =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//made up//EN\r\n${events.map((one) => `BEGIN:VEVENT\r\nUID:${one.length}\r\n${one}\r\nEND:VEVENT\r\n`).join('')}END:VCALENDAR\r\n`;
const read = (text: string) => {
  const found = readHolidays(text, '2026-12-02');
  return found.ok ? found.value.map(({ from, to, why }) => `${from} ${to} ${why}`) : found.faults[0]!.message;
};

test('a whole day ends where the next begins (RFC 5545, 3.6.1), and two days are two', () => {
  expect(read(file('DTSTART;VALUE=DATE:20261225\r\nDTEND;VALUE=DATE:20261227\r\nSUMMARY:Midwinter'))).toEqual([
    '2026-12-25 2026-12-26 Midwinter',
  ]);
  expect(read(file('DTSTART;VALUE=DATE:20270329\r\nSUMMARY:One day'))).toEqual(['2027-03-29 2027-03-29 One day']);
});

test('what comes back each year is taken for two years, and what is over is left out', () => {
  const yearly = file('DTSTART;VALUE=DATE:20200101\r\nRRULE:FREQ=YEARLY\r\nSUMMARY:New Year');
  expect(read(yearly)).toEqual(['2027-01-01 2027-01-01 New Year', '2028-01-01 2028-01-01 New Year']);
  expect(read(file('DTSTART;VALUE=DATE:20260501\r\nSUMMARY:Gone'))).toContain('no day in the two years');
});

test('a daily event for ever ends, and what is no calendar is refused in a sentence', () => {
  expect(read(file('DTSTART;VALUE=DATE:20261203\r\nRRULE:FREQ=DAILY\r\nSUMMARY:Each day'))).toHaveLength(200);
  for (const text of ['', 'name,day\nMidwinter,25 Dec', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT'])
    expect(read(text)).toContain('This is no calendar file');
});

test('days that are there already are not taken twice', () => {
  const one = { personId: null, from: '2026-12-25', to: '2026-12-25', why: 'closed' };
  expect(
    withHolidays(
      [one],
      [
        { ...one, why: 'Midwinter' },
        { ...one, from: '2026-12-26', to: '2026-12-26' },
      ],
    ),
  ).toHaveLength(2);
});
