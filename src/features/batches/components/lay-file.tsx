'use client';

import { Box, Button, Flex, Grid, List, NativeSelect, Progress, Stack, Text } from '@chakra-ui/react';
import { Download, FileJson } from 'lucide-react';
import { Link } from '@/ui/link';
import { useEffect, useRef, useState } from 'react';
import { MOST_BYTES } from '@/core/files/limits';
import type { LayPlan } from '@/core/lay';
import { printLength, STYLES, type Units } from '@/core/length';
import type { Result } from '@/core/result';
import { FileDrop } from '@/ui/fields/file-drop';
import { Fractions } from '@/ui/fraction';
import { Figure, Notice, PageHead, Panel } from '@/ui/page';
import { longLength, overBound } from '@/ui/words';
import type { CheckedPlan, JobFigures, LayPicture, PlanFigures } from './lay-file-work';
import { EXAMPLE_JOB } from './lay-file-example';
import { LayFilePicture } from './lay-file-picture';
import { LayFileWorkers } from './lay-file-workers';

const SECONDS = [2, 5, 30, 300];
const SHOWN = 12;
const count = (n: number, one: string, more = `${one}s`) => `${n.toLocaleString('en')} ${n === 1 ? one : more}`;

interface Job {
  name: string;
  text: string;
  figures: JobFigures;
}

interface Run {
  done: number;
  plan: LayPlan | null;
}

interface Outcome {
  /** Tells whether it was laid here, or is a plan that was brought. */
  isOurs: boolean;
  plan: PlanFigures;
}

/** A lay job from a file: laid here, or a plan of it checked. Nothing of it is kept. */
export function LayFile() {
  const [job, setJob] = useState<Job | null>(null);
  const [seconds, setSeconds] = useState(5);
  const [problem, setProblem] = useState('');
  const [run, setRun] = useState<Run | null>(null);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [drawing, setDrawing] = useState<LayPicture[]>([]);
  const workers = useWorkers();

  const hear = (answer: Result<CheckedPlan>, isOurs: boolean) => {
    setRun(null);
    if (!answer.ok) return setProblem(answer.faults[0]!.message);
    setDrawing(answer.value.drawing);
    setOutcome({ isOurs, plan: answer.value.plan });
  };
  const check = async (plan: LayPlan) => hear(await workers.check(job!.text, plan), true);
  const clear = () => {
    setProblem('');
    setOutcome(null);
    setDrawing([]);
  };

  const takeJob = async (file: File) => {
    if (file.size > MOST_BYTES) return setProblem(tooLarge(file));
    const text = await file.text();
    const figures = await workers.read(text);
    if (!figures.ok) return setProblem(notTaken(file, figures.faults[0]!.message));
    clear();
    setJob({ name: file.name, text, figures: figures.value });
  };
  const takePlan = async (file: File) => {
    if (file.size > MOST_BYTES) return setProblem(tooLarge(file));
    const plan = await file.text();
    clear();
    const checked = await workers.check(job!.text, plan);
    if (!checked.ok) setProblem(notTaken(file, checked.faults[0]!.message));
    else hear(checked, false);
  };
  const lay = async () => {
    clear();
    setRun({ done: 0, plan: null });
    const laid = await workers.lay(job!.text, seconds, {
      onProgress: (done) => setRun((old) => old && { ...old, done }),
      onBetter: (plan, better) => {
        setDrawing(better);
        setRun((old) => old && { ...old, plan });
      },
    });
    if (laid.ok) await check(laid.value);
    else hear(laid, true);
  };
  const stop = () => {
    const best = run?.plan;
    setRun(null);
    if (best) void check(best);
    else workers.end();
  };
  const another = () => {
    workers.end();
    clear();
    setJob(null);
  };

  return (
    <>
      <PageHead
        title="Lay a file"
        about="A lay job from elsewhere is laid here, or a plan of it checked; nothing of it is kept"
      >
        <Button asChild variant="ghost">
          <Link href="/batches">Back to batches</Link>
        </Button>
        {job && (
          <Button variant="outline" onClick={another} disabled={run !== null}>
            Another job
          </Button>
        )}
      </PageHead>
      <Stack gap="5">
        {problem && <Notice level="stop">{problem}</Notice>}
        {job ? (
          <JobPanel
            job={job}
            seconds={seconds}
            onSeconds={setSeconds}
            isRunning={run !== null}
            onLay={lay}
            onPlan={takePlan}
          />
        ) : (
          <Source onFile={takeJob} />
        )}
        {run && <Running done={run.done} canKeep={run.plan !== null} onStop={stop} />}
        {job && outcome && <Faults plan={outcome.plan} />}
        {job && (outcome || drawing.length > 0) && (
          <Panel
            title={titleOf(outcome)}
            aside={outcome?.isOurs && <SavePlan json={outcome.plan.json} job={job.name} />}
          >
            {outcome && <PlanFiguresRow outcome={outcome} units={job.figures.units} />}
            <LayFilePicture drawing={drawing} units={job.figures.units} />
          </Panel>
        )}
      </Stack>
    </>
  );
}

