'use client';

import { Box, Button, Flex, Grid, HStack, Stack, Text } from '@chakra-ui/react';
import { Check, ChevronLeft, ChevronRight, CloudOff, ListOrdered, TriangleAlert, Undo2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useEffect, useMemo, useState } from 'react';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { OtherCloths } from '@/ui/other-cloths';
import { Notice, PageHead } from '@/ui/page';
import { counted } from '@/ui/words';
import { Conflicts } from '@/ui/kept/conflicts';
import { keepPage } from '@/ui/kept/keep-page';
import { useCutSheet } from '../device/use-cut-sheet';
import { itemsFreed, type SheetItem, type SheetView } from '../sheet-view';
import { stepWords } from '../step-words';
import { nextOpen, shownTicks, type ShownTick } from '../ticks';
import { StepPicture } from './step-picture';
import { StepsList } from './steps-list';
import { TroubleForm } from './trouble-form';

const clock = (at: string) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/**
 * The cutting sheet on a tablet: one step at a time with its piece lit on the cloth, ticked by a gloved tap. What is ticked is kept on
 * the device and sent when the network is there; the next person sees where it stands.
 */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; its parts share the step in hand
export function CuttingSheet({ view }: { view: SheetView }) {
  const { batch, clothId, steps } = view;
  const device = useCutSheet(batch.id, clothId, view.state);
  const { sheet, isLoaded, closed } = device;
  const ticks = useMemo(() => shownTicks(sheet), [sheet]);
  const open = nextOpen(steps.length, ticks);
  const [chosen, setChosen] = useState<number | null>(null);
  const [isListed, setIsListed] = useState(false);
  const [isWrong, setIsWrong] = useState(false);
  const [isKept, setIsKept] = useState<boolean | null>(null);
  const [said, setSaid] = useState('');
  useEffect(() => {
    void keepPage().then(setIsKept);
  }, []);
  const n = Math.min(chosen ?? open, steps.length);
  const step = steps[n - 1]!;
  const tick = ticks.get(n);
  const isAllDone = open > steps.length;
  const freed = useMemo(() => {
    const keys = new Set<string>();
    for (const one of steps)
      if (ticks.has(one.n) && ['piece', 'strips', 'around'].includes(one.do))
        for (const { key } of itemsFreed(view, one)) keys.add(key);
    return keys;
  }, [steps, ticks, view]);
  const go = (to: number) => {
    setIsWrong(false);
    setChosen(Math.max(1, Math.min(steps.length, to)));
  };
  const done = () => {
    device.tick(n);
    setSaid(`Step ${n} is done.`);
    // On to the next one that is open.
    const after = new Map<number, unknown>(ticks).set(n, true);
    const later = steps.find((one) => one.n > n && !after.has(one.n));
    setIsWrong(false);
    setChosen(later?.n ?? nextOpen(steps.length, after));
  };
  if (steps.length === 0)
    return <Notice level="warn">Nothing of this lay lies on the cloth yet: there is nothing to cut.</Notice>;
  const words = stepWords(step, view);
  return (
    <Box>
      <PageHead title={`Cutting ${view.clothName}`} about={<Sent device={device} isKept={isKept} batch={batch} />}>
        <OtherCloths
          current={{ id: clothId, name: view.clothName }}
          others={view.others.map((other) => ({ id: other.clothId, name: other.clothName }))}
          hrefOf={(id) => `/batches/${batch.id}/cutting/${id}`}
        />
        <Button
          variant="outline"
          disabled={closed !== '' || isWrong}
          onClick={() => (setIsListed(false), setIsWrong(true))}
        >
          <TriangleAlert size={18} /> Report a problem
        </Button>
        <Button variant="outline" onClick={() => setIsListed(!isListed)} aria-expanded={isListed}>
          <ListOrdered size={18} /> {isListed ? 'One step' : 'All steps'}
        </Button>
      </PageHead>
      <Stack gap="3">
        {closed && (
          <Notice level="warn">
            <HStack gap="4" wrap="wrap">
              <Text>{closed}</Text>
              {closed !== sheet.state.closed && (
                <Button size="sm" onClick={() => window.location.reload()}>
                  Open the sheet again
                </Button>
              )}
            </HStack>
          </Notice>
        )}
        <Conflicts conflicts={sheet.conflicts} onSeen={device.forgetConflicts} />
        {isAllDone && !closed && (
          <Notice level="warn">
            <HStack gap="4" wrap="wrap">
              <Text fontWeight="700">All {steps.length} steps are done.</Text>
              <Button asChild>
                <Link href={`/batches/${batch.id}/cut/${clothId}`}>Close the lay</Link>
              </Button>
            </HStack>
          </Notice>
        )}
        {isListed ? (
          <StepsList view={view} ticks={ticks} current={n} onChoose={(to) => (setIsListed(false), go(to))} />
        ) : (
          <>
            <Box h="max(220px, calc(100vh - 490px))">
              <StepPicture view={view} step={step} freed={freed} />
            </Box>
            <Flex gap="5" align="flex-start" wrap="wrap" aria-live="polite">
              <Box flex="1" minW="300px">
                <Text color="fg.muted" fontWeight="600" data-step={n}>
                  Step {n} of {steps.length}
                  {tick && `, ${tickWords(tick)}`}
                </Text>
                <Text as="h2" fontSize="2xl" fontWeight="800" lineHeight="1.2">
                  <Fractions>{words.title}</Fractions>
                </Text>
                {words.note && (
                  <Text mt="1">
                    <Fractions>{words.note}</Fractions>
                  </Text>
                )}
              </Box>
              <Grid gap="1" flex="none" templateColumns="auto">
                {words.tapes.map(({ from, at }) => (
                  <Box key={from} textAlign="right">
                    <Text fontSize="2xl" fontWeight="800" lineHeight="1.15" maxW="46ch">
                      <Fractions>{at}</Fractions>
                    </Text>
                    <Text color="fg.muted" fontSize="sm">
                      {from}
                    </Text>
                  </Box>
                ))}
              </Grid>
            </Flex>
            {isWrong ? (
              <TroubleForm
                view={view}
                stock={step.stock}
                items={itemsFreed(view, step)}
                onCancel={() => setIsWrong(false)}
                onReport={(trouble) => {
                  device.report(n, trouble);
                  setIsWrong(false);
                  setSaid('It is noted.');
                }}
              />
            ) : (
              <Grid templateColumns="minmax(110px, 1fr) minmax(0, 3fr) minmax(110px, 1fr)" gap="3">
                <Button h="76px" variant="outline" fontSize="xl" disabled={n === 1} onClick={() => go(n - 1)}>
                  <ChevronLeft size={26} /> Back
                </Button>
                {tick ? (
                  <Button
                    h="76px"
                    variant="outline"
                    fontSize="xl"
                    disabled={closed !== ''}
                    onClick={() => (device.untick(n), setSaid(`Step ${n} is open again.`))}
                  >
                    <Undo2 size={24} /> It is not done
                  </Button>
                ) : (
                  <Button h="76px" fontSize="2xl" disabled={closed !== '' || !isLoaded} onClick={done}>
                    <Check size={30} /> Done
                  </Button>
                )}
                <Button
                  h="76px"
                  variant="outline"
                  fontSize="xl"
                  disabled={n === steps.length}
                  onClick={() => go(n + 1)}
                >
                  Next <ChevronRight size={26} />
                </Button>
              </Grid>
            )}
            <Pieces items={itemsFreed(view, step)} view={view} />
          </>
        )}
        {sheet.state.troubles.length > 0 && (
          <Text color="fg.muted">
            Noted: {sheet.state.troubles.map(({ step: at, why, sort }) => `${why || sort} (step ${at})`).join('; ')}.
          </Text>
        )}
        <Text color="fg.muted">
          Rotary cutter: close it when you put it down, fingers behind the ruler’s edge. Hot knife: ventilate; natural
          fibres burn.
        </Text>
        <Box aria-live="assertive" position="absolute" w="1px" h="1px" overflow="hidden">
          {said}
        </Box>
      </Stack>
    </Box>
  );
}

