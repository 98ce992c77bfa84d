'use client';

import { Box, Button, Flex, Grid, SegmentGroup, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState, useTransition } from 'react';
import { takenBy, wasteOf } from '@/core/batch';
import { findFaults, jobToJson, planToJson, type Unplaced } from '@/core/lay';
import { pack } from '@/core/files/packed';
import { printLength, STYLES, type Nm, type Units } from '@/core/length';
import { HandLay, sameCopy, type Spot } from '@/core/marker';
import { send } from '@/features/commands/send';
import { Fractions } from '@/ui/fraction';
import { Notice } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { saveLayByHand } from '../actions';
import { historyReducer, startOf } from '../hands/history';
import { nudged, turned, type Outcome } from '../hands/moves';
import { STEPS } from '../hands/steps';
import { useLayAgain } from '../hands/use-lay-again';
import { useVisits } from '../hands/use-visits';
import { lengthName } from '../lay-view';
import { obstacleWords } from '../obstacle-words';
import { nameOf, sceneOf, type TableFacts } from '../scene-lay';
import type { SceneShow, ShowBy } from '../scene/scene-types';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { openTable } from '../table-document';
import { HandsBar } from './hands-bar';
import { HandsFigures } from './hands-figures';
import { LaidAgain } from './laid-again';
import { PieceList } from './piece-list';
import { TableCanvas } from './table-canvas';

export interface HandsTableProps {
  /** Data for hands, as `getTableText` writes it. */
  text: string;
  batchId: number;
  clothId: number;
  look: TableFacts['look'];
  units: Units;
  orders: readonly { no: number; mark: number }[];
  litOrder: number | null;
  /** The piece that somebody has come for. */
  initialPick?: string | null;
  onPick: (key: string | null) => void;
  /** Told whether something is not saved yet. */
  onDirty: (isDirty: boolean) => void;
}

const BY: { value: ShowBy; label: string }[] = [
  { value: 'order', label: 'By order' },
  { value: 'cover', label: 'By cover' },
  { value: 'piece', label: 'By piece' },
];
const LAYERS: { id: Exclude<keyof SceneShow, 'by'>; label: string }[] = [
  { id: 'pattern', label: 'Pattern' },
  { id: 'labels', label: 'Names' },
  { id: 'seams', label: 'Seam lines' },
  { id: 'marks', label: 'Marks' },
  { id: 'grain', label: 'Which way up' },
  { id: 'overBound', label: 'Over the shortest' },
];

