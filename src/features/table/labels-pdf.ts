import 'server-only';
import { newPdf, PT, type Pdf } from '@/features/lists/pdf';
import { markColour, markPath } from '@/ui/order-mark';
import { HEAD, LABEL_PAD_MM, layOutLabel, LINE_HEIGHT } from './label-layout';
import { getLabels, type PieceLabel } from './labels';
import { qrPath } from './qr-path';
import { getTickets } from './tickets';

/** What is printed of a batch: a label for each piece, or a bundle ticket for each cover or line. */
export interface LabelChoice {
  batchId: number;
  what: 'pieces' | 'covers' | 'lines';
}

const INK = '#000';
/** The labels of a batch as a PDF, a page a label of the given size (mm): what a label printer takes. `origin`: where their codes lead. */
export async function labelsPdf(
  { batchId, what }: LabelChoice,
  size: { width: number; height: number },
  origin: string,
): Promise<{ bytes: Uint8Array; count: number } | { message: string }> {
  const found = await getLabels(batchId);
  if (!found || found.labels.length === 0) return { message: 'This batch has no lays yet, so no labels.' };
  const labels = what === 'pieces' ? found.labels : (await getTickets(batchId))[what];
  if (labels.length === 0) return { message: 'Bundle tickets are made once the batch is approved.' };
  const { pdf, end } = newPdf(`Labels of ${found.name}`, { autoFirstPage: false, margin: 0 });
  for (const label of labels) drawLabel(pdf, label, size, origin);
  return { bytes: await end(), count: labels.length };
}

function drawLabel(pdf: Pdf, label: PieceLabel, size: { width: number; height: number }, origin: string) {
  const { width, height } = size;
  pdf.addPage({ size: [width * PT, height * PT], margin: 0 });
  const { codeMm, pt, lines } = layOutLabel(label, size);
  drawCode(pdf, `${origin}/piece/${label.code}`, LABEL_PAD_MM, LABEL_PAD_MM, codeMm);
  const left = (LABEL_PAD_MM + codeMm + LABEL_PAD_MM) * PT;
  let y = LABEL_PAD_MM * PT;
  const row = (text: string, letters: number, font: 'text' | 'bold', x = left) => {
    pdf.font(font).fontSize(letters).fillColor(INK).text(text, x, y, { lineBreak: false });
    y += letters * LINE_HEIGHT;
  };
  const sign = pt * 1.5;
  pdf
    .save()
    .translate(left, y)
    .scale(sign / 20)
    .path(markPath(label.mark))
    .fill(markColour(label.mark), 'even-odd')
    .restore();
  row(`${label.orderNo}  ${label.code}`, pt * HEAD * 0.93, 'bold', left + sign + 1.5 * PT);
  // The typeface of the files has no such sign.
  for (const { rows, pt: own, isBold } of lines)
    for (const text of rows) row(text.replace(' ◇', ', matched'), own, isBold ? 'bold' : 'text');
}

/** A QR code in a square of so many mm, as one path. */
function drawCode(pdf: Pdf, text: string, x: number, y: number, side: number) {
  const { d, size } = qrPath(text);
  const dot = (side * PT) / size;
  pdf
    .save()
    .translate(x * PT, y * PT)
    .scale(dot)
    .path(d)
    .fill(INK)
    .restore();
}
