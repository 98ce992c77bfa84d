'use client';

import { Button, Grid, Text } from '@chakra-ui/react';
import { useState, useTransition } from 'react';
import { useCurrencies } from '@/ui/fields/use-currencies';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { Folded } from '@/ui/folded';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { saveCosting } from '../actions';
import { readCosting, type CostingForm } from '@/core/cost/costing-form';

/** Settings of costs and quotes, and of what the shelf keeps. */
export function CostingPanel({ initial, kinds }: { initial: CostingForm; kinds: { id: string; name: string }[] }) {
  const [form, setForm] = useState(initial);
  const [saved, setSaved] = useState(initial);
  const currencyChoices = useCurrencies(form.currency);
  const [refused, setRefused] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const found = readCosting(form).faults;
  const faults = [...found, ...refused];
  const set = (part: Partial<CostingForm>) => {
    setRefused([]);
    setForm({ ...form, ...part });
  };
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  useUnsaved(form !== saved && !isBusy);
  const save = () =>
    start(async () => {
      const answer = await send(saveCosting, form);
      if (!answer.ok) return setRefused(answer.faults);
      setRefused([]);
      setSaved(form);
      toaster.create({
        title: 'Saved. New costs use it; quotes that were sent stay as they are.',
        type: 'success',
      });
    });
  const field = (
    name: 'hour' | 'usualMinutes' | 'overhead' | 'markup' | 'taxName' | 'tax' | 'quoteDays',
    label: string,
    hint: string,
  ) => (
    <TextField
      label={label}
      value={form[name]}
      hint={hint}
      error={errorAt(name)}
      onChange={(text) => set({ [name]: text })}
    />
  );
  const length = (name: 'leastAcross' | 'leastAlong', label: string) => {
    const error = errorAt(name);
    return (
      <LengthField
        label={label}
        units={form.units}
        value={form[name]}
        hint="either way round"
        {...(error !== undefined && { error })}
        onChange={(text) => set({ [name]: text })}
      />
    );
  };
  return (
    <Panel
      title="How costs are calculated"
      aside={
        <Button onClick={save} loading={isBusy} disabled={form === saved || found.length > 0}>
          {form === saved ? 'Saved' : 'Save'}
        </Button>
      }
    >
      {errorAt('') && <Notice level="stop">{errorAt('')}</Notice>}
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }} gap="4">
        {field('hour', 'An hour’s work', `in ${form.currency}; empty: no work is charged`)}
        <Choice
          label="Currency"
          value={form.currency}
          error={errorAt('currency')}
          choices={currencyChoices}
          onChange={(currency) => set({ currency })}
        />
        {field('overhead', 'Overhead', 'per cent of materials and work')}
        {field('markup', 'Markup', 'per cent of all of that')}
        {field('taxName', 'Tax', 'as it stands on your bills')}
        {field('tax', 'Its rate', 'per cent')}
        <Choice
          label="Cloth is shared"
          value={form.shareBy}
          hint="between the orders of a lay"
          choices={[
            { id: 'length', label: 'by length alone' },
            { id: 'area', label: 'by area' },
          ]}
          onChange={(shareBy) => set({ shareBy: shareBy as CostingForm['shareBy'] })}
        />
        {field('quoteDays', 'A quote holds', 'days')}
        {length('leastAcross', 'Remnants are kept from')}
        {length('leastAlong', 'by')}
        {field('usualMinutes', 'Minutes a cover', 'where its kind has none of its own')}
      </Grid>
      <Folded title="Minutes by kind">
        <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4" mt="3">
          {kinds.map(({ id, name }) => (
            <TextField
              key={id}
              isCount
              label={name}
              value={form.minutes[id] ?? ''}
              placeholder={form.usualMinutes}
              error={errorAt(`minutes.${id}`)}
              onChange={(text) => set({ minutes: { ...form.minutes, [id]: text } })}
            />
          ))}
        </Grid>
        <Text mt="3" color="fg.muted">
          Minutes differ more by person and kind than anyone guesses: put here what your log says.
        </Text>
      </Folded>
    </Panel>
  );
}
