'use client';

import { Button, Grid, Stack, Text } from '@chakra-ui/react';
import { useState, useTransition } from 'react';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { TextField } from '@/ui/fields/choice';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { saveMachines } from '../actions';
import { useTapeAddress } from '../device-tape';
import { machineFaults, type MachinesForm } from '../form';

const FIELDS: { name: keyof MachinesForm; label: string; hint: string }[] = [
  { name: 'cutter', label: 'Cutter', hint: 'like http://127.0.0.1:4101' },
  { name: 'printer', label: 'Label printer', hint: 'like 127.0.0.1:4102' },
  { name: 'tape', label: 'Digital tape', hint: 'on the device itself, like ws://127.0.0.1:4104' },
  { name: 'supplier', label: 'Supplier’s list', hint: 'like http://127.0.0.1:4105/prices' },
];

/** Where the workroom's machines are found. Nothing waits for them: one that does not answer is said, and the work goes on. */
export function MachinesPanel({ initial }: { initial: MachinesForm }) {
  const [form, setForm] = useState(initial);
  const [saved, setSaved] = useState(initial);
  const [refused, setRefused] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const [tape, setTape] = useTapeAddress();
  const found = machineFaults(form);
  const faults = [...found, ...refused];
  useUnsaved(form !== saved && !isBusy);
  const save = () =>
    start(async () => {
      const answer = await send(saveMachines, form);
      if (!answer.ok) return setRefused(answer.faults);
      setRefused([]);
      setSaved(form);
      // A device that listens to the tape goes on at its new address.
      if (tape) setTape(form.tape);
      toaster.create({ title: 'The addresses are saved.', type: 'success' });
    });
  return (
    <Panel
      title={<span id="machines">Machines and supplier</span>}
      aside={
        <Button onClick={save} loading={isBusy} disabled={form === saved || found.length > 0}>
          {form === saved ? 'Saved' : 'Save'}
        </Button>
      }
    >
      <Stack gap="4">
        <Text color="fg.muted">
          Leave empty what the workroom does not have. A cutter takes approved lays, a label printer the labels of a
          batch; a tape writes into the field that is tapped; a supplier’s prices come as proposals on the shopping
          list.
        </Text>
        {refused
          .filter(({ field }) => field === '')
          .map(({ message }) => (
            <Notice key={message} level="stop">
              {message}
            </Notice>
          ))}
        <Grid templateColumns="repeat(auto-fit, minmax(260px, 1fr))" gap="4">
          {FIELDS.map(({ name, label, hint }) => (
            <TextField
              key={name}
              label={label}
              hint={hint}
              value={form[name]}
              error={faults.find(({ field }) => field === name)?.message}
              onChange={(text) => {
                setRefused([]);
                setForm({ ...form, [name]: text.trim() });
              }}
            />
          ))}
        </Grid>
        {saved.tape && (
          <Text>
            <Button
              size="sm"
              variant="outline"
              mr="3"
              aria-pressed={tape !== ''}
              onClick={() => setTape(tape ? '' : saved.tape)}
            >
              {tape ? 'Listen no more' : 'Listen to the tape here'}
            </Button>
            {tape ? 'This device listens to its tape.' : 'Each device that has a tape listens to its own.'}
          </Text>
        )}
      </Stack>
    </Panel>
  );
}
