'use client';

import { Box, Button, Grid, HStack, IconButton, Stack, Text } from '@chakra-ui/react';
import { Plus, Trash2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, PageHead, Panel } from '@/ui/page';
import { TracedOutline } from '@/ui/shape/traced-outline';
import { toaster } from '@/ui/toaster';
import { isAlike } from '@/ui/alike';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { receive } from '../actions';
import { emptyReceipt, readReceipt, type CatalogueEntry, type FlawForm, type ReceiveForm } from '../form';

const PER: Record<CatalogueEntry['pricePer'], string> = {
  yd: 'a yard',
  m: 'a metre',
  sheet: 'a sheet',
  piece: 'a piece',
  pack: 'a pack',
};

/** Books what came: one bolt, some sheets, or a notion. It asks first which, so that nobody in a hurry books to another. */
export function ReceiveFormView({ entries, first }: { entries: CatalogueEntry[]; first: CatalogueEntry | null }) {
  const [chosen, setChosen] = useState(first);
  if (chosen) return <ReceiptForm entries={entries} first={chosen} />;
  return (
    <>
      <PageHead title="Receive" about="Measure it when it comes: width at both ends, the length, and every flaw">
        <Button asChild variant="ghost">
          <Link href="/stock">Back to the shelf</Link>
        </Button>
        <Button asChild variant="ghost">
          <Link href="/stock/delivery">From a delivery note</Link>
        </Button>
      </PageHead>
      <Panel title="What came">
        <Box maxW="420px">
          <Choice
            label="What it is"
            value=""
            choices={[{ id: '', label: 'choose it' }, ...entries.map(({ key, name }) => ({ id: key, label: name }))]}
            onChange={(key) => setChosen(entries.find((one) => one.key === key) ?? null)}
          />
        </Box>
      </Panel>
    </>
  );
}

