'use client';

import { Box, Button, Flex, Grid, Heading, HStack, Progress, Stack, Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, useTransition } from 'react';
import { takenBy, wasteOf, workOf, type Way } from '@/core/batch';
import { printMoney } from '@/core/cost';
import { planToJson, type LayJob, type LayPlan } from '@/core/lay';
import { refuse, type Result } from '@/core/result';
import { NM, printLength, STYLES } from '@/core/length';
import { HandLay } from '@/core/marker';
import type { JobPart } from '@/core/cutlist';
import { send } from '@/features/commands/send';
import { Fractions } from '@/ui/fraction';
import { Notice } from '@/ui/page';
import { pageWorker, whyBroken, type PageWorker } from '@/ui/page-worker';
import { toaster } from '@/ui/toaster';
import { longLength, percent } from '@/ui/words';
import { pack } from '@/core/files/packed';
import { keepWays, takeWay } from '../actions';
import type { LayView } from '../lay-view';
import { sceneOf, type TableFacts } from '../scene-lay';
import { openTable, type OpenTable } from '../table-document';
import type { WayJob, WaysDocument } from '../ways-document';
import { readMarkerJob } from '../way-job';
import type { LayAgainWork } from './lay-again.worker';
import { MiniLay } from './mini-lay';

const MOST = 3;
const SECONDS = 6;

/** A way that is being laid, or was. */
interface Laid {
  way: Way;
  job: LayJob;
  parts: readonly JobPart[];
  plan: LayPlan | null;
  done: number;
  /** The row that keeps it. */
  id: number | null;
}

