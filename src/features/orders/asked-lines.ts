import { cutList, type MaterialChoice, usualMaterials } from '@/core/cutlist';
import type { Cloth } from '@/core/cloth';
import type { KindBook } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import {
  cutMinutesOf,
  learnMinutes,
  lineWork,
  roughNeeds,
  settingOf,
  takeCloth,
  takeNotions,
  waitsOfLines,
  type MinutesModel,
  type NotBefore,
  type OpenLine,
} from '@/core/schedule';
import type { RoomToAsk } from '@/features/days/asked';
import { readLineForm, type LineForm } from './form';

interface Asked {
  lines: OpenLine[];
  /** Times before which runs are not begun, with the reason, by the run's id. */
  waits: Map<string, NotBefore>;
  /** Lines that can't be made as they are typed. */
  leftOut: number;
}

/**
 * Lines of an order as they are typed, as the plan needs them. A line that an approved batch holds stands in the room as far as it has come; what is
 * done of it is not planned again. Lines that are not stored get ids below zero.
 */
export function askedLines(
  forms: readonly LineForm[],
  { units, due }: { units: OrderUnits; due: number },
  room: { kinds: KindBook; cloths: ReadonlyMap<string, Cloth>; materials: readonly MaterialChoice[] },
  days: RoomToAsk,
  learned: MinutesModel = learnMinutes(days.log),
): Asked {
  const takes = usualMaterials(room.materials);
  const shelf = new Map(days.shelf);
  const notions = new Map(days.notions.map((one) => [one.id, one]));
  let leftOut = 0;
  const lines = forms.flatMap((form, i): OpenLine[] => {
    if (form.frozenBy !== undefined) return days.asked.filter(({ lineId }) => lineId === form.id);
    const { line: read, faults } = readLineForm(form, units, '1', room.kinds);
    const line = { ...read, cloth: takes(read) };
    const list = faults.length === 0 ? cutList([line], units, room) : null;
    const made = list && lineWork(room.kinds.find(line.kind, line.kindVersion), line, units, line.qty);
    if (!list?.ok || !made || list.value.warnings.some(({ level }) => level === 'stop')) {
      leftOut++;
      return [];
    }
    const { pieces } = list.value;
    const notBefore = takeCloth(
      shelf,
      roughNeeds(pieces, (cloth) => shelf.get(cloth)?.usable),
      days.job.from,
      days.clothDays,
    );
    return [
      {
        lineId: -1 - i,
        orderId: 0,
        due,
        toCut: line.qty,
        toSew: 0,
        toCheck: 0,
        batchId: null,
        setting: settingOf(line),
        sewing: learned.estimate(made.work),
        cutMinutes: cutMinutesOf(pieces),
        held: '',
        notBefore,
        sewNotBefore: takeNotions(notions, list.value.notions, days.job.from, days.clothDays),
        dries: made.dries,
      },
    ];
  });
  return { lines, waits: waitsOfLines(lines), leftOut };
}
