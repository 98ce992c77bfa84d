import type { KeyboardEvent } from 'react';
import type { Nm, Units } from '@/core/length';
import { STEPS } from './steps';
import type { Hands } from './use-hands';

interface KeyOptions {
  hands: Hands;
  /** Keys of all items that are seen, in their order. */
  keys: readonly string[];
  /** Codes of the lengths of cloth, in their order. */
  stocks: readonly string[];
  /** The step of an arrow key, as an index into STEPS. */
  step: number;
  units: Units;
  canMove: boolean;
  layAgain: () => void;
}

const ARROWS: Record<string, [Nm, Nm]> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
};
/** An arrow with Shift goes this many steps. */
const SHIFT_STEPS = 4;

/** Does what a key of the table means; false where it means nothing here. */
export function onTableKey(event: KeyboardEvent, options: KeyOptions): boolean {
  const { hands, keys, canMove } = options;
  if (event.key === 'PageDown' || event.key === 'PageUp') {
    const at = hands.picked ? keys.indexOf(hands.picked) : event.key === 'PageDown' ? -1 : 0;
    const next = keys[(at + (event.key === 'PageDown' ? 1 : -1) + keys.length) % keys.length];
    if (next) hands.pick(next);
    return true;
  }
  if (event.key === 'Escape') {
    hands.pick(null);
    return true;
  }
  return canMove && onActKey(event, options);
}

function onActKey(event: KeyboardEvent, { hands, stocks, step, units, layAgain }: KeyOptions): boolean {
  const isCommand = event.ctrlKey || event.metaKey;
  const letter = event.key.toLowerCase();
  if (isCommand && (letter === 'z' || letter === 'y')) {
    if (letter === 'y' || event.shiftKey) hands.redo();
    else hands.undo();
    return true;
  }
  if (isCommand) return false;
  const way = ARROWS[event.key];
  if (way && hands.held) {
    const by = STEPS[units][step]!.step * (event.shiftKey ? SHIFT_STEPS : 1);
    hands.nudge(way[0] * by, way[1] * by);
    return true;
  }
  const acts: Record<string, () => void> = {
    r: hands.turn,
    l: hands.toggleLock,
    delete: hands.takeOff,
    n: () => hands.toNext(stocks),
    g: layAgain,
  };
  const own = acts[letter];
  if (own) own();
  return own !== undefined;
}
