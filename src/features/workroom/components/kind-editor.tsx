'use client';

import { Box, Button, Grid, HStack, Stack, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo, useState, useTransition } from 'react';
import { checkKind, DRAWINGS, FITS, sampleOf, TAPES, type CoverKind, type Fit } from '@/core/covers';
import { kindToJson } from '@/core/files/kind-text';
import { parseLength, type Nm, type Units } from '@/core/length';
import type { Fault } from '@/core/result';
import { Choice, TextField } from '@/ui/fields/choice';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { send } from '@/features/commands/send';
import { saveKind, withdrawKind } from '../actions';
import {
  checkColumns,
  markColumns,
  measureColumns,
  notionColumns,
  optionColumns,
  pieceColumns,
  resultColumns,
  stepColumns,
  stripColumns,
} from './kind-columns';
import { NAMELESS } from './kind-faults';
import { RowsEditor } from './rows-editor';

const KindPreview = dynamic(() => import('./kind-preview').then((file) => file.KindPreview), {
  ssr: false,
  loading: () => <Panel title="Tried out">A moment …</Panel>,
});

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
  const [told, setTold] = useState<Fault[]>([]);
  const [isTried, setTried] = useState(false);
  const [isBusy, start] = useTransition();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const later = useDeferredValue(kind);
  const sample = useMemo(() => sampleFrom(later, typed, units), [later, typed, units]);
  const checked = useMemo(() => check(later, sample, units), [later, sample, units]);
  const faults = [...checked.faults, ...told];
  const set = (part: Partial<CoverKind>) => {
    setTold([]);
    setKind({ ...kind, ...part });
  };
  const errorAt = (field: string) =>
    faults.find((fault) => fault.field === field && (isTried || fault.code !== NAMELESS))?.message;
  const isChanged = kind !== saved;

  const save = () =>
    start(async () => {
      setTried(true);
      if (checked.faults.length > 0) return;
      const answer = await send(saveKind, kind, edited && { id: edited.id, version });
      if (!answer.ok) return setTold(answer.faults);
      toaster.create({ title: `“${kind.name}” is saved as version ${answer.value.version}.`, type: 'success' });
      setTold([]);
      setSaved(kind);
      setVersion(answer.value.version);
      setTried(false);
      if (!edited) router.push(`/workroom/kinds/${answer.value.id}`);
      else router.refresh();
    });
  const withdraw = () =>
    start(async () => {
      const answer = await send(withdrawKind, edited!.id, !edited!.isWithdrawn);
      if (!answer.ok) return setTold(answer.faults);
      toaster.create({
        title: edited!.isWithdrawn ? `“${kind.name}” is offered again.` : `“${kind.name}” is no longer offered.`,
      });
      router.refresh();
    });

  const lists = { faults, kind, set };
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
      {(isTried || told.length > 0) && faults.length > 0 && (
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
          <Panel title="What it is">
            <Grid templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', xl: 'repeat(4, minmax(0, 1fr))' }} gap="4">
              <TextField label="Name" value={kind.name} error={errorAt('name')} onChange={(name) => set({ name })} />
              <Box gridColumn={{ xl: 'span 3' }}>
                <TextField
                  label="In a sentence"
                  value={kind.about}
                  error={errorAt('about')}
                  onChange={(about) => set({ about })}
                />
              </Box>
              <Choice
                label="What is measured"
                value={kind.object}
                choices={Object.keys(TAPES).map((id) => ({ id, label: OBJECT_NAMES[id as CoverKind['object']] }))}
                onChange={(object) => set(withObject(kind, object as CoverKind['object']))}
              />
              <Choice
                label="Drawn as"
                value={kind.drawing}
                choices={DRAWINGS.map((id) => ({ id, label: id }))}
                onChange={(drawing) => set({ drawing: drawing as CoverKind['drawing'] })}
              />
              <Choice
                label="Filled"
                value={kind.fill}
                choices={[
                  { id: 'soft', label: 'softly, to 1/4 in' },
                  { id: 'firm', label: 'firmly, to 1/8 in' },
                ]}
                onChange={(fill) => set({ fill: fill as CoverKind['fill'] })}
              />
              <Choice
                label="Usual fit"
                value={kind.defaultFit}
                error={errorAt('defaultFit')}
                choices={FITS.map((id) => ({ id, label: id }))}
                onChange={(defaultFit) => set({ defaultFit: defaultFit as Fit })}
              />
            </Grid>
          </Panel>
          <RowsEditor
            title="Measures"
            about="What the tape takes. The name is used in formulas."
            field="measures"
            rows={kind.measures}
            columns={measureColumns(kind.object)}
            make={() => ({ id: '', label: '', hint: '' })}
            addLabel="Add a measure"
            onChange={(measures) => set({ measures })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Options"
            about="What may differ from order to order. A length left empty is 0, and …Given tells whether it was written."
            field="options"
            rows={kind.options}
            columns={optionColumns}
            make={() => ({ id: '', label: '', type: 'length' as const })}
            addLabel="Add an option"
            onChange={(options) => set({ options })}
            faults={lists.faults}
          />
          <Panel title="Fit and finished size">
            <Grid templateColumns="repeat(3, minmax(0, 1fr))" gap="4">
              {FITS.map((fit) => (
                <TextField
                  key={fit}
                  label={FIT_NAMES[fit]}
                  value={kind.allowance[fit] ?? ''}
                  placeholder="not offered"
                  error={errorAt(`allowance.${fit}`)}
                  hint="to a measured edge, both sides; in formulas: allowance"
                  onChange={(text) => set({ allowance: without(kind.allowance, fit, text) })}
                />
              ))}
              {FINISHED.map(([id, label]) => (
                <TextField
                  key={id}
                  label={`Finished: ${label.toLowerCase()}`}
                  value={kind.finished[id] ?? ''}
                  placeholder={id === 'width' || id === 'height' ? undefined : 'none'}
                  error={errorAt(`finished.${id}`)}
                  onChange={(text) =>
                    set({
                      finished:
                        id === 'width' || id === 'height'
                          ? { ...kind.finished, [id]: text }
                          : (without(kind.finished, id, text) as CoverKind['finished']),
                    })
                  }
                />
              ))}
            </Grid>
          </Panel>
          <RowsEditor
            title="Sums"
            about="Named results, in any order: + - * / ( ), a ? b : c, inch(1/2), cm(3), min, max, diagonal, circumference, whole, stockUp, stockDown, spread."
            field="results"
            rows={kind.results}
            columns={resultColumns}
            make={() => ({ name: '', is: '' })}
            addLabel="Add a sum"
            onChange={(results) => set({ results })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Pieces"
            about="What is cut, as cut: across and along are formulas."
            field="pieces"
            rows={kind.pieces}
            columns={pieceColumns}
            make={() => ({ name: '', role: 'face' as const, qty: 1, across: '', along: '' })}
            addLabel="Add a piece"
            onChange={(pieces) => set({ pieces })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Strips"
            about="Long parts that may be joined: piping, binding, boxing."
            field="strips"
            rows={kind.strips}
            columns={stripColumns}
            make={() => ({ name: '', role: 'welt' as const, qty: '1', width: '', length: '', grain: "'straight'", loss: 'inch(1)', least: 'inch(12)' })} // prettier-ignore
            addLabel="Add a strip"
            onChange={(strips) => set({ strips })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Notions"
            about="Zips, cord, snaps, foam: what is not cut from cloth. A note may hold {formulas}."
            field="notions"
            rows={kind.notions}
            columns={notionColumns}
            make={() => ({ name: '', qty: '1', note: '' })}
            addLabel="Add a notion"
            onChange={(notions) => set({ notions })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Checks"
            about="Warnings that an order shows; only what can’t be made stops it."
            field="checks"
            rows={kind.checks}
            columns={checkColumns}
            make={() => ({
              code: '',
              field: kind.measures[0]?.id ?? '',
              when: '',
              message: '',
              level: 'warn' as const,
            })}
            addLabel="Add a check"
            onChange={(checks) => set({ checks })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Marks"
            about="What is marked on the pieces once they are cut, from the left and from the lower cut edge; steps speak of their numbers."
            field="marks"
            rows={kind.marks ?? []}
            columns={markColumns}
            make={() => ({
              name: '',
              piece: kind.pieces[0]?.name ?? '',
              sort: 'point' as const,
              across: '',
              along: '',
            })}
            addLabel="Add a mark"
            onChange={(marks) => set({ marks })}
            faults={lists.faults}
          />
          <RowsEditor
            title="Steps"
            about="How it is sewn, in order, with the caution where work can hurt."
            field="steps"
            rows={kind.steps}
            columns={stepColumns}
            make={() => ({ do: '' })}
            addLabel="Add a step"
            onChange={(steps) => set({ steps })}
            faults={lists.faults}
          />
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
      const read = typed[id] ? parseLength(typed[id], units === 'in' ? 'in' : 'cm') : null;
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
