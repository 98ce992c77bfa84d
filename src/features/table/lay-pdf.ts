import 'server-only';
import { newPdf, PT, type Pdf } from '@/features/lists/pdf';
import { middleOf, type LaySheet, type SheetItem } from '@/core/files/lay/lay-sheets';

const PAPERS = { a4: { name: 'A4', mm: [210, 297] }, letter: { name: 'Letter', mm: [215.9, 279.4] } } as const;
export type Paper = keyof typeof PAPERS;

/** Nothing is printed so near to the edge of a page (mm): printers leave a margin. */
const MARGIN = 12;
/** Neighbouring pages show the same so far (mm), to be glued. */
const OVERLAP = 10;
/** Most pages: nobody glues a lay of more together. */
export const MOST_PAGES = 400;
/** The longest side of a page that the format takes (14,400 points; PDF 1.7, annex C), with some to spare. */
const LONGEST_PAGE = 5_000;
const TEST_LINE = 100;
const MARK = 4;
const INK = '#14241f';
const CAUTION =
  'Cutting: close the rotary cutter when you put it down, fingers behind the ruler’s edge. Materials fall under local fire-safety rules: follow your local code and qualified practice.';

/** Text on a page about its lay. */
interface LayTitle {
  cloth: string;
  batch: string;
}

const layPdf = ({ cloth, batch }: LayTitle) => newPdf(`${cloth}, ${batch}`, { autoFirstPage: false, margin: 0 });

const page = (pdf: Pdf, width: number, height: number) => pdf.addPage({ size: [width * PT, height * PT], margin: 0 });

/** A text that may run over the lower edge without beginning a page. */
const say = (
  pdf: Pdf,
  text: string,
  x: number,
  y: number,
  size: number,
  font: 'text' | 'bold' = 'text',
  width?: number,
) =>
  pdf
    .font(font)
    .fontSize(size)
    .fillColor(INK)
    .text(text, x * PT, y * PT, {
      lineBreak: width !== undefined,
      ...(width && { width: width * PT }),
      height: 4 * size,
    });

/** The lay small enough for one page, with its names. */
export function overviewPdf(sheets: readonly LaySheet[], title: LayTitle, paper: Paper): Promise<Buffer> {
  const { pdf, end } = layPdf(title);
  const [short, long] = PAPERS[paper].mm;
  for (const sheet of sheets) {
    page(pdf, long, short);
    say(pdf, `${title.cloth}, ${sheet.code}`, MARGIN, MARGIN, 18, 'bold');
    say(
      pdf,
      `${title.batch}; ${round(sheet.used)} mm from the squared end, ${round(sheet.width)} mm wide, ${sheet.items.length} pieces and strips`,
      MARGIN,
      MARGIN + 9,
      10,
    );
    const [wide, high] = [long - 2 * MARGIN, short - 2 * MARGIN - 34];
    const scale = Math.min(wide / sheet.used, high / sheet.width);
    pdf
      .save()
      .translate(MARGIN * PT, (MARGIN + 18) * PT)
      .scale(scale);
    drawSheet(pdf, sheet, 1 / scale, (item) => Math.min(9 / scale, item.height / 3, item.width / 6));
    pdf.restore();
    say(
      pdf,
      `Scale 1 : ${(1 / scale).toFixed(1)}. ${CAUTION}`,
      MARGIN,
      short - MARGIN - 8,
      8,
      'text',
      long - 2 * MARGIN,
    );
  }
  return end();
}

const round = (mm: number) => Math.round(mm * 10) / 10;

/** How a length is divided over pages: how many along and across, and how much of the lay each shows (mm). */
export function tilesOf({ used, width }: Pick<LaySheet, 'used' | 'width'>, paper: Paper) {
  const [across, along] = PAPERS[paper].mm;
  const [long, wide] = [along - 2 * MARGIN - OVERLAP, across - 2 * MARGIN - OVERLAP];
  return { columns: Math.max(1, Math.ceil(used / long)), rows: Math.max(1, Math.ceil(width / wide)), long, wide };
}

/** The lay at true scale on sheets of paper to be glued, with match marks in their corners and a line of 100 mm to measure; null where it takes too many. */
export function tilesPdf(sheets: readonly LaySheet[], title: LayTitle, paper: Paper): Promise<Buffer> | null {
  const pages = sheets.reduce((sum, sheet) => sum + tilesOf(sheet, paper).columns * tilesOf(sheet, paper).rows, 0);
  if (pages > MOST_PAGES) return null;
  const { pdf, end } = layPdf(title);
  const [across, along] = PAPERS[paper].mm;
  for (const sheet of sheets) {
    const { columns, rows, long, wide } = tilesOf(sheet, paper);
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        page(pdf, along, across);
        const [x, y] = [column * long, row * wide];
        pdf.save();
        pdf.rect(MARGIN * PT, MARGIN * PT, (long + OVERLAP) * PT, (wide + OVERLAP) * PT).clip();
        pdf.translate((MARGIN - x) * PT, (MARGIN - y) * PT);
        drawSheet(pdf, sheet, 1, () => 5);
        pdf.restore();
        for (const [mx, my] of [
          [0, 0],
          [long, 0],
          [0, wide],
          [long, wide],
        ])
          matchMark(pdf, MARGIN + mx!, MARGIN + my!);
        say(
          pdf,
          `${title.cloth}, ${sheet.code}: column ${column + 1} of ${columns}, row ${row + 1} of ${rows}`,
          MARGIN,
          4,
          8,
          'bold',
        );
        if (row === 0 && column === 0) {
          testLine(pdf, along - MARGIN - TEST_LINE, across - 6);
          say(
            pdf,
            'Print at true size (100 %). This line is 100 mm long:',
            along - MARGIN - TEST_LINE - 74,
            across - 8,
            8,
          );
        } else say(pdf, CAUTION, MARGIN, across - 8, 6, 'text', along - 2 * MARGIN);
      }
    }
  }
  return end();
}

