'use client';

import { Button } from '@chakra-ui/react';
import { Check, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { parseLength, printLength, STYLES, typingUnit, writeLength, type Nm, type OrderUnits } from '@/core/length';
import { judge, type Look, type LookAnswer } from '@/core/making';
import { LengthField } from '@/ui/fields/length-field';
import { Fractions } from '@/ui/fraction';
import { offText } from '../off-text';

interface Props {
  look: Look;
  units: OrderUnits;
  answer: LookAnswer | undefined;
  isClosed: boolean;
  onAnswer: (measuredNm: Nm | null, isRight: boolean) => void;
  /** Something is not right: it is decided on. */
  onFind: () => void;
}

/** One look at a cover: measured with the tape, or seen, right or not. */
export function LookRow({ look, units, answer, isClosed, onAnswer, onFind }: Props) {
  const { what, size, tolerance, helps } = look;
  const text = (length: Nm) => printLength(length, STYLES[units]);
  return (
    <li className="check-look" data-right={answer ? String(answer.isRight) : undefined}>
      <div className="check-what">
        <strong>
          <Fractions>{what}</Fractions>
        </strong>
        {size !== undefined && (
          <span className="muted">
            <Fractions>{`${text(size)}${tolerance === undefined ? '' : `, within ${text(tolerance)}`}`}</Fractions>
          </span>
        )}
      </div>
      {size === undefined ? (
        <div className="check-answers">
          <Button
            size="lg"
            variant={answer?.isRight ? 'solid' : 'outline'}
            disabled={isClosed}
            onClick={() => onAnswer(null, true)}
          >
            <Check /> Right
          </Button>
          <Button
            size="lg"
            variant={answer && !answer.isRight ? 'solid' : 'outline'}
            disabled={isClosed}
            onClick={() => {
              onAnswer(null, false);
              onFind();
            }}
          >
            Not right
          </Button>
        </div>
      ) : (
        <Measured
          key={String(answer?.measuredNm)}
          look={look}
          units={units}
          answer={answer}
          isClosed={isClosed}
          onAnswer={onAnswer}
          onFind={onFind}
        />
      )}
      {answer && !answer.isRight && helps && (
        <p className="check-helps">
          <TriangleAlert size={18} aria-hidden />
          <span>
            <Fractions>{helps}</Fractions>
          </span>
        </p>
      )}
    </li>
  );
}

function Measured({ look, units, answer, isClosed, onAnswer, onFind }: Props) {
  const known = answer?.measuredNm ?? null;
  const [text, setText] = useState(known === null ? '' : writeLength(known, units));
  const [fault, setFault] = useState<string>();
  const verdict = known === null ? null : judge(look, known);
  const note = () => {
    if (text.trim() === '' || (known !== null && text === writeLength(known, units))) return;
    const read = parseLength(text, typingUnit(units));
    if (!read.ok) return setFault(read.faults[0]!.message);
    setFault(undefined);
    onAnswer(read.value, judge(look, read.value).isRight);
  };
  return (
    <div className="check-answers">
      <LengthField
        label="Measured"
        units={units}
        value={text}
        {...(fault && { error: fault })}
        disabled={isClosed}
        onChange={(next) => {
          setFault(undefined);
          setText(next);
        }}
        onBlur={note}
        onKeyDown={(event) => event.key === 'Enter' && note()}
      />
      {verdict && (
        <span className="check-verdict" role="status">
          {verdict.isRight ? (
            <Check size={20} aria-label="Right" />
          ) : (
            <TriangleAlert size={20} aria-label="Not right" />
          )}
          <span>
            <Fractions>{offText(verdict.off, units)}</Fractions>
          </span>
          {!verdict.isRight && (
            <Button variant="outline" disabled={isClosed} onClick={onFind}>
              Decide
            </Button>
          )}
        </span>
      )}
    </div>
  );
}
