'use client';

import { Box, Button, Field, Flex, Grid, HStack, Input, NativeSelect, Stack, Text } from '@chakra-ui/react';
import { Lock, Trash2, TriangleAlert } from 'lucide-react';
import { memo, useMemo } from 'react';
import { useController, useWatch, type Control } from 'react-hook-form';
import { fitsOf, kindById, KINDS, openOptions, takeOff, type KindOption, type TakeOff } from '@/core/covers';
import { cutList } from '@/core/cutlist';
import { parseLength, printBoth, printNumber, STYLES, type Units } from '@/core/length';
import type { Fault } from '@/core/result';
import { Fractions } from '@/ui/fraction';
import { LengthField, typingUnit } from '@/ui/length-field';
import { Notice } from '@/ui/page';
import {
  emptyLine,
  FIT_LABELS,
  MATCHING_LABELS,
  readLineForm,
  ROLE_LABELS,
  rolesOf,
  toFormField,
  type LineForm,
  type OrderForm,
} from '../form';
import type { ClothChoice } from '../queries';
import { CoverDrawing } from './cover-drawing';

interface Props {
  control: Control<OrderForm>;
  index: number;
  units: Units;
  cloths: ClothChoice[];
  /** Faults of this line from the last attempt to save. */
  saved: Fault[];
  /** True once saving was tried: then open fields are named too. */
  isTried: boolean;
  onRemove?: (() => void) | undefined;
}

