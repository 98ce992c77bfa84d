import { expect, test } from 'vitest';
import { readTicketCode, ticketCode } from './ticket-codes';

test('a ticket is read as it was written, alone, in small letters, or at the end of an address', () => {
  for (const ticket of [{ sort: 'cover', coverId: 12 } as const, { sort: 'line', lineId: 7 } as const]) {
    const code = ticketCode(ticket);
    for (const text of [code, code.toLowerCase(), ` ${code} `, `http://192.168.0.7:3000/piece/${code}`])
      expect(readTicketCode(text), text).toEqual(ticket);
  }
});

test.each(['', 'P12-7', 'C', 'C0', 'L-1', 'C12x', 'XC12', 'C9999999999'])('%o is none', (text) => {
  expect(readTicketCode(text)).toBeNull();
});