function Source({ onFile }: { onFile: (file: File) => void }) {
  return (
    <Flex gap="5" direction={{ base: 'column', lg: 'row' }} align="stretch">
      <Box flex="1">
        <Panel title="The lay job">
          <FileDrop
            label="Lay job"
            accept=".json,application/json"
            sign={<FileJson size={36} aria-hidden />}
            button="Choose a lay job"
            about="An open lay job (JSON), up to 10 MB; or drop it here"
            onFile={onFile}
          />
        </Panel>
      </Box>
      <Box flex="1">
        <Panel title="What a lay job says">
          <List.Root ps="5" gap="1">
            <List.Item>the cloth: width, selvages, repeat and drop, how pieces may turn</List.Item>
            <List.Item>the lengths of it there are, with their flaws, and the roll</List.Item>
            <List.Item>the pieces, with what of them must match the pattern</List.Item>
            <List.Item>the strips to be joined: along, across or on the bias</List.Item>
          </List.Root>
          <Text mt="4" color="fg.muted">
            Each lay of a batch gives its job and its plan as such files on its table.
          </Text>
          <Button
            mt="4"
            variant="outline"
            onClick={() => save(JSON.stringify(EXAMPLE_JOB, null, 1), 'example-job.json')}
          >
            <Download size={18} /> An example to start from
          </Button>
        </Panel>
      </Box>
    </Flex>
  );
}

const tooLarge = (file: File) => `“${file.name}” is larger than ${MOST_BYTES / 1e6} MB.`;
const notTaken = (file: File, why: string) => `“${file.name}” was not taken in: ${why}.`;

function JobPanel({
  job: { name, figures },
  seconds,
  onSeconds,
  isRunning,
  onLay,
  onPlan,
}: {
  job: Job;
  seconds: number;
  onSeconds: (seconds: number) => void;
  isRunning: boolean;
  onLay: () => void;
  onPlan: (file: File) => void;
}) {
  const plan = useRef<HTMLInputElement>(null);
  const { cloth, units, widthNm, lengths, pieces, strips, isMatched } = figures;
  return (
    <Panel title={cloth || name} aside={<Text color="fg.muted">{name}</Text>}>
      <Flex gap="5" align="flex-end" wrap="wrap" justify="space-between">
        <Flex gap="8" wrap="wrap">
          <Figure label="To cut">
            {strips > 0 ? `${count(pieces, 'piece')}, ${count(strips, 'strip')}` : count(pieces, 'piece')}
          </Figure>
          <Figure label="Usable width">
            <Fractions>{printLength(widthNm, STYLES[units])}</Fractions>
          </Figure>
          <Figure label="Cloth">{count(lengths, 'length')}</Figure>
          <Figure label="Pattern">{isMatched ? 'matched' : 'not matched'}</Figure>
        </Flex>
        <Flex gap="3" wrap="wrap">
          <NativeSelect.Root width="170px" disabled={isRunning}>
            <NativeSelect.Field
              aria-label="How long to search"
              value={seconds}
              onChange={(event) => onSeconds(Number(event.target.value))}
            >
              {SECONDS.map((one) => (
                <option key={one} value={one}>
                  {one < 60 ? `${one} seconds` : `${one / 60} minutes`}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <Button onClick={onLay} disabled={isRunning}>
            Lay it
          </Button>
          <Button variant="outline" onClick={() => plan.current?.click()} disabled={isRunning}>
            Check a plan of it
          </Button>
          <input
            ref={plan}
            type="file"
            hidden
            aria-label="Lay plan"
            accept=".json,application/json"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) onPlan(file);
              event.target.value = '';
            }}
          />
        </Flex>
      </Flex>
    </Panel>
  );
}