const tickWords = ({ by, at, isWaiting }: ShownTick) =>
  `done at ${clock(at)}${by ? ` by ${by}` : ''}${isWaiting ? ', not sent yet' : ''}`;

/** Freed pieces: whose they are, their labels' codes, and their marks. */
function Pieces({ items, view }: { items: readonly SheetItem[]; view: SheetView }) {
  const shown = items.slice(0, 8);
  if (items.length === 0) return null;
  const marks = [
    ...new Map(shown.flatMap((item) => item.marks).map((mark) => [`${mark.n} ${mark.name}`, mark])).values(),
  ];
  return (
    <Box>
      <Flex gap="2" wrap="wrap">
        {shown.map((item) => (
          <HStack
            key={item.key}
            gap="2"
            px="3"
            py="1.5"
            borderWidth="1px"
            borderColor="border"
            borderRadius="sm"
            bg="bg.panel"
          >
            <OrderMark mark={view.orders.find(({ no }) => no === item.orderNo)?.mark ?? 0} size={18} />
            <Text fontWeight="700">{item.orderNo}</Text>
            <Text>
              {item.name} {item.copy}
            </Text>
            <Text color="fg.muted">{item.code}</Text>
          </HStack>
        ))}
        {items.length > shown.length && (
          <Text alignSelf="center">and {counted(items.length - shown.length, 'more piece')}</Text>
        )}
      </Flex>
      {marks.length > 0 && (
        <Text mt="2" color="fg.muted">
          Mark on the wrong side:{' '}
          {marks
            .slice(0, 8)
            .map(({ n, name }) => `${n} ${name}`)
            .join(', ')}
          .
        </Text>
      )}
    </Box>
  );
}

/** Which batch it is; what is sent, what waits, and whether the page can be opened again without the network. */
function Sent({
  device,
  isKept,
  batch,
}: {
  device: ReturnType<typeof useCutSheet>;
  isKept: boolean | null;
  batch: SheetView['batch'];
}) {
  const { sheet, network, look } = device;
  const waiting = sheet.waiting.length;
  const words =
    network === 'away'
      ? waiting > 0
        ? `No network: ${counted(waiting, 'note')} kept on this device.`
        : 'No network. Go on: what you tick is kept on this device.'
      : waiting > 0
        ? `Sending ${counted(waiting, 'note')} …`
        : 'Everything is sent.';
  return (
    <HStack as="span" gap="3" data-waiting={waiting} data-network={network} wrap="wrap">
      <Link href={`/batches/${batch.id}`}>in {batch.name}</Link>
      {network === 'away' && <CloudOff size={20} aria-hidden />}
      <Text as="span" aria-live="polite" fontWeight={network === 'away' ? '700' : undefined}>
        {words}
        {isKept === false && ' Without https the page itself is not kept: do not close it while the network is away.'}
      </Text>
      {network === 'away' && (
        <Button size="xs" variant="outline" onClick={() => void look()}>
          Try now
        </Button>
      )}
    </HStack>
  );
}
