import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { HandLay } from '@/core/marker';
import { jobArb, jobOf, lay } from '@/core/lay/testing';
import { historyReducer, startOf } from './history';

test('undo gives back every state, to the first; redo every one again, to the last', () => {
  fc.assert(
    fc.property(jobArb, fc.array(fc.nat(), { minLength: 1, maxLength: 12 }), (json, picks) => {
      const job = jobOf(json);
      let history = startOf(new HandLay(job, lay(job, 10)));
      const seen = [history.now.lay];
      for (const pick of picks) {
        const { items } = history.now.lay;
        const item = items[pick % Math.max(1, items.length)];
        if (!item) break;
        const { lay: next } = history.now.lay.moved(item.key, { ...item, y: item.y + 1_000_000 * (1 + pick) });
        history = historyReducer(history, {
          is: 'change',
          lay: pick % 3 === 0 ? history.now.lay.withLock(item.key, true) : next,
          said: 'moved',
        });
        seen.push(history.now.lay);
      }
      const plans = seen.map(({ plan, locked }) => JSON.stringify([plan, [...locked]]));
      const state = () => JSON.stringify([history.now.lay.plan, [...history.now.lay.locked]]);
      for (let i = seen.length - 1; i > 0; i--) {
        expect(state()).toBe(plans[i]);
        history = historyReducer(history, { is: 'undo' });
      }
      expect(state()).toBe(plans[0]);
      expect(historyReducer(history, { is: 'undo' })).toBe(history);
      for (let i = 1; i < seen.length; i++) {
        history = historyReducer(history, { is: 'redo' });
        expect(state()).toBe(plans[i]);
      }
      expect(historyReducer(history, { is: 'redo' })).toBe(history);
      // An act after an undo takes the place of what was undone.
      history = historyReducer(history, { is: 'undo' });
      history = historyReducer(history, { is: 'change', lay: seen[0]!, said: 'again' });
      expect(history.future).toEqual([]);
    }),
    { numRuns: tries(40) },
  );
});
