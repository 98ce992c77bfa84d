/** A bundle ticket: the parts of one cover, or of all covers of a line that are sewn in one run. */
export type Ticket = { sort: 'cover'; coverId: number } | { sort: 'line'; lineId: number };

/** The code on a ticket, for its label and for typing: `C12` is a cover, `L7` the bundle of a line. */
export const ticketCode = (ticket: Ticket): string =>
  ticket.sort === 'cover' ? `C${ticket.coverId}` : `L${ticket.lineId}`;

/** A code as somebody typed it or a reader sent it, alone or at the end of an address; null where it is none. */
export function readTicketCode(text: string): Ticket | null {
  const found = /(?:^|\/)([CL])([1-9]\d{0,8})$/i.exec(text.trim());
  if (!found) return null;
  const id = Number(found[2]);
  return found[1]!.toUpperCase() === 'C' ? { sort: 'cover', coverId: id } : { sort: 'line', lineId: id };
}
