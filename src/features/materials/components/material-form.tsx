'use client';

import { Button, Flex, Grid, Stack, Text, Textarea } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { useCurrencies } from '@/ui/fields/use-currencies';
import type { Units } from '@/core/length';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { deleteMaterial, saveMaterial } from '../actions';
import { COUNTED_NAMES, readMaterial, SORT_NAMES, TEETH_NAMES, type MaterialForm } from '../form';
import type { PriceRow } from '../queries';

const listOf = (names: Record<string, string>) => Object.entries(names).map(([id, label]) => ({ id, label }));
const PRICES: Record<MaterialForm['countedBy'], { id: MaterialForm['pricePer']; label: string }[]> = {
  length: [
    { id: 'yd', label: 'yard' },
    { id: 'm', label: 'metre' },
  ],
  piece: [{ id: 'piece', label: 'piece' }],
  pack: [
    { id: 'pack', label: 'pack' },
    { id: 'piece', label: 'piece' },
  ],
};

/** A notion of the catalogue: cord, zips, hook-and-loop, snaps, buttons and the like. */
// eslint-disable-next-line max-lines-per-function -- one form, field by field
export function MaterialFormView({
  edited,
  initial,
  units,
  names,
  prices = [],
}: {
  edited: { id: number; version: number } | null;
  initial: MaterialForm;
  units: Units;
  /** The notions that cover kinds name. */
  names: string[];
  prices?: PriceRow[];
}) {
  const router = useRouter();
  const [form, setForm] = useState(initial);
  const currencyChoices = useCurrencies(form.currency);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const set = (part: Partial<MaterialForm>) => {
    setFaults([]);
    setForm({ ...form, ...part });
  };
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const isZip = form.sort === 'zip';
  const isPad = form.sort === 'pad';
  useUnsaved(form !== initial && !isBusy);
  const save = () => {
    const found = readMaterial(form, units).faults;
    if (found.length > 0) return setFaults(found);
    start(async () => {
      const answer = await send(saveMaterial, form, edited);
      if (!answer.ok) return setFaults(answer.faults);
      toaster.create({ title: `${form.name.trim()} is saved.`, type: 'success' });
      router.push('/stock/materials');
    });
  };
  const remove = () =>
    start(async () => {
      const answer = await send(deleteMaterial, edited!.id);
      if (!answer.ok) return setFaults(answer.faults);
      toaster.create({ title: `${answer.value.name} is deleted.` });
      router.push('/stock/materials');
    });
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <PageHead title={edited ? initial.name : 'New notion'}>
        <Button asChild variant="ghost">
          <Link href="/stock/materials">Back to the notions</Link>
        </Button>
        {edited && (
          <>
            <Button variant="ghost" onClick={remove} disabled={isBusy}>
              Delete
            </Button>
            <Button asChild variant="outline">
              <Link href={`/stock/receive?what=material+${edited.id}`}>Receive some</Link>
            </Button>
          </>
        )}
        <Button type="submit" loading={isBusy}>
          Save notion
        </Button>
      </PageHead>
      <Stack gap="5">
        {errorAt('') && <Notice level="stop">{errorAt('')}</Notice>}
        <Panel title="What it is">
          <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }} gap="4">
            <TextField label="Name" value={form.name} error={errorAt('name')} onChange={(name) => set({ name })} />
            <Choice
              label="It is"
              value={form.sort}
              choices={listOf(SORT_NAMES)}
              onChange={(sort) => set({ sort: sort as MaterialForm['sort'] })}
            />
            <Choice
              label="Counted"
              value={form.countedBy}
              error={errorAt('countedBy')}
              choices={listOf(COUNTED_NAMES)}
              onChange={(way) =>
                set({
                  countedBy: way as MaterialForm['countedBy'],
                  pricePer: PRICES[way as MaterialForm['countedBy']][0]!.id,
                })
              }
            />
            {form.countedBy === 'pack' && (
              <TextField
                isCount
                label="Pieces in a pack"
                value={form.packSize}
                error={errorAt('packSize')}
                onChange={(packSize) => set({ packSize })}
              />
            )}
            {isPad && (
              <>
                <LengthField
                  label="Width"
                  units={units}
                  value={form.width}
                  error={errorAt('width')}
                  onChange={(width) => set({ width })}
                />
                <LengthField
                  label="Height"
                  units={units}
                  value={form.length}
                  error={errorAt('length')}
                  onChange={(length) => set({ length })}
                />
              </>
            )}
            {form.countedBy === 'length' && !isZip && !isPad && (
              <LengthField
                label="Sold in steps of"
                units={units}
                value={form.sellingStep}
                hint="empty: any length"
                error={errorAt('sellingStep')}
                onChange={(sellingStep) => set({ sellingStep })}
              />
            )}
            {isZip && (
              <>
                <LengthField
                  label="Length"
                  units={units}
                  value={form.length}
                  hint="its stock length"
                  error={errorAt('length')}
                  onChange={(length) => set({ length })}
                />
                <Choice
                  label="Teeth"
                  value={form.teeth || 'coil'}
                  hint="coil can be shortened, metal fits exactly"
                  choices={listOf(TEETH_NAMES)}
                  onChange={(teeth) => set({ teeth: teeth as MaterialForm['teeth'] })}
                />
              </>
            )}
          </Grid>
        </Panel>
        <Panel title="Buying">
          <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }} gap="4">
            <TextField label="Price" value={form.price} error={errorAt('price')} onChange={(price) => set({ price })} />
            <Choice
              label="Currency"
              value={form.currency}
              error={errorAt('currency')}
              choices={currencyChoices}
              onChange={(currency) => set({ currency })}
            />
            <Choice
              label="For one"
              value={form.pricePer}
              error={errorAt('pricePer')}
              choices={PRICES[form.countedBy]}
              onChange={(per) => set({ pricePer: per as MaterialForm['pricePer'] })}
            />
            <TextField
              label="Supplier"
              value={form.supplier}
              error={errorAt('supplier')}
              onChange={(supplier) => set({ supplier })}
            />
          </Grid>
          {prices.length > 1 && (
            <Text mt="3" color="fg.muted">
              Before:{' '}
              {prices
                .slice(1, 6)
                .map(({ since, price }) => `${price} from ${since}`)
                .join('; ')}
            </Text>
          )}
        </Panel>
        <Panel title="Covers take it as their">
          <Flex gap="5" wrap="wrap">
            {names.map((name) => (
              <label key={name} className="inline">
                <input
                  type="checkbox"
                  className="tick"
                  checked={form.usualFor.includes(name)}
                  onChange={(event) =>
                    set({
                      usualFor: event.target.checked
                        ? [...form.usualFor, name]
                        : form.usualFor.filter((one) => one !== name),
                    })
                  }
                />
                <span>{name}</span>
              </label>
            ))}
          </Flex>
          <Text mt="3" color="fg.muted">
            What a cover kind calls{' '}
            {isZip
              ? '“zip” is taken from the shortest zip that is long enough'
              : 'by one of these names is taken from here'}
            , unless an order line names another.
          </Text>
        </Panel>
        <Panel title="Notes">
          <Textarea
            aria-label="Notes"
            value={form.notes}
            rows={2}
            autoresize
            bg="bg.panel"
            onChange={(event) => set({ notes: event.target.value })}
          />
        </Panel>
      </Stack>
    </form>
  );
}