/** One line of an order: what is asked for at the left, the cover and its cut list, live, at the right. */
export const LineCard = memo(function LineCard({ control, index, units, cloths, saved, isTried, onRemove }: Props) {
  const { field } = useController({ control, name: `lines.${index}` });
  const line = useWatch({ control, name: `lines.${index}` });
  const kind = kindById(line.kind)!;
  const read = useMemo(() => readLineForm(line, units, '1'), [line, units]);
  const live = useMemo(() => liveFaults(read, line, units), [read, line, units]);
  const cover = useMemo(() => preview(read.line, units), [read, units]);
  const errorAt = (name: string) => {
    const found = [...saved, ...live].find((fault) => fault.field === name);
    // A field that is merely still empty is not scolded while somebody is typing.
    return found && (isTried || !/-missing$/.test(found.code)) ? found.message : undefined;
  };
  const change = (part: Partial<LineForm>) => field.onChange({ ...line, ...part });
  const cloth = cloths.find(({ id }) => id === line.cloth.face);
  const isFrozen = line.frozenBy !== undefined;

  return (
    <Box asChild bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" minW="0">
      <fieldset disabled={isFrozen} aria-label={`Line ${index + 1}`}>
        <Flex px="5" py="3" borderBottomWidth="1px" borderColor="border.muted" align="center" gap="4" bg="bg.subtle">
          <Text fontFamily="heading" fontWeight="800" fontSize="xl" minW="8">
            {index + 1}
          </Text>
          <NativeSelect.Root width="360px" maxW="50%" disabled={isFrozen}>
            <NativeSelect.Field
              aria-label="Kind of cover"
              value={line.kind}
              fontWeight="700"
              bg="bg.panel"
              onChange={(event) =>
                change({ ...emptyLine(kindById(event.target.value)!), id: line.id, qty: line.qty, cloth: line.cloth })
              }
            >
              {KINDS.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <Text color="fg.muted" fontSize="sm" flex="1" display={{ base: 'none', xl: 'block' }}>
            {kind.about}
          </Text>
          {isFrozen ? (
            <HStack gap="2" color="fg.muted" fontSize="sm">
              <Lock size={16} /> <Text>approved in “{line.frozenBy}”; copy the order to change it</Text>
            </HStack>
          ) : (
            onRemove && (
              <Button variant="ghost" size="sm" onClick={onRemove} ml="auto">
                <Trash2 size={16} /> Remove
              </Button>
            )
          )}
        </Flex>
        <Grid templateColumns={{ base: '1fr', lg: '1.1fr 1fr' }} gap="6" p="5">
          <Stack gap="5">
            <Grid templateColumns={`repeat(${Math.min(5, kind.measures.length + 1)}, minmax(0, 1fr))`} gap="3">
              <Field.Root invalid={errorAt('qty') !== undefined}>
                <Field.Label fontWeight="600">How many</Field.Label>
                <Input
                  inputMode="numeric"
                  value={line.qty}
                  onChange={(event) => change({ qty: event.target.value })}
                  fontSize="lg"
                  fontWeight="600"
                  autoComplete="off"
                />
                <Field.ErrorText>{errorAt('qty')}</Field.ErrorText>
              </Field.Root>
              {kind.measures.map(({ id, label, hint, default: usual }) => (
                <LengthField
                  key={id}
                  label={label}
                  hint={hint}
                  units={units}
                  {...(usual && { placeholder: placeholderOfFormula(usual) })}
                  value={line.typed[id] ?? ''}
                  error={errorAt(`typed.${id}`)}
                  onChange={(text) => change({ typed: { ...line.typed, [id]: text } })}
                />
              ))}
            </Grid>
            <Grid templateColumns="repeat(3, minmax(0, 1fr))" gap="4">
              <Choice
                label="Fit"
                value={line.fit}
                choices={fitsOf(kind).map((id) => ({ id, label: FIT_LABELS[id] }))}
                onChange={(fit) => change({ fit: fit as LineForm['fit'] })}
              />
              <Choice
                label="Sizes are"
                value={line.measuredAs}
                choices={[
                  { id: 'finished', label: 'of the form' },
                  { id: 'cut', label: 'an old cover’s cut edges' },
                ]}
                onChange={(value) => change({ measuredAs: value as LineForm['measuredAs'] })}
              />
              {cloth?.hasRepeat && (
                <Choice
                  label="Pattern"
                  value={line.matching}
                  choices={Object.entries(MATCHING_LABELS).map(([id, label]) => ({ id, label }))}
                  onChange={(value) => change({ matching: value as LineForm['matching'] })}
                />
              )}
            </Grid>
            <Grid templateColumns="repeat(3, minmax(0, 1fr))" gap="4">
              {openOptions(kind, line.choices).map((option) => (
                <OptionField
                  key={option.id}
                  option={option}
                  line={line}
                  units={units}
                  change={change}
                  error={errorAt(`typed.${option.id}`) ?? errorAt(`choices.${option.id}`)}
                />
              ))}
            </Grid>
            <Grid templateColumns="repeat(3, minmax(0, 1fr))" gap="4">
              {rolesOf(kind, line.choices).map((role) => (
                <Choice
                  key={role}
                  label={`${ROLE_LABELS[role]} cloth`}
                  value={line.cloth[role] ?? ''}
                  error={errorAt(`cloth.${role}`)}
                  choices={[
                    { id: '', label: role === 'face' ? 'Choose a cloth' : 'as the face' },
                    ...cloths.map(({ id, name }) => ({ id, label: name })),
                  ]}
                  onChange={(id) => change({ cloth: { ...line.cloth, [role]: id } })}
                />
              ))}
            </Grid>
          </Stack>
          <Stack gap="4" aria-live="polite">
            {cover ? <Preview cover={cover} line={line} units={units} cloth={cloth} index={index} /> : <Waiting />}
          </Stack>
        </Grid>
      </fieldset>
    </Box>
  );
});

function liveFaults(read: ReturnType<typeof readLineForm>, line: LineForm, units: Units): Fault[] {
  const list = read.faults.every(({ code }) => code === 'cloth-missing') ? cutList([read.line], units) : null;
  if (!list || list.ok) return read.faults;
  return [...read.faults, ...list.faults.map((fault) => toFormField(fault, kindById(line.kind)))];
}

/** The take-off as far as it can be told already: the measures suffice. */
function preview(line: ReturnType<typeof readLineForm>['line'], units: Units): TakeOff | null {
  const result = takeOff(kindById(line.kind)!, { ...line, units });
  return result.ok ? result.value : null;
}

function Waiting() {
  return (
    <Flex
      flex="1"
      minH="240px"
      align="center"
      justify="center"
      borderWidth="2px"
      borderStyle="dashed"
      borderColor="border"
      borderRadius="sm"
      px="6"
      textAlign="center"
    >
      <Text color="fg.muted">The cover and its cut list appear here as soon as its sizes are known.</Text>
    </Flex>
  );
}

function Preview({
  cover,
  line,
  units,
  cloth,
  index,
}: {
  cover: TakeOff;
  line: LineForm;
  units: Units;
  cloth: ClothChoice | undefined;
  index: number;
}) {
  const kind = kindById(line.kind)!;
  const size = (a: number, b: number) =>
    `${printNumber(a, STYLES[units]).text} x ${printNumber(b, STYLES[units]).text}`;
  const rows = [
    ...cover.pieces.map(({ name, qty, across, along, sum }) => ({ name, qty, size: size(across, along), sum })),
    ...cover.strips.map(({ name, qty, width, length, sum, grain }) => ({
      name: `${name}, ${grain === 'bias' ? 'bias' : 'straight'}`,
      qty,
      size: size(width, length),
      sum,
    })),
  ];
  const qty = Number(line.qty) || 1;
  return (
    <>
      {cover.warnings.map(({ code, message, level }) => (
        <Notice key={code} level={level}>
          {message}
        </Notice>
      ))}
      <Box maxW="380px" mx="auto" w="full">
        <CoverDrawing id={`line-${index}`} kind={kind} cover={cover} units={units} look={cloth?.look} />
      </Box>
      <Box
        as="table"
        w="full"
        css={{
          '& td, & th': { padding: '5px 8px', textAlign: 'left', verticalAlign: 'top' },
          '& tbody tr': { borderTop: '1px solid var(--chakra-colors-border-muted)' },
        }}
      >
        <thead>
          <tr>
            <th>Cut</th>
            <th>Piece</th>
            <th>Across x along, {units === 'in' ? 'in' : 'cm'}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name}>
              <Box as="td" fontWeight="700" fontSize="lg">
                {row.qty * qty}
              </Box>
              <td>{row.name}</td>
              <td>
                <Text fontWeight="700" fontSize="lg">
                  <Fractions>{row.size.replace(' x ', ' × ')}</Fractions>
                </Text>
                <Text fontSize="sm" color="fg.muted">
                  <Fractions>{sumsText(row.sum)}</Fractions>
                </Text>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
      {cover.notions.length > 0 && (
        <Text fontSize="sm" color="fg.muted">
          <Text as="span" fontWeight="700" color="fg">
            Also:{' '}
          </Text>
          <Fractions>
            {cover.notions
              .map(
                ({ name, qty: each, length, note }) =>
                  `${each * qty} ${name}${length ? ` ${printNumber(length, STYLES[units]).text}` : ''} (${note})`,
              )
              .join('; ')}
          </Fractions>
        </Text>
      )}
      <Steps cover={cover} />
    </>
  );
}

