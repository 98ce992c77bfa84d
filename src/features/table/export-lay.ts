import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { and, eq } from 'drizzle-orm';
import { layDxf } from '@/core/files/lay/lay-dxf';
import { layRows } from '@/core/files/lay/lay-rows';
import { laySheets } from '@/core/files/lay/lay-sheets';
import { laySvg } from '@/core/files/lay/lay-svg';
import { database, schema } from '@/db';
import type { ClothRow } from '@/db/rows';
import { asFile, type TableFile } from '@/features/lists/files';
import { MOST_PAGES, overviewPdf, plotterPdf, tilesPdf, type Paper } from './lay-pdf';

/** The forms in which a lay can be taken along. */
const LAY_FORMATS = ['job', 'plan', 'svg', 'dxf', 'pdf', 'tiles', 'plotter', 'csv', 'xlsx'] as const;
type LayFormat = (typeof LAY_FORMATS)[number];
export const isLayFormat = (what: string): what is LayFormat => (LAY_FORMATS as readonly string[]).includes(what);

/** A lay as a file; null when there is no such lay, a sentence where it can't be had so. */
export async function exportLay(
  batchId: number,
  clothId: number,
  format: LayFormat,
  paper: Paper,
): Promise<TableFile | { message: string } | null> {
  const { lays, batches } = schema;
  const [found] = await database()
    .select({ row: lays, batch: batches.name })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(and(eq(lays.clothId, clothId), eq(lays.batchId, batchId)));
  if (!found) return null;
  const { row, batch } = found;
  const name = `lay-${batchId}-${clothId}-${format}`;
  if (format === 'job' || format === 'plan')
    return { bytes: JSON.stringify(row[format], null, 1), type: 'application/json', name: `${name}.json` };
  const cloth = row.cloth as ClothRow;
  const marker = markerOf(row);
  const title = { cloth: cloth.name, batch };
  if (format === 'csv' || format === 'xlsx') return asFile(layRows(marker), cloth.name, format, name);
  const sheets = laySheets(marker, row.units);
  switch (format) {
    case 'svg':
      return { bytes: laySvg(sheets, `${cloth.name}, ${batch}`), type: 'image/svg+xml', name: `${name}.svg` };
    case 'dxf':
      return { bytes: layDxf(sheets), type: 'image/vnd.dxf', name: `${name}.dxf` };
    case 'pdf':
      return { bytes: await overviewPdf(sheets, title, paper), type: 'application/pdf', name: `${name}.pdf` };
    case 'plotter':
      return { bytes: await plotterPdf(sheets, title), type: 'application/pdf', name: `${name}.pdf` };
    case 'tiles': {
      const tiles = tilesPdf(sheets, title, paper);
      if (!tiles)
        return {
          message: `At true size this lay takes more than ${MOST_PAGES} pages to glue; take the wide page for a plotter.`,
        };
      return { bytes: await tiles, type: 'application/pdf', name: `${name}.pdf` };
    }
  }
}
