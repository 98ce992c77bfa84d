'use client';

import { Button, Field, Input, Textarea } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { Notice, Panel } from '@/ui/page';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { handOver } from '../actions';

interface Props {
  orderId: number;
  /** Packed covers that are not held. */
  coverIds: number[];
  /** Covers of the order that stay here. */
  left: number;
  customer: string;
  today: string;
}

/** Hands the packed covers of an order over: to whom, on which day, with a note. */
export function HandOverForm({ orderId, coverIds, left, customer, today }: Props) {
  const router = useRouter();
  const [toWhom, setToWhom] = useState(customer);
  const [day, setDay] = useState(today);
  const [note, setNote] = useState('');
  const [faults, setFaults] = useState<{ field: string; message: string }[]>([]);
  const [isBusy, start] = useTransition();
  useUnsaved(!isBusy && note !== '');
  const faultOf = (field: string) => faults.find((one) => one.field === field)?.message;
  const give = () =>
    start(async () => {
      const answer = await send(handOver, { orderId, coverIds, day, toWhom, note });
      if (!answer.ok) return setFaults(answer.faults);
      router.push(`/deliveries/${answer.value.id}`);
    });
  const general = faults.find(({ field }) => !['toWhom', 'day', 'note'].includes(field))?.message;
  return (
    <Panel title={`Hand over ${coverIds.length === 1 ? '1 packed cover' : `${coverIds.length} packed covers`}`}>
      {left > 0 && (
        <p className="muted">
          {left === 1 ? '1 cover stays' : `${left} covers stay`} here: the delivery note says that{' '}
          {left === 1 ? 'it is' : 'they are'} still to come.
        </p>
      )}
      <div className="hand-over-fields">
        <Field.Root invalid={faultOf('toWhom') !== undefined}>
          <Field.Label>To whom</Field.Label>
          <Input value={toWhom} maxLength={200} onChange={({ target }) => setToWhom(target.value)} />
          <Field.ErrorText>{faultOf('toWhom')}</Field.ErrorText>
        </Field.Root>
        <Field.Root invalid={faultOf('day') !== undefined}>
          <Field.Label>Day</Field.Label>
          <Input type="date" value={day} onChange={({ target }) => setDay(target.value)} />
          <Field.ErrorText>{faultOf('day')}</Field.ErrorText>
        </Field.Root>
        <Field.Root invalid={faultOf('note') !== undefined}>
          <Field.Label>Note</Field.Label>
          <Textarea value={note} rows={2} onChange={({ target }) => setNote(target.value)} />
          <Field.ErrorText>{faultOf('note')}</Field.ErrorText>
        </Field.Root>
      </div>
      {general && <Notice level="stop">{general}</Notice>}
      <Button onClick={give} loading={isBusy}>
        Hand over
      </Button>
    </Panel>
  );
}
