'use client';

import { Grid, Link as TextLink, Stack, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Link } from '@/ui/link';
import { memo } from 'react';
import {
  fitsOf,
  openOptions,
  takenOf,
  usualOf,
  worksBack,
  type CoverKind,
  type KindOption,
  type Taken,
  type TakeOff,
} from '@/core/covers';
import { parseLength, printBoth, type OrderUnits } from '@/core/length';
import { isAlike } from '@/ui/alike';
import { Choice, TextField } from '@/ui/fields/choice';
import { Folded } from '@/ui/folded';
import { LengthField } from '@/ui/fields/length-field';
import { typingUnit } from '@/core/length';
import {
  FIT_LABELS,
  MATCHING_LABELS,
  materialRolesOf,
  ROLE_LABELS,
  rolesOf,
  TAKEN_LABELS,
  type Change,
  type LineForm,
} from '../form';
import type { ClothChoice } from '../queries';
import { Directions } from './line-directions';
import { hasOwnMaterials, LineMaterials } from './line-materials';
import { useOrder } from './order-context';

const TracedOutline = dynamic(lazyPart(() => import('@/ui/shape/traced-outline').then((file) => file.TracedOutline)));

interface Props {
  kind: CoverKind;
  line: LineForm;
  units: OrderUnits;
  cover: TakeOff | null;
  cloth: ClothChoice | undefined;
  change: Change;
  errorAt: (name: string) => string | undefined;
  onFocusMeasure: (id: string | undefined) => void;
}

// A line has up to thirty fields; a letter in one of them draws only that one again.
const Length = memo(LengthField, isAlike);
const Pick = memo(Choice, isAlike);
const Short = memo(TextField, isAlike);

/** Fields of a line: how many, the measures, then how it is made and of what; rare ones are folded away. */
// eslint-disable-next-line max-lines-per-function -- one form, field by field
export function LineFields({ kind, line, units, cover, cloth, change, errorAt, onFocusMeasure }: Props) {
  const { cloths } = useOrder();
  const open = openOptions(kind, line.choices);
  const field = (option: KindOption) => (
    <OptionField
      key={option.id}
      option={option}
      line={line}
      units={units}
      change={change}
      error={errorAt(`typed.${option.id}`) ?? errorAt(`choices.${option.id}`)}
    />
  );
  const rare = open.filter(({ isRare }) => isRare);
  return (
    <Stack gap="5">
      <Grid
        templateColumns={{
          base: 'repeat(2, minmax(0, 1fr))',
          md: `repeat(${Math.min(5, kind.measures.length + 1)}, minmax(0, 1fr))`,
        }}
        gap="3"
      >
        <Short
          isCount
          label="How many"
          value={line.qty}
          error={errorAt('qty')}
          onChange={(qty) => change(() => ({ qty }))}
        />
        {kind.measures.map(({ id, label, hint, default: usual }) => (
          <Length
            key={id}
            label={label}
            hint={hint}
            units={units}
            {...(usual && { placeholder: placeholderOfFormula(usual) })}
            value={line.typed[id] ?? ''}
            error={errorAt(`typed.${id}`)}
            onFocus={() => onFocusMeasure(id)}
            onBlur={() => onFocusMeasure(undefined)}
            onChange={(text) => change(({ typed }) => ({ typed: { ...typed, [id]: text } }))}
          />
        ))}
      </Grid>
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        <Pick
          label="Fit"
          value={line.fit}
          error={errorAt('fit')}
          choices={fitsOf(kind).map((id) => ({ id, label: FIT_LABELS[id] }))}
          onChange={(fit) => change(() => ({ fit: fit as LineForm['fit'] }))}
        />
        <Pick
          label="Sizes are"
          value={line.measuredAs}
          choices={(worksBack(kind) ? LINE_TAKEN : BEFORE_TAKEN).map((id) => ({ id, label: TAKEN_LABELS[id] }))}
          onChange={(value) => change(() => ({ measuredAs: value as LineForm['measuredAs'] }))}
        />
        {cloth?.cloth.repeat && (
          <Pick
            label="Pattern"
            value={line.matching}
            error={errorAt('matching')}
            choices={Object.entries(MATCHING_LABELS).map(([id, label]) => ({ id, label }))}
            onChange={(value) => change(() => ({ matching: value as LineForm['matching'] }))}
          />
        )}
      </Grid>
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        {open.filter(({ isRare }) => !isRare).map(field)}
      </Grid>
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        {rolesOf(kind, line.choices).map((role) => (
          <Pick
            key={role}
            label={`${ROLE_LABELS[role]} cloth`}
            value={line.cloth[role] ?? ''}
            error={errorAt(`cloth.${role}`)}
            choices={[
              { id: '', label: role === 'face' ? 'Choose a cloth' : 'as the face' },
              ...cloths
                .filter(({ id, sort }) => sort === 'cloth' || id === line.cloth[role])
                .map(({ id, name }) => ({ id, label: name })),
            ]}
            onChange={(id) => change((now) => ({ cloth: { ...now.cloth, [role]: id } }))}
          />
        ))}
      </Grid>
      {cloths.length === 0 && (
        <Text color="fg.muted">
          No cloth is written down yet. The pieces are worked out all the same; to save the order,{' '}
          <TextLink asChild fontWeight="600">
            <Link href="/cloth/new" target="_blank">
              add a cloth
            </Link>
          </TextLink>{' '}
          first. It opens beside this order, which waits.
        </Text>
      )}
      <Stack gap="1">
        {kind.outline && (
          <TracedOutline
            title="Traced, instead of width and depth"
            help="The seam allowance goes round it."
            value={line.outline}
            units={units}
            error={errorAt('outline')}
            onChange={(outline) => change(() => ({ outline }))}
          />
        )}
        {worksBack(kind) && (
          <Folded title="How each size was taken" isOpen={Object.keys(line.taken).length > 0}>
            <TakenFields kind={kind} line={line} errorAt={errorAt} change={change} />
          </Folded>
        )}
        {cover && (
          <Folded title="Which way the cloth runs" isOpen={Object.keys(line.directions).length > 0}>
            <Directions cover={cover} line={line} cloth={cloth} change={change} />
          </Folded>
        )}
        {(materialRolesOf(kind).length > 0 || (cover?.notions.length ?? 0) > 0) && (
          <Folded title="Materials and notions" isOpen={hasOwnMaterials(kind, line)}>
            <LineMaterials kind={kind} cover={cover} line={line} change={change} errorAt={errorAt} />
          </Folded>
        )}
        {rare.length > 0 && (
          <Folded title="More options" isOpen={rare.some(({ id }) => line.typed[id] || line.choices[id])}>
            <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
              {rare.map(field)}
            </Grid>
          </Folded>
        )}
      </Stack>
    </Stack>
  );
}

