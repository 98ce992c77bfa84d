import 'server-only';
import { eq } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';
import { insertRows } from '@/db/insert-rows';
import type { AcceptedLine } from './accept';

/** A new line with its place on its order. */
interface NewLine {
  orderId: number;
  position: number;
  line: AcceptedLine;
}

/** Everything of a line that its own row keeps. */
export const columnsOf = ({ form, kind, outline }: AcceptedLine) => ({
  kind: form.kind,
  kindVersion: kind.version,
  qty: Number(form.qty),
  fit: form.fit,
  measuredAs: form.measuredAs,
  taken: takenOf(form, kind),
  provided: form.provided,
  matching: form.matching,
  outline: outline ? { typed: form.outline, corners: outline } : null,
});

/** The measures of a kind that were taken otherwise than the line says. */
const takenOf = ({ taken, measuredAs }: AcceptedLine['form'], { measures }: AcceptedLine['kind']) =>
  Object.fromEntries(
    measures.flatMap(({ id }) => {
      const way = taken[id];
      return way === undefined || way === measuredAs ? [] : [[id, way]];
    }),
  );

/** Values of a line beside its own row. */
export function valuesOf({ form, kind, lengths }: AcceptedLine) {
  const choices = Object.entries(form.choices).filter(
    ([name, choice]) =>
      choice && kind.options.some(({ id, type }) => id === name && (type === 'choice' || type === 'count')),
  );
  const parts = [...new Set([...Object.keys(form.directions), ...Object.keys(form.panels)])];
  return {
    values: [
      ...lengths.map(({ name, part, isMeasure, nm, typed }) => ({
        name,
        part,
        isMeasure,
        valueNm: nm,
        typed,
        choice: null,
      })),
      ...choices.map(([name, choice]) => ({ name, part: 0, isMeasure: false, valueNm: null, typed: '', choice })),
    ],
    parts: parts.map((part) => ({
      part,
      direction: form.directions[part] ?? null,
      wide: form.panels[part] ?? null,
    })),
    cloths: Object.entries(form.cloth)
      .filter(([, id]) => id)
      .map(([role, id]) => ({ role: role as 'face', clothId: Number(id) })),
    notions: Object.entries(form.notions)
      .filter(([, id]) => id)
      .map(([notion, id]) => ({ notion, materialId: Number(id) })),
  };
}

/** Writes accepted lines, however many and however they came in. */
export async function saveLines(tx: Transaction, lines: readonly NewLine[]) {
  const ids = await insertRows(
    tx,
    schema.orderLines,
    lines.map(({ orderId, position, line }) => ({ orderId, position, ...columnsOf(line) })),
  );
  await saveValues(
    tx,
    lines.map(({ line }, i) => ({ lineId: ids[i]!, line })),
  );
}

/** Writes a stored line anew. */
export async function replaceLine(tx: Transaction, lineId: number, line: AcceptedLine) {
  await tx.update(schema.orderLines).set(columnsOf(line)).where(eq(schema.orderLines.id, lineId));
  await tx.delete(schema.lineValues).where(eq(schema.lineValues.lineId, lineId));
  await tx.delete(schema.lineCloths).where(eq(schema.lineCloths.lineId, lineId));
  await tx.delete(schema.lineParts).where(eq(schema.lineParts.lineId, lineId));
  await tx.delete(schema.lineMaterials).where(eq(schema.lineMaterials.lineId, lineId));
  await saveValues(tx, [{ lineId, line }]);
}

async function saveValues(tx: Transaction, lines: readonly { lineId: number; line: AcceptedLine }[]) {
  const all = lines.map(({ lineId, line }) => ({ lineId, ...valuesOf(line) }));
  await insertRows(
    tx,
    schema.lineValues,
    all.flatMap(({ lineId, values }) => values.map((one) => ({ lineId, ...one }))),
  );
  await insertRows(
    tx,
    schema.lineParts,
    all.flatMap(({ lineId, parts }) => parts.map((one) => ({ lineId, ...one }))),
  );
  await insertRows(
    tx,
    schema.lineCloths,
    all.flatMap(({ lineId, cloths }) => cloths.map((one) => ({ lineId, ...one }))),
  );
  await insertRows(
    tx,
    schema.lineMaterials,
    all.flatMap(({ lineId, notions }) => notions.map((one) => ({ lineId, ...one }))),
  );
}
