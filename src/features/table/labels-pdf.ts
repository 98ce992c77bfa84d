import 'server-only';
import { encode } from 'uqr';
import { newPdf, PT, type Pdf } from '@/features/lists/pdf';
import { markColour, markPath } from '@/ui/order-mark';
import { getLabels, type PieceLabel } from './labels';

const PAD = 2.5;
const INK = '#000';
/** The labels of a batch as a PDF, a page a label of the given size (mm): what a label printer takes. `origin`: where their codes lead. */
export async function labelsPdf(
  batchId: number,
  size: { width: number; height: number },
  origin: string,
): Promise<{ bytes: Uint8Array; count: number } | { message: string }> {
  const found = await getLabels(batchId);
  if (!found || found.labels.length === 0) return { message: 'This batch has no lays yet, so no labels.' };
  const { pdf, end } = newPdf(`Labels of ${found.name}`, { autoFirstPage: false, margin: 0 });
  for (const label of found.labels) drawLabel(pdf, label, size, origin);
  return { bytes: await end(), count: found.labels.length };
}

function drawLabel(pdf: Pdf, label: PieceLabel, { width, height }: { width: number; height: number }, origin: string) {
  pdf.addPage({ size: [width * PT, height * PT], margin: 0 });
  const side = Math.min(height - 2 * PAD, width * 0.36);
  drawCode(pdf, `${origin}/piece/${label.code}`, PAD, PAD, side);
  const left = PAD + side + PAD;
  const base = Math.min(10, Math.max(6, height / 5));
  let y = PAD * PT;
  const line = (text: string, size: number, font: 'text' | 'bold', x = left) => {
    if (text === '' || y + size * 1.15 > (height - PAD / 2) * PT) return;
    pdf.font(font).fontSize(size).fillColor(INK).text(text, x * PT, y, { width: (width - x - PAD) * PT, height: size * 1.3, ellipsis: true, lineBreak: true }); // prettier-ignore
    y += size * 1.2;
  };
  const sign = (base * 1.5) / PT;
  pdf.save().translate(left * PT, y).scale((sign * PT) / 20).path(markPath(label.mark)).fill(markColour(label.mark), 'even-odd').restore(); // prettier-ignore
  line(`${label.orderNo}  ${label.code}`, base * 1.4, 'bold', left + sign + 1.5);
  line(`${label.piece}${label.isMatched ? ', matched' : ''}`, base * 1.15, 'bold');
  line(label.size, base, 'bold');
  line(label.cover, base, 'text');
  line(`${label.cloth}; ${label.customer}`, base, 'text');
  line(label.marks.length > 0 ? `Mark: ${label.marks.join(', ')}` : '', base, 'text');
  line(label.next, base, 'text');
}

/** A QR code (ISO/IEC 18004) of a text in a square of so many mm, with its quiet zone. */
function drawCode(pdf: Pdf, text: string, x: number, y: number, side: number) {
  const { data, size } = encode(text, { ecc: 'M', border: 2 });
  const dot = (side * PT) / size;
  data.forEach((row, i) =>
    row.forEach((isDark, k) => {
      if (isDark) pdf.rect(x * PT + k * dot, y * PT + i * dot, dot + 0.05, dot + 0.05);
    }),
  );
  pdf.fill(INK);
}
