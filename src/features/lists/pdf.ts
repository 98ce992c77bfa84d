import 'server-only';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';

/** Points (1/72 in) a millimetre. */
export const PT = 72 / 25.4;

const FONT = join(
  /*turbopackIgnore: true*/ process.env.JOLLY_BOLT_HOME ?? process.cwd(),
  'node_modules/@fontsource/atkinson-hyperlegible/files',
);

export type Pdf = InstanceType<typeof PDFDocument>;

/**
 * A PDF in our own typeface (`text` and `bold`), and what ends it and gives its bytes. The same content gives the same bytes: `made` is
 * the time that it carries.
 */
export function newPdf(
  title: string,
  options: PDFKit.PDFDocumentOptions,
  made = new Date(0),
): { pdf: Pdf; end: () => Promise<Buffer> } {
  const pdf = new PDFDocument({ ...options, info: { Title: title, CreationDate: made } });
  pdf.registerFont('text', join(FONT, 'atkinson-hyperlegible-latin-400-normal.woff'));
  pdf.registerFont('bold', join(FONT, 'atkinson-hyperlegible-latin-700-normal.woff'));
  const chunks: Buffer[] = [];
  const isDone = new Promise<Buffer>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', () => resolve(Buffer.concat(chunks)));
    pdf.on('error', reject);
  });
  return { pdf, end: () => (pdf.end(), isDone) };
}
