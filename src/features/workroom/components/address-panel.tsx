'use client';

import { Button, Field, Grid, Textarea } from '@chakra-ui/react';
import { useState, useTransition } from 'react';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { TextField } from '@/ui/fields/choice';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { saveAddress } from '../actions';
import type { WorkroomAddress } from '../form';
import { LogoField } from './logo-field';

/** The workroom's own head, as it stands on what customers get. */
export function AddressPanel({ initial, logo }: { initial: WorkroomAddress; logo: string }) {
  const [form, setForm] = useState(initial);
  const [saved, setSaved] = useState(initial);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  useUnsaved(form !== saved && !isBusy);
  const set = (part: Partial<WorkroomAddress>) => {
    setFaults([]);
    setForm({ ...form, ...part });
  };
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const save = () =>
    start(async () => {
      const answer = await send(saveAddress, form);
      if (!answer.ok) return setFaults(answer.faults);
      setSaved(form);
      toaster.create({ title: 'The name and address are saved.', type: 'success' });
    });
  return (
    <Panel
      title={<span id="address">Name and address</span>}
      aside={
        <Button onClick={save} loading={isBusy} disabled={form === saved}>
          {form === saved ? 'Saved' : 'Save'}
        </Button>
      }
    >
      {errorAt('') && <Notice level="stop">{errorAt('')}</Notice>}
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: '1fr 1.4fr 1fr' }} gap="4" alignItems="start">
        <TextField
          label="Name of the workroom"
          value={form.name}
          error={errorAt('name')}
          hint="at the head of every paper"
          onChange={(name) => set({ name })}
        />
        <Field.Root invalid={errorAt('address') !== undefined}>
          <Field.Label fontWeight="600">Address</Field.Label>
          <Textarea rows={2} value={form.address} onChange={(event) => set({ address: event.target.value })} />
          <Field.ErrorText>{errorAt('address')}</Field.ErrorText>
        </Field.Root>
        <TextField
          label="Contact"
          value={form.contact}
          error={errorAt('contact')}
          hint="telephone or e-mail"
          onChange={(contact) => set({ contact })}
        />
        <TextField
          label="Tax number"
          value={form.taxNumber}
          error={errorAt('taxNumber')}
          hint="as it has to stand on papers, with its name"
          onChange={(taxNumber) => set({ taxNumber })}
        />
        <LogoField initial={logo} />
      </Grid>
    </Panel>
  );
}
