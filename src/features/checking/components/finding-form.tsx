'use client';

import { Button, Field, Input } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { CAUSE_LABELS, CAUSES, DECISION_LABELS, DECISIONS, type Cause, type Decision, type Look } from '@/core/making';
import { Choice, TextField } from '@/ui/fields/choice';
import type { FindingEntry } from '../check-entries';
import { SpotPicker } from './spot-picker';

interface Props {
  /** The look at which it was found; null: beside the checklist. */
  look: Look | null;
  /** What is known of it already, in words. */
  begins: string;
  drawing: ReactNode;
  onFind: (finding: FindingEntry) => void;
  onClose: () => void;
}

/** A finding as it is noted: what and where, its cause, the decision, the minutes that it costs. */
export function FindingForm({ look, begins, drawing, onFind, onClose }: Props) {
  const [what, setWhat] = useState(begins);
  const [spot, setSpot] = useState<[number, number] | null>(null);
  const [cause, setCause] = useState<Cause>('sewn');
  const [minutes, setMinutes] = useState('');
  const [fault, setFault] = useState<{ field: 'what' | 'minutes'; message: string }>();
  const decide = (decision: Decision) => {
    if (what.trim() === '') return setFault({ field: 'what', message: 'Write what was found.' });
    const lost = minutes.trim() === '' ? 0 : Number(minutes);
    if (!Number.isInteger(lost) || lost < 0 || lost > 1440)
      return setFault({ field: 'minutes', message: 'Write whole minutes, at most a day of them.' });
    onFind({ look: look?.n ?? 0, what: what.trim(), spot, cause, decision, minutesLost: lost });
  };
  return (
    <section className="finding-form" aria-label="What was found">
      <div className="finding-fields">
        <Field.Root required invalid={fault?.field === 'what'}>
          <Field.Label fontWeight="600">What was found</Field.Label>
          <Input
            size="lg"
            value={what}
            maxLength={400}
            autoFocus
            onChange={({ target }) => {
              setFault(undefined);
              setWhat(target.value);
            }}
          />
          <Field.ErrorText>{fault?.field === 'what' && fault.message}</Field.ErrorText>
        </Field.Root>
        <Choice
          label="Where it comes from"
          value={cause}
          choices={CAUSES.map((one) => ({ id: one, label: CAUSE_LABELS[one] }))}
          onChange={(id) => setCause(id as Cause)}
        />
        <TextField
          label="Minutes lost"
          isCount
          placeholder="0"
          value={minutes}
          error={fault?.field === 'minutes' ? fault.message : undefined}
          onChange={(text) => {
            setFault(undefined);
            setMinutes(text);
          }}
        />
        <div>
          <p className="strong">What is done about it</p>
          <div className="check-answers">
            {DECISIONS.map((one) => (
              <Button key={one} size="lg" variant="outline" onClick={() => decide(one)}>
                {DECISION_LABELS[one]}
              </Button>
            ))}
            <Button size="lg" variant="ghost" onClick={onClose}>
              Not now
            </Button>
          </div>
        </div>
      </div>
      <div>
        <p className="small muted">Where on the cover: tap the drawing</p>
        <SpotPicker spots={spot ? [{ at: spot, label: what }] : []} onPick={setSpot}>
          {drawing}
        </SpotPicker>
      </div>
    </section>
  );
}