/** The lay at true scale on one wide page for a plotter, or on several where it is longer than a page may be. */
export function plotterPdf(sheets: readonly LaySheet[], title: LayTitle): Promise<Buffer> {
  const { pdf, end } = layPdf(title);
  for (const sheet of sheets) {
    const pages = Math.ceil(sheet.used / (LONGEST_PAGE - 2 * MARGIN));
    const long = sheet.used / pages;
    for (let i = 0; i < pages; i++) {
      page(pdf, long + 2 * MARGIN, sheet.width + 3 * MARGIN);
      pdf.save();
      pdf.rect(MARGIN * PT, MARGIN * PT, long * PT, sheet.width * PT).clip();
      pdf.translate((MARGIN - i * long) * PT, MARGIN * PT);
      drawSheet(pdf, sheet, 1, () => 12);
      pdf.restore();
      const y = sheet.width + 2 * MARGIN;
      testLine(pdf, MARGIN, y);
      say(
        pdf,
        `100 mm. ${title.cloth}, ${sheet.code}, ${title.batch}${pages > 1 ? `, part ${i + 1} of ${pages}` : ''}. ${CAUTION}`,
        MARGIN + TEST_LINE + 5,
        y - 3,
        10,
      );
    }
  }
  return end();
}

function testLine(pdf: Pdf, x: number, y: number) {
  pdf
    .moveTo(x * PT, y * PT)
    .lineTo((x + TEST_LINE) * PT, y * PT)
    .lineWidth(0.8)
    .strokeColor(INK)
    .stroke();
  for (const at of [x, x + TEST_LINE])
    pdf
      .moveTo(at * PT, (y - 2) * PT)
      .lineTo(at * PT, (y + 2) * PT)
      .stroke();
}

function matchMark(pdf: Pdf, x: number, y: number) {
  pdf.lineWidth(0.4).strokeColor(INK);
  pdf
    .moveTo((x - MARK) * PT, y * PT)
    .lineTo((x + MARK) * PT, y * PT)
    .stroke();
  pdf
    .moveTo(x * PT, (y - MARK) * PT)
    .lineTo(x * PT, (y + MARK) * PT)
    .stroke();
}

/** Draws a length in millimetres of the cloth; `px` is how thick a line of a third of a millimetre is there, `sizeOf` how large words are (mm). */
function drawSheet(pdf: Pdf, sheet: LaySheet, px: number, sizeOf: (box: { width: number; height: number }) => number) {
  const ring = (corners: readonly (readonly [number, number])[]) => {
    corners.forEach(([x, y], i) => (i === 0 ? pdf.moveTo(x * PT, y * PT) : pdf.lineTo(x * PT, y * PT)));
    return pdf.closePath();
  };
  const line = 0.9 * px;
  pdf.lineWidth(line).strokeColor('#8a968f');
  ring(
    sheet.outline ?? [
      [0, 0],
      [sheet.used, 0],
      [sheet.used, sheet.width],
      [0, sheet.width],
    ],
  ).stroke();
  for (const y of [sheet.selvage[0], sheet.width - sheet.selvage[1]])
    pdf
      .moveTo(0, y * PT)
      .lineTo(sheet.used * PT, y * PT)
      .stroke();
  pdf.strokeColor('#992d20');
  for (const [x0, y0, x1, y1] of sheet.flaws)
    ring([
      [x0, y0],
      [x1, y1],
      [x1, y0],
      [x0, y1],
    ]).stroke();
  for (const item of sheet.items) {
    pdf.strokeColor(INK).lineWidth(line);
    ring(item.ring).stroke();
    if (item.seam) {
      pdf.lineWidth(line / 2).dash(4 * px, { space: 3 * px });
      ring(item.seam).stroke();
      pdf.undash();
    }
    pdf.strokeColor('#1d5fb8').lineWidth(line / 2);
    for (const { points } of item.marks) {
      const [[x, y], end] = points as [[number, number], [number, number] | undefined];
      const cross = 3 * px;
      if (end)
        pdf
          .moveTo(x * PT, y * PT)
          .lineTo(end[0] * PT, end[1] * PT)
          .stroke();
      else {
        pdf
          .moveTo((x - cross) * PT, y * PT)
          .lineTo((x + cross) * PT, y * PT)
          .stroke();
        pdf
          .moveTo(x * PT, (y - cross) * PT)
          .lineTo(x * PT, (y + cross) * PT)
          .stroke();
      }
    }
    drawWords(pdf, item, sizeOf);
  }
}

function drawWords(pdf: Pdf, item: SheetItem, sizeOf: (box: { width: number; height: number }) => number) {
  const [xs, ys] = [item.ring.map(([x]) => x), item.ring.map(([, y]) => y)];
  const [width, height] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const size = sizeOf({ width, height });
  if (size < 0.8 || height < size * 1.2) return;
  const [x, y] = middleOf(item.ring);
  const words =
    item.isStrip || height < size * 3
      ? [`${item.orderNo} ${item.name} ${item.copy}`]
      : [`${item.orderNo} ${item.name} ${item.copy}`, item.size];
  words.forEach((text, i) =>
    pdf
      .font(i === 0 ? 'bold' : 'text')
      .fontSize(size * PT)
      .fillColor(INK)
      .text(text, (x - width / 2) * PT, (y + (i - words.length / 2) * size * 1.2) * PT, {
        width: width * PT,
        align: 'center',
        lineBreak: false,
        height: size * 2 * PT,
      }),
  );
}