/** How the cover is sewn, with the cautions where they belong; folded away until somebody wants it. */
function Steps({ cover }: { cover: TakeOff }) {
  return (
    <Box
      asChild
      fontSize="sm"
      css={{
        '& summary': { cursor: 'pointer', fontWeight: 700, minHeight: '36px', display: 'flex', alignItems: 'center' },
      }}
    >
      <details>
        <summary>How it is sewn, and what to mind</summary>
        <Stack as="ol" gap="2" pl="5" css={{ listStyle: 'decimal' }}>
          {cover.steps.map(({ n, do: what, caution }) => (
            <li key={n}>
              <Fractions>{what}</Fractions>
              {caution && (
                <HStack gap="2" align="flex-start" color="fg.muted" mt="1">
                  <Box flex="none" mt="0.5" color="warn.line">
                    <TriangleAlert size={16} aria-label="Caution" />
                  </Box>
                  <Text>{caution}</Text>
                </HStack>
              )}
            </li>
          ))}
        </Stack>
      </details>
    </Box>
  );
}

const sumsText = ([a, b]: [string, string]) => (a === b ? a : `${a}; ${b}`).replaceAll(' x ', ' × ');

function CountField({
  label,
  value,
  usual,
  onChange,
  error,
}: {
  label: string;
  value: string;
  usual: number;
  onChange: (text: string) => void;
  error: string | undefined;
}) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontWeight="600">{label}</Field.Label>
      <Input
        inputMode="numeric"
        value={value}
        placeholder={String(usual)}
        onChange={(event) => onChange(event.target.value)}
        fontSize="lg"
        fontWeight="600"
        autoComplete="off"
      />
      <Field.ErrorText>{error}</Field.ErrorText>
    </Field.Root>
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
  units: Units;
  change: (part: Partial<LineForm>) => void;
  error: string | undefined;
}) {
  if (option.type === 'choice') {
    return (
      <Choice
        label={option.label}
        value={line.choices[option.id] ?? option.default}
        choices={option.choices}
        error={error}
        onChange={(id) => change({ choices: { ...line.choices, [option.id]: id } })}
      />
    );
  }
  if (option.type === 'count') {
    const setCount = (text: string) => change({ choices: { ...line.choices, [option.id]: text } });
    return (
      <CountField
        label={option.label}
        value={line.choices[option.id] ?? ''}
        usual={option.default}
        onChange={setCount}
        error={error}
      />
    );
  }
  return (
    <LengthField
      label={option.label}
      units={units}
      value={line.typed[option.id] ?? ''}
      error={error}
      hint={option.hint ?? ''}
      placeholder={placeholderOf(option)}
      reads={option.type === 'hem' ? (text) => readHem(text, units) : undefined}
      onChange={(text) => change({ typed: { ...line.typed, [option.id]: text } })}
    />
  );
}

/** A formula of one length as it would be written: `inch(1/2)` is 1/2 in. */
const placeholderOfFormula = (formula: string) =>
  formula.replace(/^inch\((.+)\)$/, '$1 in').replace(/^(mm|cm)\((.+)\)$/, '$2 $1');

/** The usual value of an option. */
function placeholderOf(option: KindOption): string {
  const usual =
    option.type === 'hem' ? option.default : option.type === 'length' && option.default ? [option.default] : [];
  return usual.map(placeholderOfFormula).join(' + ');
}

function readHem(text: string, units: Units): string | null {
  const turns = text.split('+').map((turn) => parseLength(turn, typingUnit(units)));
  return turns.every((turn) => turn.ok) ? turns.map((turn) => printBoth(turn.value, units)).join(' + ') : null;
}

function Choice({
  label,
  value,
  choices,
  onChange,
  error,
}: {
  label: string;
  value: string;
  choices: { id: string; label: string }[];
  onChange: (id: string) => void;
  error?: string | undefined;
}) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontWeight="600">{label}</Field.Label>
      <NativeSelect.Root>
        <NativeSelect.Field value={value} onChange={(event) => onChange(event.target.value)}>
          {choices.map(({ id, label: name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <Field.ErrorText>{error}</Field.ErrorText>
    </Field.Root>
  );
}
