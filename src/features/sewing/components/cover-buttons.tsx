'use client';

import { Check } from 'lucide-react';
import { OrderMark } from '@/ui/order-mark';
import type { RunCover } from '../queries';

interface Props {
  covers: readonly RunCover[];
  /** Those that are through the step. */
  through: ReadonlySet<number>;
  isDisabled: boolean;
  onTick: (covers: number[]) => void;
  onUntick: (covers: number[]) => void;
}

/** A button for each cover of a run, large enough for a gloved hand: tapped when it is through the step. */
export function CoverButtons({ covers, through, isDisabled, onTick, onUntick }: Props) {
  return (
    <div className="run-covers">
      {covers.map(({ id, number, orderNo, mark, state }) => {
        const isThrough = through.has(id);
        return (
          <button
            key={id}
            type="button"
            className="run-cover"
            aria-pressed={isThrough}
            disabled={isDisabled || state === 'cut'}
            onClick={() => (isThrough ? onUntick([id]) : onTick([id]))}
          >
            <span className="inline">
              <OrderMark mark={mark} size={16} /> {orderNo}
            </span>
            <strong>{number}</strong>
            <span className="run-cover-sign">{isThrough && <Check size={22} aria-label="through" />}</span>
          </button>
        );
      })}
    </div>
  );
}
