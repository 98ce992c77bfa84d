import type { CoverKind, KindBook } from '@/core/covers';
import { cutList, UNUSUAL, type OrderLine } from '@/core/cutlist';
import type { Cloth } from '@/core/cloth';
import type { OrderUnits } from '@/core/length';
import type { Fault } from '@/core/result';
import { readLineForm, toFormField, type LineForm, type TypedLength } from './form';

/** The workroom's part of a check of lines: the kinds, and the cloths by their ids. */
interface LineRoom {
  kinds: KindBook;
  cloths: ReadonlyMap<string, Cloth>;
  /** The notions of the catalogue that lines may name, by their ids; none where lines come from a sheet. */
  notions?: ReadonlySet<string>;
}

/** A line that can be cut, with everything that is kept of it. */
export interface AcceptedLine {
  form: LineForm;
  kind: CoverKind;
  outline: OrderLine['outline'];
  lengths: TypedLength[];
  /** The questions about measures that are outside their usual range. */
  unusual: { field: string; message: string }[];
}

/**
 * The one check of a line, for the form, sheets, copies and whatever else brings lines in: it is read and taken off on its cloths,
 * and what could not be cut is refused. Faults name the form's fields (`typed.width`, `cloth.face`).
 */
export function acceptLine(
  form: LineForm,
  units: OrderUnits,
  room: LineRoom,
): { line: AcceptedLine } | { faults: Fault[] } {
  const kind = room.kinds.find(form.kind, form.kindVersion);
  const read = readLineForm(form, units, '1', room.kinds);
  const unknown = Object.entries(form.cloth).flatMap(([role, id]): Fault[] =>
    id && !room.cloths.has(id)
      ? [{ code: 'cloth-unknown', field: `cloth.${role}`, message: 'This cloth is no longer kept; choose another.' }]
      : [],
  );
  const noNotions = Object.entries(form.notions).flatMap(([name, id]): Fault[] =>
    id && !room.notions?.has(id)
      ? [{ code: 'notion-unknown', field: `notions.${name}`, message: 'This is no longer kept; choose another.' }]
      : [],
  );
  const faults = [...read.faults, ...unknown, ...noNotions];
  if (faults.length > 0 || !kind) return { faults };
  const list = cutList([read.line], units, room);
  if (!list.ok) return { faults: list.faults.map((fault) => toFormField(fault, kind)) };
  const stops = list.value.warnings.filter(({ level }) => level === 'stop');
  if (stops.length > 0)
    return { faults: stops.map(({ code, field, message }) => ({ code, message, field: stopField(field) })) };
  const unusual = list.value.warnings.flatMap(({ code, field, message }) =>
    code === UNUSUAL ? [{ field, message }] : [],
  );
  return { line: { form, kind, outline: read.line.outline, lengths: read.lengths, unusual } };
}

/** Warnings name a measure or an option, or a choice of the line itself. */
const stopField = (field: string): string => (field === 'matching' || field === 'panels' ? field : `typed.${field}`);
