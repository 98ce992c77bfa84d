import 'server-only';
import { eq } from 'drizzle-orm';
import { cellText, type Cell } from '@/core/files/cell';
import { NM, printNumber, STYLES, typingUnit } from '@/core/length';
import { database, schema } from '@/db';
import { newPdf } from '@/features/lists/pdf';
import { asFile, type TableFile } from '@/features/lists/files';
import { loadCutLists } from '@/records/cut-lists';

const HEAD = ['Order', 'Line', 'Cover', 'Cloth', 'Part', 'How many', 'Across', 'Along', 'Unit', 'How it came about'];
const MARGIN = 40;
const WIDTHS = [38, 28, 120, 92, 96, 44, 50, 50, 28];
/** All that a batch cuts, a row for each part of each line; null when there is no such batch. */
async function rowsOf(batchId: number): Promise<{ name: string; rows: Cell[][] } | null> {
  const db = database();
  const [batch] = await db
    .select({ name: schema.batches.name })
    .from(schema.batches)
    .where(eq(schema.batches.id, batchId));
  if (!batch) return null;
  const { orders, cloths, kinds } = await loadCutLists(db, eq(schema.orderLines.batchId, batchId));
  const rows = orders.flatMap(({ orderNo, units, cutList, lines }) => {
    const unit = typingUnit(units);
    const size = (length: number): Cell => ({
      length: Number((length / NM[unit]).toFixed(6)),
      text: printNumber(length, STYLES[units]).text.replace('≈ ', ''),
      isInches: unit === 'in',
    });
    const row = (
      line: string,
      cloth: string,
      part: string,
      qty: number,
      [across, along]: [number, number],
      sum: [string, string],
    ) => {
      const own = lines.find(({ position }) => String(position) === line)!;
      return [
        Number(orderNo),
        Number(line),
        kinds.find(own.kind, own.kindVersion)?.name ?? own.kind,
        cloths.get(cloth)?.name ?? cloth,
        part,
        qty,
        size(across),
        size(along),
        unit,
        sum.filter(Boolean).join('; '),
      ];
    };
    return [
      ...cutList.pieces.map(({ line, cloth, name, qty, across, along, sum }) =>
        row(line, cloth, name, qty, [across, along], sum),
      ),
      ...cutList.strips.map(({ line, cloth, name, qty, width, length, grain, sum }) =>
        row(line, cloth, `${name} (${grain === 'bias' ? 'on the bias' : grain})`, qty, [width, length], sum),
      ),
    ];
  });
  return { name: batch.name, rows: [HEAD, ...rows] };
}

/** A batch's cut list as a file. */
export async function cutListFile(batchId: number, as: 'csv' | 'xlsx' | 'pdf'): Promise<TableFile | null> {
  const found = await rowsOf(batchId);
  if (!found) return null;
  const name = `cut-list-${batchId}`;
  if (as !== 'pdf') return asFile(found.rows, found.name, as, name);
  return {
    bytes: await cutListPdf(
      found.name,
      found.rows.map((row) => row.map(cellText)),
    ),
    type: 'application/pdf',
    name: `${name}.pdf`,
  };
}

function cutListPdf(batch: string, [head, ...rows]: (string | number)[][]): Promise<Buffer> {
  const { pdf, end } = newPdf(`Cut list of ${batch}`, { size: 'A4', layout: 'landscape', margin: MARGIN });
  const bottom = pdf.page.height - MARGIN - 20;
  const row = (cells: readonly (string | number)[], font: 'text' | 'bold') => {
    pdf.font(font).fontSize(9);
    const widths = [...WIDTHS, pdf.page.width - 2 * MARGIN - WIDTHS.reduce((sum, one) => sum + one, 0)];
    const high = Math.max(...cells.map((cell, i) => pdf.heightOfString(String(cell), { width: widths[i]! - 6 }))) + 5;
    if (pdf.y + high > bottom) {
      pdf.addPage();
      row(head!, 'bold');
      pdf.font(font).fontSize(9);
    }
    const y = pdf.y;
    let x = MARGIN;
    cells.forEach((cell, i) => {
      pdf.text(String(cell), x, y, { width: widths[i]! - 6 });
      x += widths[i]!;
    });
    pdf
      .moveTo(MARGIN, y + high - 2)
      .lineTo(pdf.page.width - MARGIN, y + high - 2)
      .lineWidth(0.4)
      .stroke('#8a968f');
    pdf.y = y + high;
    pdf.x = MARGIN;
  };
  pdf.font('bold').fontSize(18).text(`Cut list of ${batch}`);
  pdf.moveDown(0.5);
  row(head!, 'bold');
  for (const cells of rows) row(cells, 'text');
  pdf
    .moveDown()
    .font('text')
    .fontSize(8)
    .text(
      'Rotary cutter: close it when you put it down, fingers behind the ruler’s edge. Materials fall under local fire-safety rules: follow your local code and qualified practice.',
      MARGIN,
    );
  return end();
}