// eslint-disable-next-line max-lines-per-function -- one page; its parts share what is compared
export default function WaysTable({ lay, text, ways: waysText }: { lay: LayView; text: string; ways: string }) {
  const router = useRouter();
  const table = useMemo(() => openTable(text), [text]);
  const { offers, kept } = useMemo(() => JSON.parse(waysText) as WaysDocument, [waysText]);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [laid, setLaid] = useState<readonly Laid[]>([]);
  const [problem, setProblem] = useState('');
  const [isTaking, startTaking] = useTransition();
  const workers = useRef<PageWorker<LayAgainWork>[]>([]);
  const run = useRef(0);
  const endAll = () => {
    run.current++;
    for (const worker of workers.current) worker.end();
    workers.current = [];
  };
  useEffect(() => endAll, []);
  const isLaying = laid.some(({ done }) => done < 1);
  const facts = useMemo<TableFacts>(
    () => ({
      cloth: table.cloth,
      parts: table.marker.parts,
      look: lay.look,
      units: lay.units,
      boughtNm: lay.boughtNm,
      marks: new Map(lay.orders.map(({ no, mark }) => [no, mark])),
    }),
    [table, lay],
  );

  const start = async () => {
    endAll();
    const own = run.current;
    setProblem('');
    const wanted = offers.filter(({ name }) => chosen.includes(name));
    const response = await fetch(`/api/batches/${lay.batchId}/lays/${lay.clothId}/ways`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(wanted),
    }).catch(() => null);
    if (own !== run.current) return;
    if (!response?.ok) return setProblem('The workroom’s computer did not answer; try again.');
    const jobs = (await response.json()) as WayJob[];
    const begun = jobs.map((one, i): Laid => ({
      way: wanted[i]!,
      ...readMarkerJob(one),
      plan: null,
      done: 0,
      id: null,
    }));
    setLaid(begun);
    const change = (i: number, rest: Partial<Laid>) =>
      own === run.current && setLaid((all) => all.map((one, k) => (k === i ? { ...one, ...rest } : one)));
    const plans = await Promise.all(
      begun.map(async ({ job }, i) => {
        const worker = pageWorker<LayAgainWork>(
          new Worker(new URL('./lay-again.worker.ts', import.meta.url), { type: 'module' }),
        );
        workers.current.push(worker);
        const answer = await worker
          .ask<Result<LayPlan>>(
            async (work, earOf) =>
              await work.afresh(
                job,
                SECONDS,
                earOf((plan: LayPlan) => change(i, { plan })),
                earOf((done: number) => change(i, { done: Math.min(done, 0.99) })),
              ),
          )
          .catch((error: unknown) => refuse('broken', '', `The search broke off (${whyBroken(error)}).`));
        change(i, answer.ok ? { plan: answer.value, done: 1 } : { done: 1 });
        if (!answer.ok && own === run.current) setProblem(answer.faults[0]!.message);
        return answer.ok ? answer.value : null;
      }),
    );
    if (own !== run.current) return;
    const whole = await Promise.all(
      plans.flatMap((plan, i) =>
        plan
          ? [
              pack(planToJson(plan, begun[i]!.job.units) as object).then((packed) => ({
                ...begun[i]!.way,
                plan: packed,
              })),
            ]
          : [],
      ),
    );
    if (!table.isOpen || whole.length === 0) return;
    const answer = await send(keepWays, {
      batchId: lay.batchId,
      clothId: lay.clothId,
      version: lay.version,
      ways: whole,
    });
    if (own !== run.current) return;
    if (!answer.ok) return setProblem(answer.faults[0]!.message);
    let at = 0;
    plans.forEach((plan, i) => plan && change(i, { id: answer.value.ids[at++]! }));
  };

  const take = (id: number, name: string) =>
    startTaking(async () => {
      const answer = await send(takeWay, {
        batchId: lay.batchId,
        clothId: lay.clothId,
        version: lay.version,
        wayId: id,
      });
      if (!answer.ok) return setProblem(answer.faults[0]!.message);
      toaster.create({ title: `${lay.clothName} is laid another way: ${name}.` });
      router.push(`/batches/${lay.batchId}/table/${lay.clothId}`);
    });

  const stands: Laid = {
    way: { name: lay.how ? `As it is: ${lay.how}` : 'As it is', changes: [] },
    job: table.marker.job,
    parts: table.marker.parts,
    plan: table.marker.plan,
    done: 1,
    id: null,
  };
  const shown = [stands, ...laid];
  const longestMm = Math.max(...shown.flatMap(({ plan }) => plan?.lays.map(({ used }) => used / NM.mm) ?? [0]), 1);
  return (
    <Stack gap="5">
      <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="4">
        <Grid templateColumns="repeat(auto-fill, minmax(270px, 1fr))" gap="2" mb="4">
          {offers.map(({ name }) => {
            const isOn = chosen.includes(name);
            return (
              <HStack key={name} as="label" gap="2" opacity={!isOn && chosen.length >= MOST ? 0.5 : 1}>
                <input
                  type="checkbox"
                  className="tick"
                  aria-label={name}
                  checked={isOn}
                  disabled={!isOn && chosen.length >= MOST}
                  onChange={() => setChosen(isOn ? chosen.filter((one) => one !== name) : [...chosen, name])}
                />
                <Text as="span">
                  <Fractions>{name}</Fractions>
                </Text>
              </HStack>
            );
          })}
        </Grid>
        <HStack gap="3">
          <Button onClick={() => void start()} disabled={chosen.length === 0 || isLaying}>
            Lay {chosen.length > 1 ? `these ${chosen.length} ways` : 'this way'}
          </Button>
          {isLaying && (
            <Button
              variant="ghost"
              onClick={() => {
                endAll();
                setLaid([]);
              }}
            >
              Stop
            </Button>
          )}
          {!table.isOpen && <Text color="fg.muted">The lay is approved: other ways are only looked at.</Text>}
        </HStack>
      </Box>
      {problem && <Notice level="stop">{problem}</Notice>}
      <Grid templateColumns={`repeat(${Math.max(2, shown.length)}, minmax(0, 1fr))`} gap="4" alignItems="stretch">
        {shown.map((one, i) => (
          <WayCard key={i} one={one} stands={stands} table={table} facts={facts} longestMm={longestMm}>
            {i > 0 && table.isOpen && one.id !== null && (
              <Button size="sm" variant="outline" loading={isTaking} onClick={() => take(one.id!, one.way.name)}>
                Take this way
              </Button>
            )}
          </WayCard>
        ))}
        {shown.length === 1 && (
          <Flex
            align="center"
            justify="center"
            borderWidth="2px"
            borderStyle="dashed"
            borderColor="border"
            borderRadius="sm"
            p="6"
          >
            <Text color="fg.muted">Another way appears here beside it.</Text>
          </Flex>
        )}
      </Grid>
      {kept.length > 0 && <Kept kept={kept} units={lay.units} />}
    </Stack>
  );
}