/** Ways that hold for a whole line; trimmed is only ever one of its sizes. */
const LINE_TAKEN = ['finished', 'seams', 'cut'] as const;
/** Those of kinds from before, which take all sizes alike. */
const BEFORE_TAKEN = ['finished', 'cut'] as const;

/** How each size was taken, where it is otherwise than the line’s: an old cover is good for one number and not for the next. */
function TakenFields({ kind, line, errorAt, change }: Pick<Props, 'kind' | 'line' | 'errorAt' | 'change'>) {
  return (
    <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
      {kind.measures
        .filter((measure) => takenOf(measure).length > 1)
        .map((measure) => (
          <Pick
            key={measure.id}
            label={measure.label}
            value={line.taken[measure.id] ?? ''}
            error={errorAt(`taken.${measure.id}`)}
            choices={[
              { id: '', label: 'as the line' },
              ...takenOf(measure).map((id) => ({ id, label: TAKEN_LABELS[id] })),
            ]}
            onChange={(way) =>
              change(({ taken: { [measure.id]: _, ...others } }) => ({
                taken: way === '' ? others : { ...others, [measure.id]: way as Taken },
              }))
            }
          />
        ))}
    </Grid>
  );
}

function OptionField({
  option,
  line,
  units,
  change,
  error,
}: {
  option: KindOption;
  line: LineForm;
  units: OrderUnits;
  change: Change;
  error: string | undefined;
}) {
  const choose = (text: string) => change(({ choices }) => ({ choices: { ...choices, [option.id]: text } }));
  if (option.type === 'choice') {
    return (
      <Pick
        label={option.label}
        value={line.choices[option.id] ?? option.default}
        choices={option.choices}
        error={error}
        onChange={choose}
      />
    );
  }
  if (option.type === 'count') {
    return (
      <Short
        isCount
        label={option.label}
        value={line.choices[option.id] ?? ''}
        placeholder={String(option.default)}
        onChange={choose}
        error={error}
      />
    );
  }
  return (
    <Length
      label={option.label}
      units={units}
      value={line.typed[option.id] ?? ''}
      error={error}
      hint={option.hint ?? ''}
      placeholder={placeholderOf(option, units)}
      reads={option.type === 'hem' ? (text) => readHem(text, units) : undefined}
      onChange={(text) => change(({ typed }) => ({ typed: { ...typed, [option.id]: text } }))}
    />
  );
}

/** A formula of one length as it would be written: `inch(1/2)` is 1/2 in. */
const placeholderOfFormula = (formula: string) =>
  formula.replace(/^inch\((.+)\)$/, '$1 in').replace(/^(mm|cm)\((.+)\)$/, '$2 $1');

/** The usual value of an option. */
const placeholderOf = (option: KindOption, units: OrderUnits): string =>
  usualOf(option, units).map(placeholderOfFormula).join(' + ');

function readHem(text: string, units: OrderUnits): string | null {
  const turns = text.split('+').map((turn) => parseLength(turn, typingUnit(units)));
  return turns.every((turn) => turn.ok) ? turns.map((turn) => printBoth(turn.value, units)).join(' + ') : null;
}
