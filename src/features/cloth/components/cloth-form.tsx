'use client';

import { Box, Button, Grid, HStack, Input, Stack, Text, Textarea } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { printLength, STYLES } from '@/core/length';
import { useCurrencies } from '@/ui/fields/use-currencies';
import type { Fault } from '@/core/result';
import { ClothSwatch, type ClothLook } from '@/ui/cloth/cloth-pattern';
import { Fractions } from '@/ui/fraction';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { laysAgain } from '@/ui/words';
import { send } from '@/features/commands/send';
import { deleteCloth, dropClothPhoto, saveCloth } from '../actions';
import {
  FIBRE_LABELS,
  GIVE_LABELS,
  inOtherUnits,
  PATTERN_LABELS,
  readClothForm,
  SORT_LABELS,
  TURN_LABELS,
  WEIGHT_LABELS,
  type ClothForm,
  type LengthOfCloth,
} from '../form';
import { FormLength, Labelled, Select, Tick } from './cloth-form-fields';

export function ClothFormView({
  edited,
  initial,
  photo = null,
}: {
  edited: { id: number; version: number } | null;
  initial: ClothForm;
  /** The address of a picture of one repeat, where there is one. */
  photo?: string | null;
}) {
  const router = useRouter();
  const { control, register, handleSubmit, getValues, setValue, reset, formState } = useForm<ClothForm>({
    defaultValues: initial,
  });
  const form = useWatch({ control }) as ClothForm;
  const [isBusy, start] = useTransition();
  const [faults, setFaults] = useState<Fault[]>([]);
  const [version, setVersion] = useState(edited?.version ?? 0);
  const [stale, setStale] = useState<number | null>(null);
  const live = readClothForm(form);
  useUnsaved(formState.isDirty && !isBusy);
  const errorAt = (name: keyof ClothForm) => {
    const saved = faults.find(({ field }) => field === name)?.message;
    const typing = live.faults.find(
      ({ field, code }) => field === name && code.startsWith('length') && code !== 'length-missing',
    )?.message;
    return typing ?? saved;
  };
  const fields: FieldProps = { control, register, getValues, setValue, form, errorAt };

  const save = (values: ClothForm, onVersion: number) =>
    start(async () => {
      const answer = await send(saveCloth, values, edited && { id: edited.id, version: onVersion });
      if (!answer.ok) {
        setFaults(answer.faults);
        setStale(answer.stale?.version ?? null);
        return;
      }
      setFaults([]);
      setStale(null);
      setVersion(answer.value.version);
      reset(values);
      const description = laysAgain(answer.value.reopened);
      toaster.create({ title: `${values.name.trim()} is saved.`, description, type: 'success' });
      if (!edited) router.push('/cloth');
    });
  const dropPhoto = () =>
    start(async () => {
      const answer = await send(dropClothPhoto, edited!.id);
      if (!answer.ok) return setFaults(answer.faults);
      router.refresh();
    });
  const remove = () =>
    start(async () => {
      const answer = await send(deleteCloth, edited!.id);
      if (!answer.ok) return setFaults(answer.faults);
      toaster.create({ title: `${answer.value.name} is deleted.` });
      router.push('/cloth');
    });

  return (
    <form onSubmit={handleSubmit((values) => save(values, version))} noValidate>
      <PageHead title={edited ? initial.name : 'New cloth'}>
        <Button asChild variant="ghost">
          <Link href="/cloth">Back to cloth</Link>
        </Button>
        {edited && (
          <>
            <Button asChild variant="ghost">
              <Link href={`/cloth/${edited.id}/photo`}>From a photograph</Link>
            </Button>
            {photo && (
              <Button variant="ghost" onClick={dropPhoto} disabled={isBusy}>
                Drop the picture
              </Button>
            )}
            <Button variant="ghost" onClick={remove} disabled={isBusy}>
              Delete
            </Button>
          </>
        )}
        <Button type="submit" loading={isBusy} loadingText="Saving" disabled={edited !== null && !formState.isDirty}>
          {edited && !formState.isDirty ? 'Saved' : 'Save cloth'}
        </Button>
      </PageHead>
      <Stack gap="5">
        {faults
          .filter(({ field }) => field === '')
          .map(({ code, message }) => (
            <Notice key={code} level="stop">
              <Text>{message}</Text>
              {stale !== null && (
                <HStack mt="3" gap="3">
                  <Button size="sm" onClick={() => window.location.reload()}>
                    Show theirs, drop mine
                  </Button>
                  <Button size="sm" variant="outline" onClick={() => save(getValues(), stale)}>
                    Save mine over theirs
                  </Button>
                </HStack>
              )}
            </Notice>
          ))}
        <Grid templateColumns={{ base: '1fr', lg: '1fr 360px' }} gap="5" alignItems="start">
          <Stack gap="5">
            <WhatItIs {...fields} />
            {form.sort !== 'cloth' && <AsMaterial {...fields} />}
            <Pattern {...fields} />
            <UnderTheHands {...fields} />
            <BeforeCutting {...fields} values={live.values} />
            <Buying {...fields} />
          </Stack>
          <Panel title="How it lies">
            <ClothPicture form={form} values={live.values} photo={photo} />
          </Panel>
        </Grid>
      </Stack>
    </form>
  );
}