/** One way with its small picture and its figures; what differs from the lay as it is, is marked. */
function WayCard({
  one,
  stands,
  table,
  facts,
  longestMm,
  children,
}: {
  one: Laid;
  stands: Laid;
  table: OpenTable;
  facts: TableFacts;
  longestMm: number;
  children?: React.ReactNode;
}) {
  const { units } = facts;
  const figuresOf = ({ plan, job, parts }: Laid) =>
    plan && {
      used: plan.used,
      cost: takenBy(table.cloth, table.items, plan).cost,
      waste: wasteOf(job, plan),
      ...workOf(plan, parts),
      unplaced: plan.unplaced.length,
    };
  const now = figuresOf(one);
  const before = figuresOf(stands)!;
  const scene =
    one.plan &&
    sceneOf(new HandLay({ ...one.job, locked: [], lockedCuts: [] }, one.plan), { ...facts, parts: one.parts }, 'order');
  const isOther = one !== stands;
  const money = (minor: number) => printMoney(minor, table.currency);
  const rows = now
    ? [
        {
          label: 'Used',
          value: longLength(now.used, units),
          by: now.used - before.used,
          print: (by: number) => printLength(by, STYLES[units]),
        },
        { label: 'Cost', value: money(now.cost), by: now.cost - before.cost, print: money },
        { label: 'Waste', value: percent(now.waste), by: 0, print: String },
        { label: 'Pieces and strips to cut', value: String(now.cuts), by: now.cuts - before.cuts, print: String },
        { label: 'Seams that only join', value: String(now.seams), by: now.seams - before.seams, print: String },
      ]
    : [];
  return (
    <Flex
      direction="column"
      gap="3"
      bg="bg.panel"
      borderWidth="1px"
      borderColor="border"
      borderTopWidth="5px"
      borderTopColor={isOther ? 'tape' : 'bottle.solid'}
      borderRadius="sm"
      p="4"
    >
      {/* Two lines each, so that the figures of all ways stand level. */}
      <Heading as="h2" fontSize="lg" lineHeight="1.25" minH="2.5em">
        <Fractions>{one.way.name}</Fractions>
      </Heading>
      <Box minH="90px">
        {scene && <MiniLay scene={scene} longestMm={longestMm} label={`${one.way.name}, in small`} />}
      </Box>
      {one.done < 1 && (
        <Progress.Root value={100 * one.done} colorPalette="bottle" size="sm" aria-label={`Laying: ${one.way.name}`}>
          <Progress.Track>
            <Progress.Range />
          </Progress.Track>
        </Progress.Root>
      )}
      <Stack gap="1" as="dl">
        {rows.map(({ label, value, by, print }) => (
          <Flex key={label} justify="space-between" gap="3" borderTopWidth="1px" borderColor="border.muted" pt="1">
            <Text as="dt" color="fg.muted">
              {label}
            </Text>
            <Text as="dd" textAlign="right" fontWeight="700">
              <Fractions>{value}</Fractions>
              {isOther && by !== 0 && (
                <Text
                  as="span"
                  display="block"
                  fontSize="sm"
                  fontWeight="600"
                  color={by > 0 ? 'fg.error' : 'bottle.fg'}
                >
                  <Fractions>{`${print(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`}</Fractions>
                </Text>
              )}
            </Text>
          </Flex>
        ))}
      </Stack>
      {now && now.unplaced > 0 && (
        <Notice level="warn">{`${now.unplaced} of its pieces find no place this way.`}</Notice>
      )}
      <Box mt="auto">{children}</Box>
    </Flex>
  );
}

/** Earlier comparisons, and the way that was taken. */
function Kept({ kept, units }: { kept: WaysDocument['kept']; units: LayView['units'] }) {
  const day = (iso: string) =>
    new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="4" overflowX="auto">
      <Heading as="h2" fontSize="lg" mb="2">
        Compared before
      </Heading>
      <Box
        as="table"
        w="full"
        css={{
          '& th, & td': { padding: '6px 10px', textAlign: 'right', whiteSpace: 'nowrap' },
          '& th:first-of-type, & td:first-of-type': { textAlign: 'left', paddingLeft: 0, whiteSpace: 'normal' },
          '& tbody tr': { borderTop: '1px solid var(--chakra-colors-border-muted)' },
          '& th': { fontWeight: 600, color: 'var(--chakra-colors-fg-muted)', fontSize: '14px' },
        }}
      >
        <thead>
          <tr>
            {['Way', 'Of lay', 'Used', 'Cost', 'Waste', 'Cut', 'Joins', 'When', 'By', ''].map((name, i) => (
              <th key={i}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {kept.map((one) => (
            <tr key={one.id}>
              <td>
                <Fractions>{one.name}</Fractions>
              </td>
              <td>{one.layVersion}</td>
              <td>
                <Fractions>{longLength(one.usedNm, units)}</Fractions>
              </td>
              <td>{printMoney(one.costMinor, one.currency)}</td>
              <td>{percent(one.wastePart)}</td>
              <td>{one.cuts}</td>
              <td>{one.seams}</td>
              <td>{day(one.at)}</td>
              <td>{one.by ?? ''}</td>
              <td>{one.takenAt && <b>taken</b>}</td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
