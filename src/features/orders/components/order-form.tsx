'use client';

import { Badge, Button, Field, Flex, Grid, HStack, Input, NativeSelect, Stack, Text, Textarea } from '@chakra-ui/react';
import { Plus, Printer } from 'lucide-react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState, useTransition } from 'react';
import { useFieldArray, useForm, useWatch } from 'react-hook-form';
import type { OrderUnits } from '@/core/length';
import type { Fault } from '@/core/result';
import { OrderMark } from '@/ui/order-mark';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { laysAgain } from '@/ui/words';
import { send } from '@/features/commands/send';
import { saveOrder } from '../actions';
import { emptyLine, inOtherUnits, type LineForm, type OrderForm, type PromiseForm } from '../form';
import { CustomerField } from './customer-field';
import { KindOptions, LineCard } from './line-card';
import { PromiseBox } from './promise-box';
import { OrderProvider, useOrder, type OrderProviderProps } from './order-context';

const LONG_DAY = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeZone: 'UTC' });

const ClothNeeds = dynamic(
  lazyPart(() => import('./cloth-needs').then((file) => file.ClothNeeds)),
  { ssr: false },
);

interface Props {
  /** The stored order, or null for a new one. */
  edited: { id: number; no: number; mark: number; version: number; batches: { id: number; name: string }[] } | null;
  initial: OrderForm;
}

/** The form of what `orderText` has written. */
export function OrderFormOfText({ text }: { text: string }) {
  const read = useMemo(() => JSON.parse(text) as Props & OrderProviderProps, [text]);
  return <OrderInRoom {...read} />;
}

/** Data for the form, as one text. */
export type OrderFormData = Props & OrderProviderProps;

function OrderInRoom({ edited, initial, ...room }: Props & OrderProviderProps) {
  return (
    <OrderProvider {...room}>
      <OrderPage edited={edited} initial={initial} />
    </OrderProvider>
  );
}

