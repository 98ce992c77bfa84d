import type { KindBook, Taken } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import type { Fault } from '@/core/result';
import { FIT_LABELS, MATCHING_LABELS, readLineForm, ROLE_LABELS, TAKEN_LABELS, type LineForm } from './form';

/** A field of a line that can't change any more: its name in the form, its label, and how it is stored. */
interface Difference {
  field: string;
  label: string;
  stored: string;
}

/**
 * The differences of a form from the line that an approved batch holds: a fault for each such field, which says how it is stored. Lengths
 * differ by their values, not by how they are written.
 */
export function frozenFaults(
  stored: LineForm,
  typed: LineForm,
  { batch, units, kinds }: { batch: string; units: OrderUnits; kinds: KindBook },
): Fault[] {
  return differencesOf(stored, typed, units, kinds).map(({ field, label, stored: text }) => ({
    code: 'frozen',
    field,
    message: `${label} is ${text || 'empty'} in the approved batch “${batch}”, so it can’t be changed here. Take that approval back first, or write it as it was.`,
  }));
}

function differencesOf(stored: LineForm, typed: LineForm, units: OrderUnits, kinds: KindBook): Difference[] {
  if (stored.kind !== typed.kind || stored.kindVersion !== typed.kindVersion)
    return [
      { field: 'kind', label: 'The kind', stored: kinds.find(stored.kind, stored.kindVersion)?.name ?? stored.kind },
    ];
  const kind = kinds.find(stored.kind, stored.kindVersion);
  const labels = new Map([...(kind?.measures ?? []), ...(kind?.options ?? [])].map(({ id, label }) => [id, label]));
  const found: Difference[] = [];
  const look = (field: string, label: string, before: string, now: string, text = before) => {
    if (before !== now) found.push({ field, label, stored: text });
  };
  look('qty', 'How many', String(Number(stored.qty)), String(Number(typed.qty)));
  look('fit', 'The fit', stored.fit, typed.fit, FIT_LABELS[stored.fit]);
  look('measuredAs', 'How it was measured', stored.measuredAs, typed.measuredAs, TAKEN_LABELS[stored.measuredAs]);
  for (const { id, label } of kind?.measures ?? []) {
    const [before, now] = [stored, typed].map(({ taken, measuredAs }) => taken[id] ?? measuredAs) as [Taken, Taken];
    if (stored.measuredAs === typed.measuredAs)
      look(`taken.${id}`, `How the ${label.toLowerCase()} was taken`, before, now, TAKEN_LABELS[before]);
  }
  look('matching', 'Matching', stored.matching, typed.matching, MATCHING_LABELS[stored.matching]);
  look('outline', 'The traced form', stored.outline.trim(), typed.outline.trim(), 'another one');
  const lengthsOf = (line: LineForm) => {
    const texts = new Map<string, string>();
    for (const { name, part, nm } of readLineForm(line, units, '1', kinds).lengths)
      texts.set(name, `${texts.get(name) ?? ''}${part}:${nm} `);
    return texts;
  };
  const [was, is] = [lengthsOf(stored), lengthsOf(typed)];
  for (const name of namesOf(stored.typed, typed.typed)) {
    const [before, now] = [stored.typed[name]?.trim() ?? '', typed.typed[name]?.trim() ?? ''];
    if (before === now || (was.has(name) && was.get(name) === is.get(name))) continue;
    // One that the kind does not ask for at all is kept nowhere.
    if (!labels.has(name)) continue;
    found.push({ field: `typed.${name}`, label: labels.get(name)!, stored: before });
  }
  const maps = [
    ['choices', (name: string) => labels.get(name) ?? name],
    ['directions', (name: string) => `The direction of ${name}`],
    ['panels', (name: string) => `How ${name} is cut`],
    ['notions', (name: string) => name],
    ['provided', (name: string) => `Who brings the ${name}`],
    ['cloth', (name: string) => `The cloth for ${ROLE_LABELS[name as 'face'].toLowerCase()}`],
  ] as const;
  for (const [map, labelOf] of maps) {
    const [before, now] = [stored[map] as Record<string, string>, typed[map] as Record<string, string>];
    for (const name of namesOf(before, now))
      look(
        `${map}.${name}`,
        labelOf(name),
        before[name] ?? '',
        now[name] ?? '',
        map === 'choices' ? before[name] : map === 'provided' ? before[name] || 'bought' : 'another',
      );
  }
  return found;
}

const namesOf = (...maps: object[]): string[] => [...new Set(maps.flatMap(Object.keys))];