interface FieldProps extends Pick<UseFormReturn<ClothForm>, 'control' | 'register' | 'getValues' | 'setValue'> {
  /** The form as it is typed. */
  form: ClothForm;
  errorAt: (name: keyof ClothForm) => string | undefined;
}

/** Fields of lengths, in the cloth's units. */
const lengthField = ({ control, form, errorAt }: FieldProps) =>
  function length(name: LengthOfCloth, label: string, hint: string) {
    return (
      <FormLength control={control} name={name} label={label} hint={hint} units={form.units} error={errorAt(name)} />
    );
  };

function WhatItIs(fields: FieldProps) {
  const { control, register, getValues, setValue, errorAt } = fields;
  const length = lengthField(fields);
  // A typed length stays as long as it is: where it has no unit, it gets the one that it was typed in.
  const keepLengths = (units: string) => {
    const kept = Object.entries(inOtherUnits(getValues(), units as ClothForm['units']));
    for (const [name, text] of kept) setValue(name as LengthOfCloth, text, { shouldDirty: true });
  };

  return (
    <Panel title="What it is">
      <Grid templateColumns={{ base: '1fr 1fr', xl: '2fr 1.4fr 1fr 1fr' }} gap="4">
        <Labelled label="Name" error={errorAt('name')}>
          <Input {...register('name')} autoComplete="off" />
        </Labelled>
        <Labelled label="It is">
          <Select control={control} name="sort" choices={SORT_LABELS} />
        </Labelled>
        <Labelled label="Measured in">
          <Select control={control} name="units" choices={{ in: 'inches', mm: 'centimetres' }} onChange={keepLengths} />
        </Labelled>
        {length('width', 'Width', 'edge to edge')}
        {length('selvageLeft', 'Left selvage', 'to trim')}
        {length('selvageRight', 'Right selvage', 'to trim')}
        <Box gridColumn="span 2">
          <Labelled label="Notes" error={errorAt('notes')}>
            <Textarea
              {...register('notes')}
              rows={1}
              autoresize
              minH="11"
              bg="bg.panel"
              placeholder="Fibre, weight, how to press it"
            />
          </Labelled>
        </Box>
      </Grid>
    </Panel>
  );
}

function AsMaterial(fields: FieldProps) {
  const { control, register, form, errorAt } = fields;
  const length = lengthField(fields);
  return (
    <Panel title="As a material">
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }} gap="4">
        {length('sheetLength', 'Length of a sheet', 'empty: off a roll')}
        {length('thickness', 'Thickness', 'empty: thin')}
        <Labelled label="Firmness" error={errorAt('firmness')} hint="in words">
          <Input {...register('firmness')} autoComplete="off" />
        </Labelled>
        <Labelled label="Life" error={errorAt('life')} hint="how long it lasts">
          <Input {...register('life')} autoComplete="off" />
        </Labelled>
        <Tick
          control={control}
          name="isUsual"
          label={`Our usual ${SORT_LABELS[form.sort]}: orders take it unless they say otherwise`}
        />
      </Grid>
    </Panel>
  );
}

function Pattern(fields: FieldProps) {
  const { control, register, form, errorAt } = fields;
  const length = lengthField(fields);
  return (
    <Panel title="Pattern">
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        {length('repeatAcross', 'Repeat across', 'empty: none')}
        {length('repeatAlong', 'Repeat along', 'empty: none')}
        <Labelled label="Drop" error={errorAt('drop')} hint="0 straight match, 1/2 half drop">
          <Input {...register('drop')} fontSize="lg" fontWeight="600" autoComplete="off" />
        </Labelled>
        {length('motifAcross', 'First motif from the left', 'its middle, from the edge')}
        {length('motifAlong', 'First motif from the end', 'its middle, squared end')}
        <Labelled label="Pieces may turn" hint={TURN_HINTS[form.turns]}>
          <Select control={control} name="turns" choices={TURN_LABELS} />
        </Labelled>
        <Labelled label="Drawn as">
          <Select control={control} name="pattern" choices={PATTERN_LABELS} />
        </Labelled>
        <HStack gap="4" align="flex-start">
          <Labelled label="Ground" error={errorAt('groundColour')}>
            <Input type="color" {...register('groundColour')} p="1" />
          </Labelled>
          <Labelled label="Figure" error={errorAt('figureColour')}>
            <Input type="color" {...register('figureColour')} p="1" />
          </Labelled>
        </HStack>
      </Grid>
    </Panel>
  );
}