// eslint-disable-next-line max-lines-per-function -- one form, field by field
function ReceiptForm({ entries, first }: { entries: CatalogueEntry[]; first: CatalogueEntry }) {
  const router = useRouter();
  const [form, setForm] = useState<ReceiveForm>(() => emptyReceipt(first));
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const entry = entries.find(({ key }) => key === form.what) ?? first;
  const { units } = entry;
  // State before anything of this delivery was typed; the place alone is no loss.
  const [begun, setBegun] = useState(form);
  useUnsaved(!isBusy && !isAlike({ ...form, place: '' }, { ...begun, place: '' }));
  const isCloth = entry.sort === 'roll' || entry.sort === 'sheets';
  const set = (part: Partial<ReceiveForm>) => {
    setFaults([]);
    setForm({ ...form, ...part });
  };
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const begin = (next: ReceiveForm) => {
    setForm(next);
    setBegun(next);
  };
  const choose = (key: string) => {
    const chosen = entries.find((one) => one.key === key)!;
    setFaults([]);
    begin({ ...emptyReceipt(chosen), place: form.place });
  };
  const save = (goesOn: boolean) => {
    const found = readReceipt(form, entry).faults;
    if (found.length > 0) return setFaults(found);
    start(async () => {
      const answer = await send(receive, form);
      if (!answer.ok) return setFaults(answer.faults);
      toaster.create({ title: `${entry.name} is on the shelf as ${answer.value.code}.`, type: 'success' });
      if (goesOn) begin({ ...form, length: '', flaws: [], outline: '' });
      else router.push(`/stock/${answer.value.id}`);
    });
  };
  const length = (
    field: 'width' | 'selvageLeft' | 'selvageRight' | 'length' | 'motifAcross' | 'motifAlong',
    label: string,
    hint: string,
  ) => (
    <LengthField
      label={label}
      units={units}
      value={form[field]}
      hint={hint}
      error={errorAt(field)}
      onChange={(text) => set({ [field]: text })}
    />
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save(false);
      }}
    >
      <PageHead title="Receive" about="Measure it when it comes: width at both ends, the length, and every flaw">
        <Button asChild variant="ghost">
          <Link href="/stock">Back to the shelf</Link>
        </Button>
        <Button asChild variant="ghost">
          <Link href="/stock/delivery">From a delivery note</Link>
        </Button>
        <Button variant="outline" onClick={() => save(true)} loading={isBusy}>
          Book, and one more
        </Button>
        <Button type="submit" loading={isBusy}>
          Book it in
        </Button>
      </PageHead>
      <Stack gap="5">
        {errorAt('') && <Notice level="stop">{errorAt('')}</Notice>}
        <Panel title="What came">
          <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: '2fr 1fr 1fr' }} gap="4">
            <Choice
              label="What it is"
              value={form.what}
              choices={entries.map(({ key, name }) => ({ id: key, label: name }))}
              error={errorAt('what')}
              onChange={choose}
            />{' '}
            <TextField
              label="Lot"
              value={form.lot}
              error={errorAt('lot')}
              hint="two lots never meet in one set"
              onChange={(lot) => set({ lot })}
            />{' '}
            <TextField
              label="Place"
              value={form.place}
              error={errorAt('place')}
              hint="where it will be found"
              onChange={(text) => set({ place: text })}
            />{' '}
            <TextField
              label="Supplier"
              value={form.supplier}
              error={errorAt('supplier')}
              onChange={(supplier) => set({ supplier })}
            />{' '}
            <TextField
              label={`Paid for ${PER[entry.pricePer].replace('a ', 'one ')}`}
              value={form.price}
              error={errorAt('price')}
              hint={`in ${entry.currency}`}
              onChange={(price) => set({ price })}
            />
            {(entry.sort === 'pieces' || entry.sort === 'sheets') && (
              <TextField
                isCount
                label={
                  entry.sort === 'sheets' ? 'Sheets' : entry.packSize > 1 ? `Packs of ${entry.packSize}` : 'Pieces'
                }
                value={form.count}
                error={errorAt('count')}
                onChange={(count) => set({ count })}
              />
            )}
            {entry.sort === 'length' && length('length', 'Length', 'as measured')}
          </Grid>
        </Panel>
        {isCloth && (
          <Panel title={entry.sort === 'sheets' ? 'One sheet' : 'As measured'}>
            <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }} gap="4">
              {length('length', 'Length', entry.sort === 'sheets' ? 'of one sheet' : 'all of it, like 20 yd')}
              {length('width', 'Width', 'the narrower end')}
              {length('selvageLeft', 'Left selvage', 'to trim')}
              {length('selvageRight', 'Right selvage', 'to trim')}
              {length('motifAcross', 'First motif from the left', 'its middle; empty: at the corner')}
              {length('motifAlong', 'First motif from the end', 'its middle, squared end')}
            </Grid>
            {entry.sort === 'roll' && (
              <Box mt="4">
                <TracedOutline
                  key={form.what}
                  title="Of odd shape: a hide, a garment’s panel, a remnant"
                  help="Its length and width are those of the shape; it lies as the cloth lies, along upwards."
                  value={form.outline}
                  units={units}
                  error={errorAt('outline')}
                  onChange={(outline) => set({ outline })}
                />
              </Box>
            )}
          </Panel>
        )}
        {isCloth && (
          <Panel
            title="Flaws"
            aside={
              <Button
                variant="outline"
                size="sm"
                onClick={() => set({ flaws: [...form.flaws, { along: '', across: '', length: '', width: '' }] })}
              >
                <Plus size={18} /> Add a flaw
              </Button>
            }
          >
            {form.flaws.length === 0 ? (
              <Text color="fg.muted">
                None. Mark each one with a thread at the selvage and write down where it lies.
              </Text>
            ) : (
              <Stack gap="3">
                {form.flaws.map((flaw, i) => (
                  <FlawRow
                    key={i}
                    flaw={flaw}
                    units={units}
                    errorAt={(field) => errorAt(`flaws.${i}.${field}`)}
                    onChange={(changed) => set({ flaws: form.flaws.map((one, k) => (k === i ? changed : one)) })}
                    onRemove={() => set({ flaws: form.flaws.filter((_, k) => k !== i) })}
                  />
                ))}
              </Stack>
            )}
          </Panel>
        )}
      </Stack>
    </form>
  );
}

function FlawRow({
  flaw,
  units,
  errorAt,
  onChange,
  onRemove,
}: {
  flaw: FlawForm;
  units: 'in' | 'mm';
  errorAt: (field: keyof FlawForm) => string | undefined;
  onChange: (flaw: FlawForm) => void;
  onRemove: () => void;
}) {
  const field = (name: keyof FlawForm, label: string, hint: string) => (
    <LengthField
      label={label}
      units={units}
      value={flaw[name]}
      hint={hint}
      error={errorAt(name)}
      onChange={(text) => onChange({ ...flaw, [name]: text })}
    />
  );
  return (
    <HStack gap="4" align="flex-start">
      {field('along', 'From the end', 'to where it begins')}
      {field('across', 'From the left', 'edge of the cloth')}
      {field('length', 'Long', 'along the bolt')}
      {field('width', 'Wide', 'across')}
      <IconButton variant="ghost" aria-label="Remove this flaw" mt="7" onClick={onRemove}>
        <Trash2 size={18} />
      </IconButton>
    </HStack>
  );
}
