'use client';

import { Box, Button, Grid, HStack, Stack, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { Fragment, memo, useCallback, useDeferredValue, useMemo, useState, useTransition } from 'react';
import { checkKind, DRAWINGS, FITS, sampleOf, TAPES, type CoverKind, type Fit } from '@/core/covers';
import { kindToJson } from '@/core/files/kind-text';
import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { Fault } from '@/core/result';
import { isAlike } from '@/ui/alike';
import { Choice, TextField } from '@/ui/fields/choice';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { send } from '@/features/commands/send';
import { saveKind, withdrawKind } from '../actions';
import {
  checkColumns,
  inspectionColumns,
  markColumns,
  measureColumns,
  notionColumns,
  optionColumns,
  pieceColumns,
  resultColumns,
  sizeColumns,
  stepColumns,
  stripColumns,
} from './kind-columns';
import { NAMELESS } from './kind-faults';
import { RowsEditor, type Column } from './rows-editor';

const KindPreview = dynamic(
  lazyPart(() => import('./kind-preview').then((file) => file.KindPreview)),
  {
    ssr: false,
    loading: () => <Panel title="Tried out">A moment …</Panel>,
  },
);

// A kind has a hundred fields; a letter in one of them draws only that one again.
const Short = memo(TextField, isAlike);
const Pick = memo(Choice, isAlike);

/** The parts of a kind that are lists of rows. */
type ListName =
  | 'measures'
  | 'options'
  | 'results'
  | 'pieces'
  | 'strips'
  | 'notions'
  | 'checks'
  | 'marks'
  | 'steps'
  | 'inspections'
  | 'usualSizes';
type RowOf<Name extends ListName> = NonNullable<CoverKind[Name]>[number];
const NO_ROWS: readonly never[] = [];

interface Props {
  edited: { id: number; version: number; isWithdrawn: boolean; uses: number } | null;
  initial: CoverKind;
  units: Units;
}

const FIT_NAMES: Record<Fit, string> = { true: 'True size adds', snug: 'Snug adds', overfull: 'Overfull adds' };
const FINISHED = [
  ['width', 'Width'],
  ['height', 'Height or depth'],
  ['thickness', 'Thickness'],
  ['skirt', 'Skirt'],
  ['flange', 'Flange'],
  ['overlap', 'Overlap'],
] as const;
const OBJECT_NAMES: Record<CoverKind['object'], string> = {
  pad: 'a pad',
  block: 'a block of foam',
  round: 'a round block',
  bolster: 'a roll',
  book: 'a book',
  device: 'a flat thing',
  strap: 'a strap',
  stool: 'a stool',
};

/** Builds a kind of the workroom's own, with every fault at its formula and the cover made from it beside. */
export function KindEditor({ edited, initial, units }: Props) {
  const router = useRouter();
  const [kind, setKind] = useState(initial);
  const [version, setVersion] = useState(edited?.version ?? 0);
  const [saved, setSaved] = useState(initial);
  const [refused, setRefused] = useState<Fault[]>([]);
  const [isTried, setTried] = useState(false);
  const [isBusy, start] = useTransition();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const later = useDeferredValue(kind);
  const sample = useMemo(() => sampleFrom(later, typed, units), [later, typed, units]);
  const checked = useMemo(() => check(later, sample, units), [later, sample, units]);
  const faults = [...checked.faults, ...refused];
  const change = useCallback((part: (now: CoverKind) => Partial<CoverKind>) => {
    setRefused([]);
    setKind((now) => ({ ...now, ...part(now) }));
  }, []);
  const errorAt = (field: string) =>
    faults.find((fault) => fault.field === field && (isTried || fault.code !== NAMELESS))?.message;
  const isChanged = kind !== saved;
  useUnsaved(isChanged && !isBusy);

  const save = () =>
    start(async () => {
      setTried(true);
      if (checked.faults.length > 0) return;
      const answer = await send(saveKind, kind, edited && { id: edited.id, version });
      if (!answer.ok) return setRefused(answer.faults);
      toaster.create({ title: `“${kind.name}” is saved as version ${answer.value.version}.`, type: 'success' });
      setRefused([]);
      setSaved(kind);
      setVersion(answer.value.version);
      setTried(false);
      if (!edited) router.push(`/workroom/kinds/${answer.value.id}`);
      else router.refresh();
    });
  const withdraw = () =>
    start(async () => {
      const answer = await send(withdrawKind, edited!.id, !edited!.isWithdrawn);
      if (!answer.ok) return setRefused(answer.faults);
      toaster.create({
        title: edited!.isWithdrawn ? `“${kind.name}” is offered again.` : `“${kind.name}” is no longer offered.`,
      });
      router.refresh();
    });

  const parts: PartProps = { kind, faults, errorAt, change };
  return (
    <>
      <PageHead
        title={kind.name || 'A new kind of cover'}
        about={
          edited
            ? `Version ${version}, ${edited.uses === 1 ? '1 order line' : `${edited.uses} order lines`}; a save makes the next version, orders keep theirs`
            : 'Built from measures, formulas, pieces, notions and steps'
        }
      >
        <Button asChild variant="ghost">
          <Link href="/workroom">Back to the workroom</Link>
        </Button>
        {edited && (
          <>
            <Button variant="ghost" onClick={withdraw} disabled={isBusy}>
              {edited.isWithdrawn ? 'Offer again' : 'Withdraw'}
            </Button>
            <Button asChild variant="outline">
              <a
                download={`${kind.name}.json`}
                href={`data:application/json;charset=utf-8,${encodeURIComponent(kindToJson(kind))}`}
              >
                Export
              </a>
            </Button>
          </>
        )}
        <Button onClick={save} loading={isBusy} disabled={edited !== null && !isChanged}>
          {edited && !isChanged ? 'Saved' : 'Save kind'}
        </Button>
      </PageHead>
      {(isTried || refused.length > 0) && faults.length > 0 && (
        <Box mb="5">
          <Notice level="stop">
            {faults.length === 1
              ? `One thing is to be put right first: ${faults[0]!.message}`
              : `${faults.length} things are to be put right first; the first: ${faults[0]!.message}`}
          </Notice>
        </Box>
      )}
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 400px' }} gap="5" alignItems="start">
        <Stack gap="5" minW="0">
          <Basics {...parts} />
          <Lists {...parts} names={BEFORE_SIZES} />
          <Sizes {...parts} />
          <Lists {...parts} names={AFTER_SIZES} />
        </Stack>
        <Box position={{ lg: 'sticky' }} top="4">
          <KindPreview
            kind={checked.kind}
            faults={checked.faults}
            sample={sample}
            units={units}
            typed={typed}
            onType={(id, text) => setTyped({ ...typed, [id]: text })}
          />
          <HStack mt="3" gap="2" color="fg.muted" fontSize="sm">
            <Text>Formulas reach nothing but the kind’s own measures, options and sums.</Text>
          </HStack>
        </Box>
      </Grid>
    </>
  );
}

interface PartProps {
  kind: CoverKind;
  faults: readonly Fault[];
  errorAt: (field: string) => string | undefined;
  change: (part: (now: CoverKind) => Partial<CoverKind>) => void;
}

function Basics({ kind, errorAt, change }: PartProps) {
  const set = (part: Partial<CoverKind>) => change(() => part);
  return (
    <Panel title="What it is">
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', xl: 'repeat(4, minmax(0, 1fr))' }} gap="4">
        <Short label="Name" value={kind.name} error={errorAt('name')} onChange={(name) => set({ name })} />
        <Box gridColumn={{ xl: 'span 3' }}>
          <Short
            label="In a sentence"
            value={kind.about}
            error={errorAt('about')}
            onChange={(about) => set({ about })}
          />
        </Box>
        <Pick
          label="What is measured"
          value={kind.object}
          choices={Object.keys(TAPES).map((id) => ({ id, label: OBJECT_NAMES[id as CoverKind['object']] }))}
          onChange={(object) => change((now) => withObject(now, object as CoverKind['object']))}
        />
        <Pick
          label="Drawn as"
          value={kind.drawing}
          choices={DRAWINGS.map((id) => ({ id, label: id }))}
          onChange={(drawing) => set({ drawing: drawing as CoverKind['drawing'] })}
        />
        <Pick
          label="Filled"
          value={kind.fill}
          choices={[
            { id: 'soft', label: 'softly, to 1/4 in' },
            { id: 'firm', label: 'firmly, to 1/8 in' },
          ]}
          onChange={(fill) => set({ fill: fill as CoverKind['fill'] })}
        />
        <Pick
          label="Usual fit"
          value={kind.defaultFit}
          error={errorAt('defaultFit')}
          choices={FITS.map((id) => ({ id, label: id }))}
          onChange={(defaultFit) => set({ defaultFit: defaultFit as Fit })}
        />
      </Grid>
    </Panel>
  );
}

function Sizes({ kind, errorAt, change }: PartProps) {
  return (
    <Panel title="Fit and finished size">
      <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
        {FITS.map((fit) => (
          <Short
            key={fit}
            label={FIT_NAMES[fit]}
            value={kind.allowance[fit] ?? ''}
            placeholder="not offered"
            error={errorAt(`allowance.${fit}`)}
            hint="to a measured edge, both sides; in formulas: allowance"
            onChange={(text) => change(({ allowance }) => ({ allowance: without(allowance, fit, text) }))}
          />
        ))}
        {FINISHED.map(([id, label]) => (
          <Short
            key={id}
            label={`Finished: ${label.toLowerCase()}`}
            value={kind.finished[id] ?? ''}
            placeholder={id === 'width' || id === 'height' ? undefined : 'none'}
            error={errorAt(`finished.${id}`)}
            onChange={(text) =>
              change(({ finished }) => ({
                finished:
                  id === 'width' || id === 'height'
                    ? { ...finished, [id]: text }
                    : (without(finished, id, text) as CoverKind['finished']),
              }))
            }
          />
        ))}
      </Grid>
    </Panel>
  );
}

const BEFORE_SIZES: readonly ListName[] = ['measures', 'options'];
const AFTER_SIZES: readonly ListName[] = [
  'results',
  'pieces',
  'strips',
  'notions',
  'checks',
  'marks',
  'steps',
  'inspections',
  'usualSizes',
];

/** A list of the kind: its name, its columns, and a new row of it. */
interface ListOfKind<Name extends ListName> {
  title: string;
  about: string;
  addLabel: string;
  columns: (kind: CoverKind) => Column<RowOf<Name>>[];
  make: (kind: CoverKind) => RowOf<Name>;
}

/** Columns of the measures by what is measured: the same ones each time, so that only what changes is drawn again. */
const MEASURED = new Map(
  (Object.keys(TAPES) as CoverKind['object'][]).map((object) => [object, measureColumns(object)]),
);

const LISTS: { [Name in ListName]: ListOfKind<Name> } = {
  measures: {
    title: 'Measures',
    about: 'What the tape takes. The name is used in formulas.',
    addLabel: 'Add a measure',
    columns: ({ object }) => MEASURED.get(object)!,
    make: () => ({ id: '', label: '', hint: '' }),
  },
  options: {
    title: 'Options',
    about: 'What may differ from order to order. A length left empty is 0, and …Given tells whether it was written.',
    addLabel: 'Add an option',
    columns: () => optionColumns,
    make: () => ({ id: '', label: '', type: 'length' as const }),
  },
  results: {
    title: 'Sums',
    about:
      'Named results, in any order: + - * / ( ), a ? b : c, inch(1/2), cm(3), min, max, diagonal, circumference, whole, stockUp, stockDown, spread.',
    addLabel: 'Add a sum',
    columns: () => resultColumns,
    make: () => ({ name: '', is: '' }),
  },
  pieces: {
    title: 'Pieces',
    about: 'What is cut, as cut: across and along are formulas.',
    addLabel: 'Add a piece',
    columns: () => pieceColumns,
    make: () => ({ name: '', role: 'face' as const, qty: 1, across: '', along: '' }),
  },
  strips: {
    title: 'Strips',
    about: 'Long parts that may be joined: piping, binding, boxing.',
    addLabel: 'Add a strip',
    columns: () => stripColumns,
    make: () => ({
      name: '',
      role: 'welt' as const,
      qty: '1',
      width: '',
      length: '',
      grain: "'straight'",
      loss: 'inch(1)',
      least: 'inch(12)',
    }),
  },
  notions: {
    title: 'Notions',
    about: 'Zips, cord, snaps, foam: what is not cut from cloth. A note may hold {formulas}.',
    addLabel: 'Add a notion',
    columns: () => notionColumns,
    make: () => ({ name: '', qty: '1', note: '' }),
  },
  checks: {
    title: 'Checks',
    about: 'Warnings that an order shows; only what can’t be made stops it.',
    addLabel: 'Add a check',
    columns: () => checkColumns,
    make: (now) => ({
      code: '',
      field: now.measures[0]?.id ?? '',
      when: '',
      message: '',
      level: 'warn' as const,
    }),
  },
  marks: {
    title: 'Marks',
    about:
      'What is marked on the pieces once they are cut, from the left and from the lower cut edge; steps speak of their numbers.',
    addLabel: 'Add a mark',
    columns: () => markColumns,
    make: (now) => ({
      name: '',
      piece: now.pieces[0]?.name ?? '',
      sort: 'point' as const,
      across: '',
      along: '',
    }),
  },
  steps: {
    title: 'Steps',
    about:
      'How it is sewn, in order: allowance, setting, the question before what can’t be taken back, the caution where work can hurt.',
    addLabel: 'Add a step',
    columns: () => stepColumns,
    make: () => ({ do: '' }),
  },
  inspections: {
    title: 'What is looked at when it is sewn',
    about:
      'A size is measured, within its tolerance; anything else is seen, right or not. Without any: the finished sizes.',
    addLabel: 'Add one',
    columns: () => inspectionColumns,
    make: () => ({ what: '' }),
  },
  usualSizes: {
    title: 'Usual sizes',
    about: 'For the chart on the wall: every measure that must be given, in its order, with an x between.',
    addLabel: 'Add a size',
    columns: () => sizeColumns,
    make: () => ({}),
  },
};

/** The editors of some of the kind’s lists, in that order. */
function Lists({ names, ...props }: PartProps & { names: readonly ListName[] }) {
  return names.map((name) => <ListEditor key={name} name={name} {...props} />);
}

function ListEditor<Name extends ListName>({ name, kind, faults, change }: PartProps & { name: Name }) {
  const { columns, make, ...words } = LISTS[name];
  return (
    <RowsEditor
      {...words}
      field={name}
      rows={(kind[name] ?? NO_ROWS) as readonly RowOf<Name>[]}
      columns={columns(kind)}
      faults={faults}
      onAdd={() => change((now) => ({ [name]: [...(now[name] ?? []), make(now)] }))}
      onChange={(next: (rows: readonly RowOf<Name>[]) => RowOf<Name>[]) =>
        change((now) => ({ [name]: next((now[name] ?? []) as readonly RowOf<Name>[]) }))
      }
    />
  );
}

const without = <T extends object>(from: T, key: string, text: string): T => {
  const rest = Object.fromEntries(Object.entries(from).filter(([name]) => name !== key));
  return (text === '' ? rest : { ...rest, [key]: text }) as T;
};

/** The kind measured on another object: places of the tape that it does not have are taken off. */
function withObject(kind: CoverKind, object: CoverKind['object']): Partial<CoverKind> {
  const places: readonly string[] = TAPES[object];
  return {
    object,
    measures: kind.measures.map(({ tape, ...measure }) =>
      tape && places.includes(tape) ? { ...measure, tape } : measure,
    ),
  };
}

/** The sample that the preview is made with: what was typed, and everyday sizes for the rest. */
function sampleFrom(kind: CoverKind, typed: Record<string, string>, units: Units): Record<string, Nm> {
  const usual = sampleOf(kind);
  return Object.fromEntries(
    Object.entries(usual).map(([id, size]) => {
      const read = typed[id] ? parseLength(typed[id], typingUnit(units)) : null;
      return [id, read?.ok && read.value > 0 ? read.value : size];
    }),
  );
}

function check(kind: CoverKind, sample: Record<string, Nm>, units: Units): { kind: CoverKind; faults: Fault[] } {
  // A kind that has no name yet can be tried out all the same.
  // Its shape is the editor's own; the server looks at that again before it keeps it.
  const checked = checkKind({ ...kind, name: kind.name.trim() || '-' }, sample, units);
  return kind.name.trim()
    ? checked
    : { ...checked, faults: [...checked.faults, { code: NAMELESS, field: 'name', message: 'Give the kind a name.' }] };
}
