import 'server-only';
import { printMoney } from '@/core/cost';
import { newPdf } from '@/features/lists/pdf';
import { dayText } from './day-text';
import { notBought } from './not-bought';
import type { QuoteView } from './queries';

const MARGIN = 56;
/** A quote as a PDF of A4, with the same words as on the screen. */
export function quotePdf(quote: QuoteView): Promise<Buffer> {
  const { order, sheet } = quote;
  const { pdf, end: ended } = newPdf(`Quote ${quote.no}`, { size: 'A4', margin: MARGIN }, new Date(quote.createdAt));
  const right = pdf.page.width - MARGIN;
  const wide = right - MARGIN;
  const row = (label: string, amount: string, font: 'text' | 'bold' = 'text', size = 11) => {
    const y = pdf.y;
    pdf
      .font(font)
      .fontSize(size)
      .text(label, MARGIN, y, { width: wide - 120 });
    const end = pdf.y;
    pdf.text(amount, MARGIN, y, { width: wide, align: 'right' });
    pdf.y = Math.max(end, pdf.y) + 4;
  };
  const line = (weight: number) => {
    pdf.moveTo(MARGIN, pdf.y).lineTo(right, pdf.y).lineWidth(weight).stroke();
    pdf.y += 8;
  };
  const { from } = quote;
  if (from.name) {
    pdf.font('bold').fontSize(13).text(from.name, MARGIN);
    pdf.font('text').fontSize(11).text([from.address, from.contact].filter(Boolean).join('\n'), MARGIN);
    pdf.moveDown(1.5);
  }
  row(`Quote ${quote.no}`, dayText(quote.createdAt.slice(0, 10)), 'bold', 18);
  line(2.5);
  pdf.font('text').fontSize(11);
  pdf.text(`For ${order.customer}, order ${order.no}, to be done by ${dayText(order.due)}`, MARGIN);
  pdf.moveDown();
  for (const { name, qty } of sheet.made) pdf.text(`${qty} × ${name}`, MARGIN + 12, pdf.y, { width: wide - 12 });
  pdf.moveDown();
  const tax = sheet.lines.find(({ part }) => part === 'tax');
  if (tax) {
    row('Price', printMoney(sheet.net, sheet.currency));
    row(`${tax.what}, ${tax.sum}`, printMoney(tax.amount, sheet.currency));
  }
  line(1.5);
  row('To pay', printMoney(sheet.total, sheet.currency), 'bold', 14);
  if (sheet.missing.length > 0)
    pdf
      .font('bold')
      .fontSize(9)
      .text(`Not in the sum: ${sheet.missing.join('; ')}.`, MARGIN, pdf.y, { width: wide });
  pdf.moveDown().font('text').fontSize(11);
  if (sheet.provided) pdf.text(notBought(sheet.provided), MARGIN, pdf.y, { width: wide }).moveDown();
  if (quote.words) pdf.text(quote.words, MARGIN, pdf.y, { width: wide }).moveDown();
  pdf.text(`This price holds until ${dayText(quote.validUntil)}.`, MARGIN, pdf.y, { width: wide }).moveDown();
  pdf
    .fontSize(9)
    .text(
      'Foam, filling and cover cloth of furniture fall under local fire-safety rules; what applies is decided by local codes and qualified practice.',
      MARGIN,
      pdf.y,
      { width: wide },
    );
  return ended();
}