function UnderTheHands(fields: FieldProps) {
  const { control } = fields;
  return (
    <Panel title="Under the hands">
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        <Labelled label="Made of">
          <Select control={control} name="fibre" choices={FIBRE_LABELS} />
        </Labelled>
        <Labelled label="Weight">
          <Select control={control} name="weight" choices={WEIGHT_LABELS} />
        </Labelled>
        <Labelled label="It gives">
          <Select control={control} name="give" choices={GIVE_LABELS} />
        </Labelled>
      </Grid>
    </Panel>
  );
}

function BeforeCutting({ values, ...fields }: FieldProps & { values: ReturnType<typeof readClothForm>['values'] }) {
  const { control, register, form, errorAt } = fields;
  return (
    <Panel title="Before it is cut">
      <Grid
        templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }}
        gap="4"
        alignItems="start"
      >
        <Tick control={control} name="isWashed" label="It is washed and dried first" />
        <Labelled label="Lost along" error={errorAt('shrinkAlong')} hint="per cent; woven cottons 3 to 5">
          <Input {...register('shrinkAlong')} inputMode="decimal" fontSize="lg" fontWeight="600" autoComplete="off" />
        </Labelled>
        <Labelled label="Lost across" error={errorAt('shrinkAcross')} hint="per cent, usually less">
          <Input {...register('shrinkAcross')} inputMode="decimal" fontSize="lg" fontWeight="600" autoComplete="off" />
        </Labelled>
        <WashSum form={form} values={values} />
      </Grid>
    </Panel>
  );
}

function Buying(fields: FieldProps) {
  const { control, register, form, errorAt } = fields;
  const length = lengthField(fields);
  const currencyChoices = useCurrencies(form.currency);
  return (
    <Panel title="Buying">
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: '1fr 2fr 1fr 1fr' }} gap="4">
        <Labelled label="Price" error={errorAt('price')}>
          <Input
            {...register('price')}
            inputMode="decimal"
            placeholder="24.50"
            fontSize="lg"
            fontWeight="600"
            autoComplete="off"
          />
        </Labelled>
        <Labelled label="Currency" error={errorAt('currency')}>
          <Select
            control={control}
            name="currency"
            choices={Object.fromEntries(currencyChoices.map(({ id, label }) => [id, label]))}
          />
        </Labelled>
        <Labelled label="For one" error={errorAt('pricePer')}>
          <Select
            control={control}
            name="pricePer"
            choices={{ yd: 'yard', m: 'metre', ...(form.sort !== 'cloth' && { sheet: 'sheet' }) }}
          />
        </Labelled>
        {length('sellingStep', 'Sold in steps of', 'like 1/4 yd or 10 cm')}
        <Labelled label="Supplier" error={errorAt('supplier')}>
          <Input {...register('supplier')} autoComplete="off" />
        </Labelled>
      </Grid>
    </Panel>
  );
}

/** Effect of washing on a yard or metre of it: the sum that is behind the length to buy. */
function WashSum({ form, values }: { form: ClothForm; values: ReturnType<typeof readClothForm>['values'] }) {
  if (!form.isWashed) return null;
  const style = STYLES[form.units];
  const width = Math.round(values.widthNm * (1 - values.shrinkAcrossPart));
  const more = 1 / (1 - values.shrinkAlongPart);
  return (
    <Text>
      <Fractions>{`Washed it is ${printLength(width, style)} wide, and a lay takes its length / (1 − ${values.shrinkAlongPart.toFixed(3)}), ${((more - 1) * 100).toFixed(1)} % more.`}</Fractions>
    </Text>
  );
}

const TURN_HINTS: Record<ClothForm['turns'], string> = {
  any: 'quarter turns too: plain cloth',
  half: 'no quarter turns',
  none: 'a nap, or a print that reads upright',
};

function ClothPicture({
  form,
  values,
  photo,
}: {
  form: ClothForm;
  values: ReturnType<typeof readClothForm>['values'];
  photo: string | null;
}) {
  const look: ClothLook = {
    pattern: form.pattern,
    ground: values.groundColour,
    figure: values.figureColour,
    repeatAcross: values.repeatAcrossNm,
    repeatAlong: values.repeatAlongNm,
    drop: values.dropPart,
    motif: [values.motifAcrossNm, values.motifAlongNm],
    photo,
  };
  const style = STYLES[form.units];
  const usable = values.widthNm - values.selvageLeftNm - values.selvageRightNm;
  return (
    <Stack gap="3">
      <Box css={{ '& svg': { width: '100%', height: 'auto' } }}>
        <ClothSwatch id="cloth-form" look={look} size={320} />
      </Box>
      {usable > 0 && (
        <Text>
          <Fractions>{`${printLength(usable, style)} to cut from between the selvages`}</Fractions>
        </Text>
      )}
      {values.repeatAcrossNm > 0 && usable > 0 && (
        <Text color="fg.muted">
          {Math.floor(usable / values.repeatAcrossNm)} whole repeats across
          {values.dropPart > 0 ? ', each next one shifted along by the drop' : ''}
        </Text>
      )}
    </Stack>
  );
}
