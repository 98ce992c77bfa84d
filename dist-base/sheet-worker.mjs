// src/work/sheet-worker.ts
import ExcelJS from "exceljs";
import Papa from "papaparse";
import yauzl from "yauzl";

// src/core/files/order-sheet.ts
var MOST_SHEET_ROWS = 1e4;
var MOST_SHEET_BYTES = 1e7;

// src/core/result.ts
var ok = (value) => ({ ok: true, value });
var refuse = (code, field, message) => ({
  ok: false,
  faults: [{ code, field, message }]
});

// src/work/sheet-worker.ts
var MOST_UNPACKED = 8e7;
var MOST_COLUMNS = 200;
var MOST_CELL = 4e3;
var XLSX = [80, 75, 3, 4];
var OLD_XLS = [208, 207, 17, 224];
var startsWith = (bytes, signature) => signature.every((byte, i) => bytes[i] === byte);
var no = (message) => refuse("sheet", "file", message);
async function readSheet({ bytes }) {
  if (bytes.length > MOST_SHEET_BYTES) return no(`The file is larger than ${MOST_SHEET_BYTES / 1e6} MB; split it.`);
  if (bytes.length === 0) return no("The file is empty.");
  if (startsWith(bytes, OLD_XLS)) return no("This is an old .xls workbook; save it as .xlsx or CSV and try again.");
  try {
    return startsWith(bytes, XLSX) ? await readWorkbook(bytes) : readText(bytes);
  } catch {
    return no("The file can\u2019t be read as a table: it is damaged, or not a CSV or XLSX file.");
  }
}
function readText(bytes) {
  const encoding = bytes[0] === 255 && bytes[1] === 254 ? "utf-16le" : "utf-8";
  let text;
  try {
    text = new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    text = new TextDecoder("windows-1252").decode(bytes);
  }
  if (/[\u0000-\u0008\u000e-\u001f]/.test(text))
    return no("This is not a table of text: it is not a CSV or XLSX file.");
  const { data } = Papa.parse(text.replace(/^\ufeff/, ""), {
    skipEmptyLines: "greedy",
    preview: MOST_SHEET_ROWS + 2
  });
  return toSheet(data);
}
async function readWorkbook(bytes) {
  const size = await unpackedSize(Buffer.from(bytes));
  if (size === null) return no(`The workbook unpacks to more than ${MOST_UNPACKED / 1e6} MB; that is no order list.`);
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(Buffer.from(bytes));
  const sheet = book.worksheets.find(({ state, rowCount }) => state === "visible" && rowCount > 0);
  if (!sheet) return no("The workbook has no sheet with anything on it.");
  if (sheet.rowCount > 4 * MOST_SHEET_ROWS || sheet.columnCount > 10 * MOST_COLUMNS)
    return no(
      `The sheet has ${sheet.rowCount.toLocaleString("en")} rows and ${sheet.columnCount} columns; at most ${MOST_SHEET_ROWS.toLocaleString("en")} rows are read.`
    );
  const rows = [];
  sheet.eachRow({ includeEmpty: false }, (row) => {
    const cells = [];
    row.eachCell({ includeEmpty: false }, (cell, column) => {
      if (column > MOST_COLUMNS) return;
      while (cells.length < column - 1) cells.push("");
      cells[column - 1] = cellText(cell);
    });
    if (cells.some((cell) => cell.trim())) rows.push(cells);
  });
  return toSheet(rows);
}
function cellText(cell) {
  const { value } = cell;
  if (value === null || value === void 0) return "";
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value !== "object") return String(value);
  if ("formula" in value || "sharedFormula" in value) return `=${cell.formula ?? ""}`;
  if ("richText" in value) return value.richText.map(({ text }) => text).join("");
  if ("text" in value) return String(value.text);
  return "error" in value ? String(value.error) : "";
}
function toSheet(rows) {
  const [columns, ...rest] = rows;
  if (!columns || columns.every((column) => column.trim() === "")) return no("The first row must name the columns.");
  if (columns.length > MOST_COLUMNS)
    return no(`The table has ${columns.length} columns; at most ${MOST_COLUMNS} are read.`);
  if (rest.length === 0) return no("Below the names of the columns there is nothing.");
  if (rest.length > MOST_SHEET_ROWS)
    return no(`The table has more than ${MOST_SHEET_ROWS.toLocaleString("en")} rows; split it.`);
  const cut = (cell) => (cell ?? "").slice(0, MOST_CELL);
  return ok({ columns: columns.map(cut), rows: rest.map((row) => columns.map((_, i) => cut(row[i]))) });
}
function unpackedSize(bytes) {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      let total = 0;
      zip.on("error", reject);
      zip.on("end", () => resolve(total));
      zip.on("entry", (entry) => {
        if (total + entry.uncompressedSize > MOST_UNPACKED) return resolve(null);
        zip.openReadStream(entry, (failure, stream) => {
          if (failure) return reject(failure);
          stream.on("data", (chunk) => {
            total += chunk.length;
            if (total > MOST_UNPACKED) {
              stream.destroy();
              resolve(null);
            }
          });
          stream.on("error", reject);
          stream.on("end", () => zip.readEntry());
        });
      });
      zip.readEntry();
    });
  });
}
export {
  readSheet as default
};