/** The lay under the cutter's hands: pieces are moved, turned, locked and laid again, and what that costs is seen at once. */
export default function HandsTable({
  text,
  batchId,
  clothId,
  look,
  units,
  orders,
  litOrder,
  initialPick = null,
  onPick,
  onDirty,
}: HandsTableProps) {
  const router = useRouter();
  const table = useMemo(() => openTable(text), [text]);
  const { marker, cloth, items: shelf, isOpen } = table;
  const [history, act] = useReducer(historyReducer, null, () => startOf(HandLay.locked(marker.job, marker.plan)));
  const { lay } = history.now;
  const [picked, setPicked] = useState<string | null>(initialPick);
  const [show, setShow] = useState<SceneShow>({
    by: 'order',
    pattern: true,
    labels: true,
    seams: false,
    marks: false,
    grain: false,
    overBound: false,
  });
  const [step, setStep] = useState(1);
  const [said, setSaid] = useState('');
  const [warning, setWarning] = useState('');
  const [problem, setProblem] = useState('');
  const [isSaving, startSaving] = useTransition();
  const { laying, start: layAgain, end: endLaying } = useLayAgain();
  const visit = useVisits(batchId, clothId);

  const facts = useMemo<TableFacts>(
    () => ({
      cloth,
      parts: marker.parts,
      look,
      units,
      boughtNm: table.boughtNm,
      marks: new Map(orders.map(({ no, mark }) => [no, mark])),
    }),
    [cloth, marker, look, units, table, orders],
  );
  // A lay that is being made again is seen before it is taken.
  const best = laying?.best ?? null;
  const shown = useMemo(() => (best ? lay.withPlan(best) : lay), [best, lay]);
  const scene = useMemo(() => sceneOf(shown, facts, show.by), [shown, facts, show.by]);
  const faults = useMemo(() => findFaults(lay.job, lay.plan), [lay]);
  const figures = (one: HandLay) => {
    const { used, bound } = one.plan;
    return { cost: takenBy(cloth, shelf, one.plan).cost, used, bound, waste: wasteOf(one.job, one.plan) };
  };
  // eslint-disable-next-line react-hooks/exhaustive-deps -- of the lay that is shown alone
  const now = useMemo(() => figures(shown), [shown]);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the saved lay never changes here
  const saved = useMemo(() => figures(new HandLay(lay.job, marker.plan)), []);
  const isDirty = history.past.length > 0;
  useEffect(() => onDirty(isDirty), [isDirty, onDirty]);
  useUnsaved(isDirty);

  const named = useCallback(
    (key: string) => {
      const item = lay.item(key);
      return item ? nameOf(item, marker.parts) : key;
    },
    [lay, marker],
  );
  const labelName = (label: string) => named(lay.keyOf(label) ?? label);
  const length = (nm: Nm) => printLength(nm, STYLES[units]);
  const pick = (key: string | null) => {
    setPicked(key);
    onPick(key);
    if (key) {
      const item = lay.item(key);
      if (item)
        setSaid(
          `${named(key)}${lay.locked.has(key) ? ', locked' : ''}, ${length(item.y)} along, ${length(item.x)} across.`,
        );
    }
  };
  const change = (next: HandLay, key: string | null, words: string) => {
    const grown = next.plan.used - lay.plan.used;
    const by = grown === 0 ? '' : ` The lay is ${length(Math.abs(grown))} ${grown > 0 ? 'longer' : 'shorter'}.`;
    act({ is: 'change', lay: next, said: words });
    setSaid(`${words}.${by}`);
    setPicked(key);
    onPick(key);
  };
  const place = (key: string, spot: Spot, words: string) => {
    const moved = lay.moved(key, spot);
    change(moved.lay, moved.key, `${named(key)} ${words}: ${length(spot.y)} along, ${length(spot.x)} across`);
  };
  const outcome = (key: string, result: Outcome, words: string) => {
    if ('spot' in result) place(key, result.spot, words);
    else setSaid(obstacleWords(result.obstacles, units, labelName));
  };
  const canMove = isOpen && laying === null;
  const isLocked = picked !== null && lay.locked.has(picked);
  const held = picked !== null && lay.item(picked) ? picked : null;
  const withPicked = (work: (key: string) => void) => {
    if (!held) setSaid('Pick a piece first.');
    else if (lay.locked.has(held)) setSaid(`${named(held)} is locked; free it first.`);
    else work(held);
  };
  const turn = () => withPicked((key) => outcome(key, turned(lay, key), 'turned'));
  const toNext = () =>
    withPicked((key) => {
      const item = lay.item(key)!;
      const stocks = scene.lengths.map(({ code }) => code);
      const next = stocks[(stocks.indexOf(item.stock) + 1) % stocks.length]!;
      if (next === item.stock) return setSaid('There is no other length.');
      const spot = lay.roomOn(key, next);
      if (!spot) return setSaid(`There is no room for it on ${lengthName(next)} as things lie.`);
      place(key, spot, `moved to ${lengthName(next)}`);
    });
  const takeOff = () => withPicked((key) => change(lay.takenOff(key), null, `${named(key)} taken off the cloth`));
  const toggleLock = () => {
    if (!held) return setSaid('Pick a piece first.');
    const all = sameCopy(lay.items, lay.item(held)!).length;
    change(
      lay.withLock(held, !isLocked),
      held,
      `${named(held)} ${isLocked ? 'is free again' : 'is locked where it is'}${all > 1 ? `, with all ${all} cuts of it` : ''}`,
    );
  };
  const putOn = (one: Unplaced) => {
    if (!('piece' in one)) return;
    const room = lay.roomFor(one.piece, one.copy);
    if (!room) return setSaid('There is no room for it as things lie; lay the rest again.');
    const put = lay.putOn(one.piece, one.copy, room);
    change(put.lay, put.key, `${nameOf({ id: one.piece, copy: one.copy, cut: null }, marker.parts)} put on the cloth`);
  };
  const undo = () => {
    const { said: what } = history.now;
    act({ is: 'undo' });
    if (what) setSaid(`Undone: ${what}.`);
  };
  const redo = () => {
    const next = history.future[0];
    act({ is: 'redo' });
    if (next) setSaid(`Done again: ${next.said}.`);
  };
  const takeLaid = () => {
    endLaying();
    if (best) change(lay.withPlan(best), held, 'The rest laid again');
  };
  const lastHeld = useRef('');
  const onHeld = (key: string | null, spot: Spot | null) => {
    const words = key && spot ? obstacleWords(lay.obstacles(key, spot), units, labelName) : '';
    if (words === lastHeld.current) return;
    lastHeld.current = words;
    setWarning(words);
  };
  const onDrop = (key: string, wish: Spot, free: Spot | null) => {
    setWarning('');
    if (free) return place(key, free, 'moved');
    setSaid(`${obstacleWords(lay.obstacles(key, wish), units, labelName)} It lies where it was.`);
  };

  const onKey = (event: React.KeyboardEvent): boolean => {
    const isCommand = event.ctrlKey || event.metaKey;
    const letter = event.key.toLowerCase();
    if (event.key === 'PageDown' || event.key === 'PageUp') {
      const keys = shown.items.map(({ key }) => key);
      const at = picked ? keys.indexOf(picked) : event.key === 'PageDown' ? -1 : 0;
      const next = keys[(at + (event.key === 'PageDown' ? 1 : -1) + keys.length) % keys.length];
      if (next) pick(next);
      return true;
    }
    if (event.key === 'Escape') {
      pick(null);
      return true;
    }
    if (!canMove) return false;
    if (isCommand && letter === 'z') {
      if (event.shiftKey) redo();
      else undo();
      return true;
    }
    if (isCommand && letter === 'y') {
      redo();
      return true;
    }
    if (isCommand) return false;
    const ways: Record<string, [Nm, Nm]> = {
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
    };
    const way = ways[event.key];
    if (way && held) {
      const by = STEPS[units][step]!.step * (event.shiftKey ? 4 : 1);
      withPicked((key) => outcome(key, nudged(lay, key, way[0] * by, way[1] * by), 'moved'));
      return true;
    }
    const acts: Record<string, () => void> = {
      r: turn,
      l: toggleLock,
      delete: takeOff,
      n: toNext,
      g: () => void layAgain(lay),
    };
    const own = acts[letter];
    if (own) own();
    return own !== undefined;
  };

  const save = () =>
    startSaving(async () => {
      setProblem('');
      const answer = await send(saveLayByHand, {
        batchId,
        clothId,
        version: marker.version,
        plan: await pack(planToJson(lay.plan, lay.job.units) as object),
        placed: await pack((jobToJson(lay.lockedJob(), cloth) as { placed?: object[] }).placed ?? []),
      });
      if (!answer.ok) return setProblem(answer.faults[0]!.message);
      toaster.create({ title: 'The lay is saved as it lies.' });
      onDirty(false);
      router.refresh();
    });

  const ofPicked = { can: canMove && held !== null };
  return (
    <Box>
      <Flex gap="5" align="flex-end" justify="space-between" wrap="wrap" mb="2" rowGap="2">
        <HandsFigures now={now} saved={saved} units={units} currency={table.currency} />
        {isOpen && (
          <HandsBar
            units={units}
            step={step}
            onStep={setStep}
            isLocked={isLocked}
            isSaving={isSaving}
            acts={{
              undo: { run: undo, can: canMove && history.past.length > 0 },
              redo: { run: redo, can: canMove && history.future.length > 0 },
              turn: { run: turn, ...ofPicked },
              lock: { run: toggleLock, ...ofPicked },
              takeOff: { run: takeOff, ...ofPicked },
              next: scene.lengths.length > 1 ? { run: toNext, ...ofPicked } : null,
              layAgain: { run: () => void layAgain(lay), can: canMove },
              save: { run: save, can: canMove && isDirty && faults.length === 0 },
            }}
          />
        )}
      </Flex>
      {laying && <LaidAgain laying={laying} used={lay.plan.used} units={units} onTake={takeLaid} onLeave={endLaying} />}
      {problem && (
        <Box mb="2">
          <Notice level="stop">{problem}</Notice>
        </Box>
      )}
      {visit.version !== null && visit.version !== marker.version && (
        <Box mb="2">
          <Notice level="warn">
            Somebody else has saved this lay meanwhile. What you moved is still here; to go on from theirs, open the
            page again.
          </Notice>
        </Box>
      )}
      {isOpen && faults.length > 0 && (
        <Box mb="2">
          <Notice level="warn">{`As it lies it can’t be cut: ${faults[0]!.what}${faults.length > 1 ? `, and ${faults.length - 1} more` : ''}.`}</Notice>
        </Box>
      )}
      <Flex gap="2" align="center" mb="2" wrap="wrap" rowGap="1">
        <SegmentGroup.Root
          size="sm"
          value={show.by}
          onValueChange={({ value }) => setShow({ ...show, by: value as ShowBy })}
          aria-label="What colours and signs tell apart"
        >
          <SegmentGroup.Indicator bg="bottle.muted" />
          <SegmentGroup.Items items={BY} />
        </SegmentGroup.Root>
        {LAYERS.map(({ id, label }) => (
          <Button
            key={id}
            size="xs"
            variant="outline"
            aria-pressed={show[id]}
            bg={show[id] ? 'bottle.muted' : undefined}
            onClick={() => setShow({ ...show, [id]: !show[id] })}
          >
            {label}
          </Button>
        ))}
        {visit.others.length > 0 && <Text color="fg.muted">{`Also at this table: ${visit.others.join(', ')}.`}</Text>}
      </Flex>
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 210px', xl: 'minmax(0, 1fr) 250px' }}
        templateRows={{ base: '320px 220px', md: 'minmax(0, 1fr)' }}
        gap="3"
        h={{ base: 'auto', md: 'max(340px, calc(100vh - 372px))' }}
      >
        <TableCanvas
          lay={lay}
          scene={scene}
          show={show}
          picked={picked}
          litOrder={litOrder}
          canMove={canMove}
          onPick={pick}
          onHeld={onHeld}
          onDrop={onDrop}
          onKey={onKey}
        />
        <PieceList
          items={scene.items}
          waiting={shown.plan.unplaced}
          picked={picked}
          litOrder={litOrder}
          canMove={canMove}
          nameOf={(one) =>
            nameOf({ id: 'piece' in one ? one.piece : one.strip, copy: one.copy, cut: null }, marker.parts)
          }
          onPick={pick}
          onPutOn={putOn}
        />
      </Grid>
      <Text
        aria-live="assertive"
        minH="6"
        color={warning ? 'fg.error' : 'fg.muted'}
        fontWeight={warning ? '600' : undefined}
        data-said
      >
        <Fractions>{warning || said}</Fractions>
      </Text>
    </Box>
  );
}
