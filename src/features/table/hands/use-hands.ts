import { useCallback, useReducer, useRef, useState } from 'react';
import type { LayPlan, Unplaced } from '@/core/lay';
import { printLength, STYLES, type Nm, type Units } from '@/core/length';
import { HandLay, sameCopy, type Marker, type Spot } from '@/core/marker';
import { lengthName } from '../lay-view';
import { obstacleWords } from '../obstacle-words';
import { nameOf } from '../scene-lay';
import { historyReducer, startOf } from './history';
import { nudged, turned, type Outcome } from './moves';

interface HandsOptions {
  marker: Marker;
  units: Units;
  initialPick: string | null;
  onPick: (key: string | null) => void;
}

/** The acts of the cutter's hands on a lay: each changes it, says what it did, and can be undone. */
// eslint-disable-next-line max-lines-per-function -- one act after another, each a few lines on the same lay
export function useHands({ marker, units, initialPick, onPick }: HandsOptions) {
  const [history, act] = useReducer(historyReducer, null, () => startOf(HandLay.locked(marker.job, marker.plan)));
  const { lay } = history.now;
  const [picked, setPicked] = useState<string | null>(initialPick);
  const [said, setSaid] = useState('');
  const [warning, setWarning] = useState('');

  const named = useCallback(
    (key: string) => {
      const item = lay.item(key);
      return item ? nameOf(item, marker.parts) : key;
    },
    [lay, marker],
  );
  const labelName = (label: string) => named(lay.keyOf(label) ?? label);
  const length = (nm: Nm) => printLength(nm, STYLES[units]);
  const pick = (key: string | null) => {
    setPicked(key);
    onPick(key);
    if (key) {
      const item = lay.item(key);
      if (item)
        setSaid(
          `${named(key)}${lay.locked.has(key) ? ', locked' : ''}, ${length(item.y)} along, ${length(item.x)} across.`,
        );
    }
  };
  const change = (next: HandLay, key: string | null, words: string) => {
    const grown = next.plan.used - lay.plan.used;
    const by = grown === 0 ? '' : ` The lay is ${length(Math.abs(grown))} ${grown > 0 ? 'longer' : 'shorter'}.`;
    act({ is: 'change', lay: next, said: words });
    setSaid(`${words}.${by}`);
    setPicked(key);
    onPick(key);
  };
  const place = (key: string, spot: Spot, words: string) => {
    const moved = lay.moved(key, spot);
    change(moved.lay, moved.key, `${named(key)} ${words}: ${length(spot.y)} along, ${length(spot.x)} across`);
  };
  const outcome = (key: string, result: Outcome, words: string) => {
    if ('spot' in result) place(key, result.spot, words);
    else setSaid(obstacleWords(result.obstacles, units, labelName));
  };
  const isLocked = picked !== null && lay.locked.has(picked);
  const held = picked !== null && lay.item(picked) ? picked : null;
  const withPicked = (work: (key: string) => void) => {
    if (!held) setSaid('Pick a piece first.');
    else if (lay.locked.has(held)) setSaid(`${named(held)} is locked; free it first.`);
    else work(held);
  };
  const turn = () => withPicked((key) => outcome(key, turned(lay, key), 'turned'));
  const toNext = (stocks: readonly string[]) =>
    withPicked((key) => {
      const item = lay.item(key)!;
      const next = stocks[(stocks.indexOf(item.stock) + 1) % stocks.length]!;
      if (next === item.stock) return setSaid('There is no other length.');
      const spot = lay.roomOn(key, next);
      if (!spot) return setSaid(`There is no room for it on ${lengthName(next)} as things lie.`);
      place(key, spot, `moved to ${lengthName(next)}`);
    });
  const takeOff = () => withPicked((key) => change(lay.takenOff(key), null, `${named(key)} taken off the cloth`));
  const toggleLock = () => {
    if (!held) return setSaid('Pick a piece first.');
    const all = sameCopy(lay.items, lay.item(held)!).length;
    change(
      lay.withLock(held, !isLocked),
      held,
      `${named(held)} ${isLocked ? 'is free again' : 'is locked where it is'}${all > 1 ? `, with all ${all} cuts of it` : ''}`,
    );
  };
  const putOn = (one: Unplaced) => {
    if (!('piece' in one)) return;
    const room = lay.roomFor(one.piece, one.copy);
    if (!room) return setSaid('There is no room for it as things lie; lay the rest again.');
    const put = lay.putOn(one.piece, one.copy, room);
    change(put.lay, put.key, `${nameOf({ id: one.piece, copy: one.copy, cut: null }, marker.parts)} put on the cloth`);
  };
  const undo = () => {
    const { said: what } = history.now;
    act({ is: 'undo' });
    if (what) setSaid(`Undone: ${what}.`);
  };
  const redo = () => {
    const next = history.future[0];
    act({ is: 'redo' });
    if (next) setSaid(`Done again: ${next.said}.`);
  };
  const takePlan = (plan: LayPlan) => change(lay.withPlan(plan), held, 'The rest laid again');
  const lastHeld = useRef('');
  const onHeld = (key: string | null, spot: Spot | null) => {
    const words = key && spot ? obstacleWords(lay.obstacles(key, spot), units, labelName) : '';
    if (words === lastHeld.current) return;
    lastHeld.current = words;
    setWarning(words);
  };
  const onDrop = (key: string, wish: Spot, free: Spot | null) => {
    setWarning('');
    if (free) return place(key, free, 'moved');
    setSaid(`${obstacleWords(lay.obstacles(key, wish), units, labelName)} It lies where it was.`);
  };
  const nudge = (across: number, along: number) =>
    withPicked((key) => outcome(key, nudged(lay, key, across, along), 'moved'));
  return {
    lay,
    picked,
    held,
    isLocked,
    words: warning || said,
    isWarning: warning !== '',
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    pick,
    turn,
    toNext,
    takeOff,
    toggleLock,
    putOn,
    undo,
    redo,
    takePlan,
    nudge,
    onHeld,
    onDrop,
  };
}

export type Hands = ReturnType<typeof useHands>;