function Running({ done, canKeep, onStop }: { done: number; canKeep: boolean; onStop: () => void }) {
  return (
    <Panel>
      <Flex gap="5" align="center" role="status">
        <Box flex="1">
          <Text fontWeight="700" fontSize="lg" mb="2">
            Looking for shorter lays
          </Text>
          <Progress.Root value={Math.round(done * 100)} colorPalette="bottle" size="lg" aria-label="Searched">
            <Progress.Track borderRadius="sm">
              <Progress.Range />
            </Progress.Track>
          </Progress.Root>
        </Box>
        <Button variant="outline" onClick={onStop}>
          {canKeep ? 'Stop, keep the best' : 'Cancel'}
        </Button>
      </Flex>
    </Panel>
  );
}

const titleOf = (outcome: Outcome | null): string => {
  if (!outcome) return 'The best lay so far';
  if (outcome.isOurs) return 'The lay';
  return outcome.plan.faults.length > 0 ? 'The plan' : 'This plan can be cut as it lies';
};

function Faults({ plan: { faults, unplaced } }: { plan: PlanFigures }) {
  return (
    <>
      {faults.length > 0 && (
        <Notice level="stop">
          <Text fontWeight="700">
            {count(faults.length, 'thing is', 'things are')} wrong with this plan; it can’t be cut as it is.
          </Text>
          <Many lines={faults} />
        </Notice>
      )}
      {unplaced.length > 0 && (
        <Notice level="warn">
          <Text fontWeight="700">{count(unplaced.length, 'piece has', 'pieces have')} no room.</Text>
          <Many lines={unplaced.map(({ name, why }) => `${name}: ${why}`)} />
        </Notice>
      )}
    </>
  );
}

function PlanFiguresRow({ outcome: { isOurs, plan }, units }: { outcome: Outcome; units: Units }) {
  const { usedNm, boundNm, handNm, placed, cuts, faults } = plan;
  return (
    <Grid templateColumns="repeat(auto-fit, minmax(180px, 1fr))" gap="5">
      <Figure label="Used" note={faults.length > 0 ? undefined : (overBound(usedNm, boundNm) ?? undefined)}>
        <Fractions>{longLength(usedNm, units)}</Fractions>
      </Figure>
      <Figure label="Shortest possible" note={isOurs ? 'proven' : 'as the plan says'}>
        <Fractions>{longLength(boundNm, units)}</Fractions>
      </Figure>
      <Figure label="In rows by hand" note="on one length of cloth">
        <Fractions>{longLength(handNm, units)}</Fractions>
      </Figure>
      <Figure label="Laid" note={cuts > 0 ? count(cuts, 'cut of strips', 'cuts of strips') : undefined}>
        {count(placed, 'piece')}
      </Figure>
    </Grid>
  );
}

const SavePlan = ({ json, job }: { json: string; job: string }) => (
  <Button variant="outline" onClick={() => save(json, `${job.replace(/(-job)?\.json$/i, '')}-plan.json`)}>
    <Download size={18} /> Save the plan
  </Button>
);

function Many({ lines }: { lines: string[] }) {
  return (
    <List.Root ps="5">
      {lines.slice(0, SHOWN).map((line, i) => (
        <List.Item key={i}>{line}</List.Item>
      ))}
      {lines.length > SHOWN && <List.Item>and {(lines.length - SHOWN).toLocaleString('en')} more</List.Item>}
    </List.Root>
  );
}

/** Gives a text to the person as a file. */
function save(json: string, name: string) {
  const url = URL.createObjectURL(new Blob([json], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** The page's workers, ended with it. */
function useWorkers() {
  const [workers] = useState(() => new LayFileWorkers());
  useEffect(() => () => workers.end(), [workers]);
  return workers;
}
