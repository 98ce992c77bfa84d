'use client';

import { useState } from 'react';
import { parseLength, typingUnit, writeLength, type Nm, type OrderUnits } from '@/core/length';
import { judge, type Look } from '@/core/making';
import { Fractions } from '@/ui/fraction';
import type { CheckedCover } from '../check-entries';

interface Props {
  looks: readonly Look[];
  covers: readonly CheckedCover[];
  units: OrderUnits;
  onAnswer: (cover: number, n: number, measuredNm: Nm | null, isRight: boolean) => void;
}

/** The printed checklist typed in together: a row for each look, a column for each cover. */
export function TypedChecklist({ looks, covers, units, onAnswer }: Props) {
  const open = covers.filter(({ state }) => state === 'to check' || state === 'checked');
  if (open.length === 0) return <p className="muted">None of these covers is to be checked.</p>;
  return (
    <div className="typed-scroll">
      <table className="typed-checklist">
        <thead>
          <tr>
            <th scope="col">Look</th>
            {open.map(({ id, number }) => (
              <th key={id} scope="col">
                {number}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {looks.map((look) => (
            <tr key={look.n}>
              <th scope="row">
                <Fractions>{look.what}</Fractions>
              </th>
              {open.map(({ id, number, answers }) => {
                const answer = answers.find(({ n }) => n === look.n);
                const label = `${look.what}, cover ${number}`;
                return (
                  <td key={id} data-right={answer ? String(answer.isRight) : undefined}>
                    {look.size === undefined ? (
                      <input
                        type="checkbox"
                        className="tick"
                        aria-label={label}
                        checked={answer?.isRight ?? false}
                        onChange={({ target }) => onAnswer(id, look.n, null, target.checked)}
                      />
                    ) : (
                      <TypedSize
                        key={String(answer?.measuredNm)}
                        label={label}
                        units={units}
                        known={answer?.measuredNm ?? null}
                        onSize={(size) => onAnswer(id, look.n, size, judge(look, size).isRight)}
                      />
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface SizeProps {
  label: string;
  units: OrderUnits;
  known: Nm | null;
  onSize: (size: Nm) => void;
}

function TypedSize({ label, units, known, onSize }: SizeProps) {
  const [text, setText] = useState(known === null ? '' : writeLength(known, units));
  const [isWrong, setIsWrong] = useState(false);
  const note = () => {
    if (text.trim() === '' || (known !== null && text === writeLength(known, units))) return;
    const read = parseLength(text, typingUnit(units));
    setIsWrong(!read.ok);
    if (read.ok) onSize(read.value);
  };
  return (
    <input
      className="typed-size"
      aria-label={label}
      aria-invalid={isWrong || undefined}
      title={isWrong ? 'This is no length.' : undefined}
      data-length={units}
      value={text}
      onChange={({ target }) => setText(target.value)}
      onBlur={note}
      onKeyDown={(event) => event.key === 'Enter' && note()}
    />
  );
}
