'use client';

import { Box, Button, Flex, HStack, Stack, Text } from '@chakra-ui/react';
import { Check, ChevronLeft, ChevronRight, CloudOff, Pause, Play } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { openStep, piecesOfStep, settingChanges } from '@/core/making';
import { settingsOf } from '@/core/covers';
import { MarkDrawings } from '@/ui/cover/mark-drawing';
import { Fractions } from '@/ui/fraction';
import { Conflicts } from '@/ui/kept/conflicts';
import { keepPage } from '@/ui/kept/keep-page';
import { Link } from '@/ui/link';
import { Notice, PageHead } from '@/ui/page';
import { counted } from '@/ui/words';
import { useRun } from '../device/use-run';
import type { RunView } from '../queries';
import { isClockGoing, shownRunTicks, shownSettings } from '../run-entries';
import { BeforeStep } from './before-step';
import { ClothSettings } from './cloth-settings';
import { CoverButtons } from './cover-buttons';
import { RunEnd } from './run-end';

interface Props {
  view: RunView;
  person: { name: string } | null;
}

/**
 * A run on a tablet: one step at a time for all its covers, with what the machine is set to, the question before what can't be taken back,
 * and a button for each cover that is through. Kept on the device and sent when the network is there.
 */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; its parts share the step in hand
export function RunPage({ view, person }: Props) {
  const { covers, steps, units } = view;
  const device = useRun(view.id, view.state);
  const { sheet, isLoaded, network } = device;
  const ticks = useMemo(() => shownRunTicks(sheet), [sheet]);
  const ids = useMemo(() => covers.map(({ id }) => id), [covers]);
  const flat = [...ticks].flatMap(([step, all]) => [...all].map((cover) => ({ step, cover })));
  const open = openStep(steps, ids, flat);
  const changes = useMemo(() => settingChanges(steps), [steps]);
  const [chosen, setChosen] = useState<number | null>(null);
  const [answered, setAnswered] = useState<number | null>(null);
  const [isKept, setIsKept] = useState<boolean | null>(null);
  useEffect(() => {
    void keepPage().then(setIsKept);
  }, []);
  const step = steps.find(({ n: own }) => own === (chosen ?? open)) ?? steps.at(-1)!;
  const { n } = step;
  const place = steps.indexOf(step);
  const through = ticks.get(n) ?? new Set<number>();
  const mayTick = !step.before || answered === n || through.size > 0;
  const isClosed = sheet.state.closed !== '';
  const isGoing = isClockGoing(sheet, person?.name ?? null);
  const settings = settingsOf(step, units);
  const pictured = view.cover ? piecesOfStep(step, view.cover.pieces, view.cover.marks) : [];
  const go = (to: number) => setChosen(steps[Math.max(0, Math.min(steps.length - 1, to))]!.n);
  const tick = (some: readonly number[]) => {
    device.tick(n, some, step.before ? 'yes' : null);
    const after = new Set([...through, ...some]);
    setChosen(ids.every((id) => after.has(id)) ? (steps[place + 1]?.n ?? n) : n);
  };
  return (
    <Box>
      <PageHead
        title={`Sewing run ${view.id}`}
        about={
          <HStack as="span" gap="3" wrap="wrap">
            <span>
              {counted(covers.length, 'cover')}, {sheet.state.minutes} min so far
            </span>
            {network === 'away' && (
              <HStack as="span" gap="1" color="warn.line">
                <CloudOff size={18} />
                {sheet.waiting.length} not sent yet
              </HStack>
            )}
            {isKept === false && <span>This device keeps nothing without the network.</span>}
          </HStack>
        }
      >
        <Button asChild variant="ghost">
          <Link href="/sewing">All runs</Link>
        </Button>
        <Button
          variant={isGoing ? 'outline' : 'solid'}
          disabled={isClosed || !isLoaded}
          onClick={() => (isGoing ? device.stopClock(n) : device.startClock(n))}
        >
          {isGoing ? <Pause size={18} /> : <Play size={18} />} {isGoing ? 'Pause the clock' : 'Start the clock'}
        </Button>
      </PageHead>
      <Stack gap="4">
        {isClosed && <Notice level="warn">{sheet.state.closed}</Notice>}
        {view.slips && <Notice level="warn">{view.slips}</Notice>}
        <Conflicts conflicts={sheet.conflicts} onSeen={device.forgetConflicts} />
        <Box className="run-step" aria-live="polite">
          <Text color="fg.muted" fontWeight="600" data-step={n}>
            Step {place + 1} of {steps.length}, {through.size} of {covers.length} through
          </Text>
          {changes.has(n) && (
            <Text className="run-setting" data-changes="">
              <Fractions>{`Set the machine: ${settings.join(', ')}`}</Fractions>
            </Text>
          )}
          <Text as="h2" fontSize={{ base: '2xl', md: '3xl' }} fontWeight="800" lineHeight="1.2">
            <Fractions>{step.do}</Fractions>
          </Text>
          {!changes.has(n) && settings.length > 0 && (
            <Text className="run-setting">
              <Fractions>{settings.join(', ')}</Fractions>
            </Text>
          )}
          {step.tip && (
            <Text color="fg.muted">
              <Fractions>{step.tip}</Fractions>
            </Text>
          )}
          {step.caution && <Notice level="warn">{step.caution}</Notice>}
          {step.before && (
            <BeforeStep
              key={n}
              before={step.before}
              isAnswered={mayTick}
              onYes={() => setAnswered(n)}
              isClosed={isClosed}
            />
          )}
        </Box>
        <ClothSettings
          cloths={view.cloths}
          settings={shownSettings(sheet, person?.name ?? '')}
          isClosed={isClosed || !isLoaded}
          onNote={device.noteSetting}
        />
        <CoverButtons
          covers={covers}
          through={through}
          isDisabled={isClosed || !isLoaded || !mayTick}
          onTick={tick}
          onUntick={(some) => device.untick(n, some)}
        />
        <Flex gap="3" wrap="wrap" align="center">
          <Button size="lg" variant="outline" onClick={() => go(place - 1)} disabled={place === 0}>
            <ChevronLeft /> Previous
          </Button>
          <Button
            size="lg"
            flex="1"
            minW="200px"
            order={{ base: -1, md: 0 }}
            flexBasis={{ base: '100%', md: 'auto' }}
            onClick={() => tick(ids.filter((id) => !through.has(id)))}
            disabled={isClosed || !isLoaded || !mayTick || through.size === covers.length}
          >
            <Check /> All {covers.length} through
          </Button>
          <Button size="lg" variant="outline" onClick={() => go(place + 1)} disabled={place === steps.length - 1}>
            Next <ChevronRight />
          </Button>
        </Flex>
        {view.cover && pictured.length > 0 && (
          <MarkDrawings cover={view.cover} step={{ pieces: pictured, seam: step.seam ?? 0 }} />
        )}
        {view.cover && view.cover.marks.length > 0 && pictured.length === 0 && (
          <details>
            <summary>The marks on the pieces</summary>
            <MarkDrawings cover={view.cover} />
          </details>
        )}
        {sheet.state.questions.map((question) => (
          <Notice key={question} level="warn">
            {question}
          </Notice>
        ))}
        <RunEnd runId={view.id} isClosed={isClosed} />
      </Stack>
    </Box>
  );
}
