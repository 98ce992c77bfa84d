import 'server-only';
import { newPdf, type Pdf } from '@/features/lists/pdf';
import { dayText } from '@/features/money/day-text';
import type { Paper, PaperRow } from './paper';

const MARGIN = 56;
const TEXT = 10.5;
const SMALL = 9;
const LOGO = { wide: 200, high: 56 };

/** A paper for a customer as a PDF of A4: black on white, with the same words as on the screen. */
export function paperPdf(paper: Paper): Promise<Buffer> {
  const { pdf, end } = newPdf(paper.title, { size: 'A4', margin: MARGIN }, new Date(`${paper.day}T12:00:00Z`));
  drawHead(pdf, paper);
  drawRows(pdf, paper.rows);
  drawSums(pdf, paper.sums);
  pdf.y += 8;
  for (const note of paper.notes) paragraph(pdf, note, TEXT, 6);
  for (const caution of paper.cautions) paragraph(pdf, caution, SMALL, 4);
  if (paper.sign) {
    roomFor(pdf, 70);
    pdf.y += 46;
    rule(pdf, 0.75, MARGIN + 200);
    pdf.font('text').fontSize(SMALL).text(paper.sign, MARGIN, pdf.y);
  }
  return end();
}

const rightOf = (pdf: Pdf) => pdf.page.width - MARGIN;
const wideOf = (pdf: Pdf) => rightOf(pdf) - MARGIN;

function roomFor(pdf: Pdf, height: number) {
  if (pdf.y + height > pdf.page.height - MARGIN) pdf.addPage();
}

function rule(pdf: Pdf, weight: number, to = rightOf(pdf)) {
  pdf.moveTo(MARGIN, pdf.y).lineTo(to, pdf.y).lineWidth(weight).stroke();
  pdf.y += 5;
}

function paragraph(pdf: Pdf, text: string, size: number, below: number) {
  pdf.font('text').fontSize(size);
  roomFor(pdf, pdf.heightOfString(text, { width: wideOf(pdf) }));
  pdf.text(text, MARGIN, pdf.y, { width: wideOf(pdf) });
  pdf.y += below;
}

/** From whom and for whom, the title and its day. */
function drawHead(pdf: Pdf, { from, to, title, day, about }: Paper) {
  const wide = wideOf(pdf);
  const top = pdf.y;
  if (from.logo) {
    pdf.image(Buffer.from(from.logo, 'base64'), MARGIN, top, { fit: [LOGO.wide, LOGO.high] });
    pdf.y = top + LOGO.high + 8;
  }
  if (from.name)
    pdf
      .font('bold')
      .fontSize(13)
      .text(from.name, MARGIN, pdf.y, { width: wide / 2 });
  const head = [from.address, from.contact, from.taxNumber].filter(Boolean).join('\n');
  pdf.font('text').fontSize(TEXT);
  if (head) pdf.text(head, MARGIN, pdf.y, { width: wide / 2 });
  const under = pdf.y;
  const right = { x: MARGIN + wide * 0.58, width: wide * 0.42 };
  pdf.font('bold').text(to.name, right.x, top, { width: right.width });
  if (to.contact) pdf.font('text').text(to.contact, right.x, pdf.y, { width: right.width });
  pdf.y = Math.max(under, pdf.y) + 24;
  const y = pdf.y;
  pdf
    .font('bold')
    .fontSize(18)
    .text(title, MARGIN, y, { width: wide - 130 });
  const below = pdf.y;
  pdf
    .font('text')
    .fontSize(TEXT)
    .text(dayText(day), MARGIN, y + 6, { width: wide, align: 'right' });
  pdf.y = below;
  rule(pdf, 2.5);
  paragraph(pdf, about, TEXT, 12);
}

/** What is made, a row a line. */
function drawRows(pdf: Pdf, rows: readonly PaperRow[]) {
  const hasPrices = rows.some(({ together }) => together !== undefined);
  const columns = hasPrices ? [wideOf(pdf) - 270, 60, 100, 110] : [wideOf(pdf) - 60, 60];
  const row = (cells: string[], font: 'text' | 'bold') => {
    pdf.font(font).fontSize(TEXT);
    const widthOf = (i: number) => columns[i]! - (i === 0 ? 6 : 0);
    const height = Math.max(...cells.map((cell, i) => pdf.heightOfString(cell, { width: widthOf(i) })));
    roomFor(pdf, height + 10);
    const at = pdf.y;
    let x = MARGIN;
    for (const [i, cell] of cells.entries()) {
      pdf.text(cell, x, at, { width: widthOf(i), align: i === 0 ? 'left' : 'right' });
      x += columns[i]!;
    }
    pdf.y = at + height + 4;
    rule(pdf, 0.5);
  };
  row(['Covers', 'How many', ...(hasPrices ? ['Each', 'Together'] : [])], 'bold');
  for (const { kind, sizes, cloths, qty, each = '', together = '' } of rows)
    row([[kind, sizes, cloths].filter(Boolean).join('\n'), qty, ...(hasPrices ? [each, together] : [])], 'text');
}

/** What it comes to. */
function drawSums(pdf: Pdf, sums: Paper['sums']) {
  for (const { label, amount, isTotal } of sums) {
    roomFor(pdf, 24);
    pdf.font(isTotal ? 'bold' : 'text').fontSize(isTotal ? 13 : TEXT);
    const at = pdf.y;
    pdf.text(label, MARGIN, at, { width: wideOf(pdf) - 130 });
    const after = pdf.y;
    pdf.text(amount, MARGIN, at, { width: wideOf(pdf), align: 'right' });
    pdf.y = Math.max(after, pdf.y) + 3;
  }
}
