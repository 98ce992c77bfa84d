'use client';

import { Button, Grid } from '@chakra-ui/react';
import { useState, useTransition } from 'react';
import { SCHOOLS } from '@/core/covers';
import type { Fault } from '@/core/result';
import { Choice, TextField } from '@/ui/fields/choice';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { send } from '@/features/commands/send';
import { saveRules } from '../actions';
import { rulesFaults, rulesInUnits, type WorkroomRules } from '../form';

/** Usual values of new order lines. */
export function WorkroomRulesForm({ initial }: { initial: WorkroomRules }) {
  const [rules, setRules] = useState(initial);
  const [saved, setSaved] = useState(initial);
  const [refused, setRefused] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const found = rulesFaults(rules);
  const faults = [...found, ...refused];
  const set = (part: Partial<WorkroomRules>) => {
    setRefused([]);
    setRules({ ...rules, ...part });
  };
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  useUnsaved(rules !== saved && !isBusy);
  const save = () =>
    start(async () => {
      const answer = await send(saveRules, rules);
      if (!answer.ok) return setRefused(answer.faults);
      setRefused([]);
      setSaved(rules);
      toaster.create({ title: 'The workroom’s rules are saved.', type: 'success' });
    });
  return (
    <Panel
      title={<span id="rules">How this workroom usually does it</span>}
      aside={
        <Button onClick={save} loading={isBusy} disabled={rules === saved || found.length > 0}>
          {rules === saved ? 'Saved' : 'Save rules'}
        </Button>
      }
    >
      {errorAt('') && <Notice level="stop">{errorAt('')}</Notice>}
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        <Choice
          label="We measure in"
          value={rules.units}
          choices={[
            { id: 'in', label: 'inches' },
            { id: 'mm', label: 'centimetres' },
          ]}
          onChange={(units) => set(rulesInUnits(rules, units as WorkroomRules['units']))}
        />
        <LengthField
          label="Seam allowance"
          units={rules.units}
          value={rules.seam}
          hint="on cushions, pads and stools; empty: as the kind has it"
          placeholder="as the kind has it"
          error={errorAt('seam')}
          onChange={(seam) => set({ seam })}
        />
        <LengthField
          label="Hem"
          units={rules.units}
          value={rules.hem}
          hint="one turn, or two with a +"
          placeholder="as the kind has it"
          reads={() => null}
          error={errorAt('hem')}
          onChange={(hem) => set({ hem })}
        />
        <Choice
          label="Fit"
          value={rules.fit}
          error={errorAt('fit')}
          choices={[
            { id: '', label: 'as the kind has it' },
            { id: 'true', label: 'true size' },
            { id: 'snug', label: 'snug' },
            { id: 'overfull', label: 'overfull' },
          ]}
          onChange={(fit) => set({ fit: fit as WorkroomRules['fit'] })}
        />
        <Choice
          label="Piping is cut"
          value={rules.grain}
          choices={[
            { id: '', label: 'as the kind has it' },
            { id: 'bias', label: 'on the bias' },
            { id: 'straight', label: 'on straight grain' },
          ]}
          onChange={(grain) => set({ grain: grain as WorkroomRules['grain'] })}
        />
        {SCHOOLS.map(({ id, label, choices }) => (
          <Choice
            key={id}
            label={label}
            value={rules.schools[id] ?? ''}
            choices={[{ id: '', label: 'as the kind has it' }, ...choices]}
            onChange={(choice) => {
              const { [id]: _, ...others } = rules.schools;
              set({ schools: choice === '' ? others : { ...others, [id]: choice } });
            }}
          />
        ))}
        <TextField
          isCount
          label="Days until an order is due"
          value={rules.dueDays}
          error={errorAt('dueDays')}
          onChange={(dueDays) => set({ dueDays })}
        />
      </Grid>
    </Panel>
  );
}