// eslint-disable-next-line max-lines-per-function -- one form with what saves it; its parts share the form
function OrderPage({ edited, initial }: Props) {
  const { kinds, workroom } = useOrder();
  const router = useRouter();
  const { control, register, handleSubmit, getValues, setValue, formState, reset } = useForm<OrderForm>({
    defaultValues: initial,
  });
  const { fields, append, remove } = useFieldArray({ control, name: 'lines', keyName: 'key' });
  const [isSaving, start] = useTransition();
  const [version, setVersion] = useState(edited?.version ?? 0);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [stale, setStale] = useState<{ version: number; savedAt: string } | null>(null);
  const [promise, setPromise] = useState<PromiseForm | null>(null);
  const [isTried, setTried] = useState(false);
  const [nextKind, setNextKind] = useState(initial.lines[0]!.kind);
  const units = useWatch({ control, name: 'units' });
  const due = useWatch({ control, name: 'due' });
  const isFrozen = initial.lines.some(({ frozenBy }) => frozenBy !== undefined);
  useUnsaved(formState.isDirty && !isSaving);
  useFirstCloth();

  // A typed length stays as long as it is: where it has no unit, it gets the one that it was typed in.
  const setUnits = (next: OrderUnits) => {
    const form = getValues();
    const lines = form.lines.map((line) => inOtherUnits(line, form.units, next));
    setValue('lines', lines, { shouldDirty: true });
    setValue('units', next, { shouldDirty: true });
  };

  const save = (form: OrderForm, onVersion: number) =>
    start(async () => {
      const isSooner = promise?.safe != null && form.due < promise.safe && promise.why.trim() === '';
      if (isSooner && (!edited || form.due !== initial.due)) {
        setFaults([
          { code: 'why', field: 'promise.why', message: 'Say why it has to be sooner than the plan has it.' },
        ]);
        return;
      }
      setTried(true);
      const answer = await send(
        saveOrder,
        promise ? { ...form, promise } : form,
        edited && { id: edited.id, version: onVersion },
      );
      if (!answer.ok) {
        setFaults(answer.faults);
        setStale(answer.stale ?? null);
        return;
      }
      reset(form);
      setFaults([]);
      setStale(null);
      setTried(false);
      setVersion(answer.value.version);
      const title = edited ? `Order ${edited.no} is saved.` : 'The order is saved.';
      toaster.create({ title, description: laysAgain(answer.value.reopened), type: 'success' });
      if (edited) router.refresh();
      else router.push('/orders');
    });

  const addLines = useCallback((lines: LineForm[]) => append(lines, { shouldFocus: false }), [append]);
  // Changes of an approved batch are also said at the top: not every choice of a line has a place for a sentence.
  const general = faults.flatMap((fault) => {
    if (fault.code === 'frozen' && fault.field.startsWith('lines.'))
      return [{ ...fault, message: `Not saved. Line ${Number(fault.field.split('.')[1]) + 1}: ${fault.message}` }];
    return fault.field === '' || fault.field === 'lines' ? [fault] : [];
  });
  const fieldError = (name: string) => faults.find(({ field }) => field === name)?.message;
  const lineFaults = (index: number) =>
    faults.flatMap((fault) =>
      fault.field.startsWith(`lines.${index}.`) ? [{ ...fault, field: fault.field.split('.').slice(2).join('.') }] : [],
    );
  const isTyped = formState.isDirty || !edited;

  return (
    <form onSubmit={handleSubmit((form) => save(form, version))} noValidate aria-busy={isSaving}>
      <PageHead
        title={
          edited ? (
            <HStack gap="3">
              <OrderMark mark={edited.mark} size={30} /> Order {edited.no}
            </HStack>
          ) : (
            'New order'
          )
        }
        about={
          edited?.batches.length
            ? edited.batches.map(({ id, name }) => (
                <Badge key={id} asChild mr="2" px="2" py="1" fontSize="sm">
                  <Link href={`/batches/${id}`}>in {name}</Link>
                </Badge>
              ))
            : undefined
        }
      >
        <Button asChild variant="ghost">
          <Link href="/orders">Back to orders</Link>
        </Button>
        {edited && (
          <>
            <Button asChild variant="ghost">
              <Link href={`/orders/${edited.id}/cost`}>Costs and quotes</Link>
            </Button>
            {edited.batches.length > 0 && (
              <Button asChild variant="ghost">
                <Link href={`/orders/${edited.id}/way`}>Where it is</Link>
              </Button>
            )}
            <Button asChild variant="ghost">
              <Link href={`/orders/${edited.id}/sewing`}>
                <Printer size={18} /> Sewing sheet
              </Link>
            </Button>
          </>
        )}
        <Button type="submit" loading={isSaving} loadingText="Saving" disabled={!isTyped}>
          {isTyped ? 'Save order' : 'Saved'}
        </Button>
      </PageHead>
      <Stack gap="5">
        {stale ? (
          <Notice level="stop">
            <Stack gap="3">
              <Text>
                Somebody else saved this order at{' '}
                {new Date(stale.savedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })} while you
                were editing it. What you typed is still here.
              </Text>
              <HStack gap="3" wrap="wrap">
                <Button size="sm" onClick={() => window.location.reload()}>
                  Show theirs, drop mine
                </Button>
                <Button size="sm" variant="outline" onClick={() => save(getValues(), stale.version)}>
                  Save mine over theirs
                </Button>
                <Button size="sm" variant="ghost" asChild>
                  <Link href={`/orders/${edited!.id}`} target="_blank">
                    Look at theirs beside
                  </Link>
                </Button>
              </HStack>
            </Stack>
          </Notice>
        ) : (
          general.map(({ code, message }) => (
            <Notice key={code} level="stop">
              {message}
            </Notice>
          ))
        )}
        <Panel>
          <Grid templateColumns={{ base: 'minmax(0, 1fr)', sm: '1fr 1fr', lg: '2fr 1fr 1fr 2.4fr' }} gap="5">
            <CustomerField control={control} error={fieldError('customer')} />
            <Field.Root invalid={fieldError('due') !== undefined}>
              <Field.Label fontWeight="600">Due</Field.Label>
              <Input type="date" {...register('due')} />
              {!Number.isNaN(Date.parse(due)) && (
                <Field.HelperText>{LONG_DAY.format(Date.parse(due))}</Field.HelperText>
              )}
              <Field.ErrorText>{fieldError('due')}</Field.ErrorText>
            </Field.Root>
            <Field.Root invalid={fieldError('units') !== undefined} disabled={isFrozen}>
              <Field.Label fontWeight="600">Measured in</Field.Label>
              <NativeSelect.Root>
                <NativeSelect.Field value={units} onChange={(event) => setUnits(event.target.value as OrderUnits)}>
                  <option value="in">inches</option>
                  <option value="mm">centimetres</option>
                  <option value="millimetres">millimetres</option>
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
              {isFrozen && <Field.HelperText>kept, since a line is approved</Field.HelperText>}
              <Field.ErrorText>{fieldError('units')}</Field.ErrorText>
            </Field.Root>
            <Field.Root invalid={fieldError('notes') !== undefined}>
              <Field.Label fontWeight="600">Notes</Field.Label>
              <Textarea
                {...register('notes')}
                rows={1}
                autoresize
                minH="11"
                placeholder="Anything the cutting table should know"
                bg="bg.panel"
              />
              <Field.ErrorText>{fieldError('notes')}</Field.ErrorText>
            </Field.Root>
          </Grid>
          <PromiseBox
            control={control}
            setValue={setValue}
            promise={promise}
            onPromise={setPromise}
            orderId={edited?.id ?? null}
            error={fieldError('promise.why')}
          />
        </Panel>
        {fields.map(({ key }, index) => (
          <LineCard
            key={key}
            control={control}
            getValues={getValues}
            index={index}
            units={units}
            saved={lineFaults(index)}
            isTried={isTried}
            onMore={addLines}
            onRemove={fields.length > 1 ? () => remove(index) : undefined}
          />
        ))}
        <Flex gap="3" align="center" wrap="wrap">
          <NativeSelect.Root width="440px" maxW="full">
            <NativeSelect.Field
              aria-label="Kind of the next line"
              value={nextKind}
              onChange={(event) => setNextKind(event.target.value)}
            >
              <KindOptions />
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <Button
            variant="outline"
            onClick={() =>
              append({
                ...emptyLine(kinds.find(nextKind)!, workroom, units),
                cloth: { face: getValues().lines.at(-1)?.cloth.face ?? '' },
              })
            }
          >
            <Plus size={18} /> Add a line
          </Button>
        </Flex>
        <ClothNeeds control={control} units={units} />
      </Stack>
    </form>
  );
}

/** The first cloth is written down beside the order: it is there when somebody comes back, and what was typed too. */
function useFirstCloth() {
  const router = useRouter();
  const { cloths } = useOrder();
  const isWithout = cloths.length === 0;
  useEffect(() => {
    if (!isWithout) return;
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      // A refresh that finds nobody would load the whole page anew, without what was typed.
      const isThere = await fetch('/api/health').then(
        (answer) => answer.ok,
        () => false,
      );
      if (isThere) router.refresh();
    };
    const onChange = () => void look();
    document.addEventListener('visibilitychange', onChange);
    return () => document.removeEventListener('visibilitychange', onChange);
  }, [isWithout, router]);
}
