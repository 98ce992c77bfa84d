'use client';

import { Box, Button, Flex, Grid, SegmentGroup, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState, useTransition } from 'react';
import { takenBy, wasteOf } from '@/core/batch';
import { findFaults, jobToJson, planToJson } from '@/core/lay';
import { pack } from '@/core/files/packed';
import type { Units } from '@/core/length';
import { HandLay } from '@/core/marker';
import { send } from '@/features/commands/send';
import { Fractions } from '@/ui/fraction';
import { Notice } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { saveLayByHand } from '../actions';
import { onTableKey } from '../hands/on-table-key';
import { useHands } from '../hands/use-hands';
import { useLayAgain } from '../hands/use-lay-again';
import { useVisits } from '../hands/use-visits';
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
// eslint-disable-next-line max-lines-per-function -- the table with its bar and lists, which share the lay in hand
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
  const hands = useHands({ marker, units, initialPick, onPick });
  const { lay, picked, held } = hands;
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
  const isDirty = hands.canUndo;
  useEffect(() => onDirty(isDirty), [isDirty, onDirty]);
  useUnsaved(isDirty);

  const canMove = isOpen && laying === null;
  const stocks = scene.lengths.map(({ code }) => code);
  const onKey = (event: React.KeyboardEvent) =>
    onTableKey(event, {
      hands,
      keys: shown.items.map(({ key }) => key),
      stocks,
      step,
      units,
      canMove,
      layAgain: () => void layAgain(lay),
    });
  const takeLaid = () => {
    endLaying();
    if (best) hands.takePlan(best);
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
            isLocked={hands.isLocked}
            isSaving={isSaving}
            acts={{
              undo: { run: hands.undo, can: canMove && hands.canUndo },
              redo: { run: hands.redo, can: canMove && hands.canRedo },
              turn: { run: hands.turn, ...ofPicked },
              lock: { run: hands.toggleLock, ...ofPicked },
              takeOff: { run: hands.takeOff, ...ofPicked },
              next: stocks.length > 1 ? { run: () => hands.toNext(stocks), ...ofPicked } : null,
              layAgain: { run: () => void layAgain(lay), can: canMove },
              save: { run: save, can: canMove && isDirty && faults.length === 0 },
            }}
          />
        )}
      </Flex>
      {laying && <LaidAgain laying={laying} used={lay.plan.used} units={units} onTake={takeLaid} onLeave={endLaying} />}
      <TableNotices
        problem={problem}
        isChangedElsewhere={visit.version !== null && visit.version !== marker.version}
        faults={isOpen ? faults.map(({ what }) => what) : []}
      />
      <Flex gap="2" align="center" mb="2" wrap="wrap" rowGap="1">
        <ShowSwitches show={show} onShow={setShow} />
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
          onPick={hands.pick}
          onHeld={hands.onHeld}
          onDrop={hands.onDrop}
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
          onPick={hands.pick}
          onPutOn={hands.putOn}
        />
      </Grid>
      <Text
        aria-live="assertive"
        minH="6"
        color={hands.isWarning ? 'fg.error' : 'fg.muted'}
        fontWeight={hands.isWarning ? '600' : undefined}
        data-said
      >
        <Fractions>{hands.words}</Fractions>
      </Text>
    </Box>
  );
}

/** Switches of the picture: the grouping, and the layers. */
function ShowSwitches({ show, onShow }: { show: SceneShow; onShow: (show: SceneShow) => void }) {
  return (
    <>
      <SegmentGroup.Root
        size="sm"
        value={show.by}
        onValueChange={({ value }) => onShow({ ...show, by: value as ShowBy })}
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
          onClick={() => onShow({ ...show, [id]: !show[id] })}
        >
          {label}
        </Button>
      ))}
    </>
  );
}

function TableNotices({
  problem,
  isChangedElsewhere,
  faults,
}: {
  problem: string;
  /** Somebody else has saved the lay since it was opened. */
  isChangedElsewhere: boolean;
  faults: readonly string[];
}) {
  return (
    <>
      {problem && (
        <Box mb="2">
          <Notice level="stop">{problem}</Notice>
        </Box>
      )}
      {isChangedElsewhere && (
        <Box mb="2">
          <Notice level="warn">
            Somebody else has saved this lay meanwhile. What you moved is still here; to go on from theirs, open the
            page again.
          </Notice>
        </Box>
      )}
      {faults.length > 0 && (
        <Box mb="2">
          <Notice level="warn">{`As it lies it can’t be cut: ${faults[0]!}${faults.length > 1 ? `, and ${faults.length - 1} more` : ''}.`}</Notice>
        </Box>
      )}
    </>
  );
}
