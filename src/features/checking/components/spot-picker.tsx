'use client';

import type { ReactNode } from 'react';

interface Spot {
  at: [number, number];
  label: string;
}

interface Props {
  /** The drawing of the cover. */
  children: ReactNode;
  spots: readonly Spot[];
  /** Without it, spots are only shown. */
  onPick?: (at: [number, number]) => void;
}

/** The drawing of a cover with the places where something was found; tapped, a place is chosen. */
export function SpotPicker({ children, spots, onPick }: Props) {
  return (
    <div className="spot-picker">
      <div
        className="spot-drawing"
        onClick={
          onPick &&
          (({ currentTarget, clientX, clientY }) => {
            const { left, top, width, height } = currentTarget.getBoundingClientRect();
            const part = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 1000) / 1000;
            onPick([part((clientX - left) / width), part((clientY - top) / height)]);
          })
        }
      >
        {children}
        {spots.map(({ at: [x, y], label }, i) => (
          <span key={i} className="spot" style={{ left: `${x * 100}%`, top: `${y * 100}%` }} title={label}>
            {i + 1}
          </span>
        ))}
      </div>
      {onPick && (
        <div className="spot-words" role="group" aria-label="Where, in words">
          {WORDS.map(({ label, at }) => (
            <button
              key={label}
              type="button"
              aria-pressed={spots.some((one) => one.at[0] === at[0] && one.at[1] === at[1])}
              onClick={() => onPick(at)}
            >
              {label}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** The same without a pointer: the sides and the middle of the drawing. */
const WORDS: { label: string; at: [number, number] }[] = [
  { label: 'back', at: [0.5, 0.25] },
  { label: 'left', at: [0.25, 0.5] },
  { label: 'middle', at: [0.5, 0.5] },
  { label: 'right', at: [0.75, 0.5] },
  { label: 'front', at: [0.5, 0.75] },
];
