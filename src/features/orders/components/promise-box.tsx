'use client';

import { Button, HStack, Stack } from '@chakra-ui/react';
import { useEffect, useMemo } from 'react';
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { textOf } from '@/core/schedule';
import { dayName, lateText } from '@/features/days/late-text';
import { TextField } from '@/ui/fields/choice';
import { Folded } from '@/ui/folded';
import type { OrderForm, PromiseForm } from '../form';
import { useOrder } from './order-context';
import { OtherNames, Others, Runs, Silence } from './promise-parts';
import type { PromiseQuestion } from '../promise-answer';
import { useOffer } from './use-offer';

interface Props {
  control: Control<OrderForm>;
  setValue: UseFormSetValue<OrderForm>;
  orderId: number | null;
  /** The plan's days and the reason for a sooner one, as they are saved with the order. */
  promise: PromiseForm | null;
  onPromise: (promise: PromiseForm) => void;
  error: string | undefined;
}

/** When the order can be ready, and why not sooner; a day that is sooner than the plan’s asks for its reason. */
export function PromiseBox({ control, setValue, orderId, promise, onPromise, error }: Props) {
  const [due, lines, units] = useWatch({ control, name: ['due', 'lines', 'units'] });
  const { cloths, own, withdrawn } = useOrder();
  const question = useMemo(
    (): PromiseQuestion => ({ due, typed: { lines, units, room: { cloths, own, withdrawn } } }),
    [due, lines, units, cloths, own, withdrawn],
  );
  const { answer, days, isAsking, isFailed } = useOffer(question, orderId);
  const offer = answer?.offer;
  const ready = offer?.ends == null ? null : dayOf(offer.ends);
  const safe = offer?.safe == null ? null : dayOf(offer.safe);
  useEffect(() => {
    if (offer) onPromise({ why: promise?.why ?? '', ready, safe });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the reason is kept as it stands when an answer comes
  }, [offer, ready, safe, onPromise]);
  if (!answer || !offer || !days) return <Silence isAsking={isAsking} isFailed={isFailed} />;
  const isTight = safe !== null && due < safe;
  return (
    <section className="promise" aria-label="When it can be ready" aria-busy={isAsking}>
      {offer.ends === null ? (
        <p>It can’t be planned: {offer.why}.</p>
      ) : (
        <HStack gap="4" wrap="wrap" justify="space-between">
          <p className="promise-day">
            Ready by <strong>{dayName(offer.ends)}</strong>; four times of five by{' '}
            <strong>{dayName(offer.safe!)}</strong>
            {answer.leftOut > 0 && (
              <span className="muted">
                , without {answer.leftOut === 1 ? 'a line that is' : `${answer.leftOut} lines that are`} not typed to
                the end
              </span>
            )}
          </p>
          {due !== safe && (
            <Button
              size="sm"
              variant="outline"
              onClick={() => setValue('due', safe!, { shouldDirty: true, shouldTouch: true })}
            >
              Promise {dayName(offer.safe!)}
            </Button>
          )}
        </HStack>
      )}
      {isTight && (
        <Stack gap="2">
          <p className="recut-warn">
            {offer.late > 0
              ? `Wanted sooner: it would be ${lateText(offer.late)} late.`
              : 'Wanted as soon as the plan has it: anything that goes wrong makes it late.'}
          </p>
          <TextField
            label="Why this day"
            value={promise?.why ?? ''}
            placeholder="for example: the boat goes out on that day"
            onChange={(why) => onPromise({ why, ready, safe })}
            error={error}
          />
        </Stack>
      )}
      <Others others={offer.others} days={days} what="By it" />
      {offer.first && (
        <p className="muted">
          Before all others it could be ready by <strong>{dayName(offer.first.ends)}</strong>
          {offer.first.others.length === 0 ? ', and nobody becomes late by that.' : '; then late: '}
          {offer.first.others.length > 0 && <OtherNames others={offer.first.others} days={days} />}
        </p>
      )}
      {offer.runs.length > 0 && (
        <Folded title="Why not sooner?">
          <Runs answer={answer} days={days} />
        </Folded>
      )}
    </section>
  );
}

/** The day of a minute, as a date field has it. */
const dayOf = (minute: number): string => textOf(minute).slice(0, 10);
