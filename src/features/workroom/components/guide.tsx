'use client';

import { Box, Button, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { sampleOf, takenOf, takeOff, type CoverKind, type Measure, type MeasuredObject } from '@/core/covers';
import { CoverDrawing } from '@/ui/cover/cover-drawing';
import { Fractions } from '@/ui/fraction';
import { MeasureDrawing } from '@/ui/measure-drawing';
import { PageHead, Panel } from '@/ui/page';

/** Reminders for each thing that is measured. Common practice of the trade, no source. */
const REMINDERS: Record<MeasuredObject, string[]> = {
  pad: [
    'Measure the pad itself, never its label, seam to seam over the curve.',
    'Of an old cover say how each size was taken: seam to seam, or cut edge to cut edge, which holds the allowances already.',
  ],
  block: [
    'Measure the foam, and write the thickness apart. Off an old cover say how each size was taken: 31 x 21 x 5 from cut edge to cut edge, with seams of 1/2, is a foam of 30 x 20 x 4.',
    'A boxing that was trimmed at its staples says nothing of the height: measure the foam.',
    'Odd shapes are traced onto card, or straight onto the cloth.',
  ],
  round: ['Measure the diameter at two places; what runs round is worked out from it.'],
  bolster: ['Measure the roll’s end across the middle; what runs round is worked out from it.'],
  book: [
    'The wrap goes front edge, round the spine, to back edge in one go, with the book closed.',
    'Without a tape, roll the book along a ruler. The board’s thickness is written apart: 1/8 in is usual, up to 1/4.',
    'A wrap is never less than two covers and the spine.',
  ],
  device: ['Measure the bare thing, without a case; the ease is added.'],
  strap: ['Sizes are finished sizes; a pad on a vehicle’s belt follows the vehicle maker’s advice first.'],
  stool: [
    'Measure seam to seam on the finished top, and the drop on every side: 13 1/2 here and 13 1/4 there is one drop misread.',
    'Where an old cover was cut off at the staples, add 2 in for the pull.',
  ],
};

/** A kind's guide, for the screen and for the printer. */
export function GuideSheet({ kind }: { kind: CoverKind }) {
  return (
    <>
      <PageHead title={kind.name} about={kind.about}>
        <Button asChild variant="ghost">
          <Link href="/guide">All guides</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/guide/${kind.id}/sewing`}>How it is sewn</Link>
        </Button>
        <Button onClick={() => window.print()}>
          <Printer size={18} /> Print
        </Button>
      </PageHead>
      <Grid templateColumns={{ base: '1fr', md: '1.3fr 1fr' }} gap="6" alignItems="start">
        <Stack gap="4">
          <Panel>
            <MeasureDrawing kind={kind} />
          </Panel>
          <Panel>
            <Text fontWeight="700">What it becomes, seen from behind</Text>
            <Box maxW="340px" mx="auto">
              <Finished kind={kind} />
            </Box>
          </Panel>
        </Stack>
        <Stack gap="5">
          <Box as="ol" fontSize="lg">
            {kind.measures.map(({ id, label, hint, default: usual }, i) => (
              <Grid
                as="li"
                key={id}
                templateColumns="2.5rem 1fr 9rem"
                gap="3"
                py="3"
                borderBottomWidth="1px"
                borderColor="border"
              >
                <Text fontWeight="800" fontFamily="heading" fontSize="2xl" lineHeight="1">
                  {i + 1}
                </Text>
                <Box>
                  <Text fontWeight="700">{label}</Text>
                  <Text color="fg.muted" fontSize="md">
                    {hint}
                    {usual ? '; may be left open' : ''}
                  </Text>
                  <OldCover measure={kind.measures[i]!} />
                </Box>
                <Box borderBottomWidth="2px" borderColor="fg.subtle" />
              </Grid>
            ))}
          </Box>
          <Box>
            <Heading as="h2" fontSize="lg" mb="2">
              Mind
            </Heading>
            <Stack as="ul" gap="1.5" pl="5" css={{ listStyle: 'disc' }}>
              {[
                ...REMINDERS[kind.object],
                'Write one number per fact, and read it back before the tape is put away.',
              ].map((text) => (
                <li key={text}>
                  <Fractions>{text}</Fractions>
                </li>
              ))}
            </Stack>
          </Box>
        </Stack>
      </Grid>
    </>
  );
}

/** How the measure may be taken off an old cover; written down with it, the form is worked back. */
function OldCover({ measure }: { measure: Measure }) {
  const ways = takenOf(measure).filter((way) => way === 'seams' || way === 'cut');
  if (ways.length === 0) return null;
  const said = ways.map((way) => (way === 'seams' ? 'seam to seam' : 'cut edge to cut edge'));
  return (
    <Text color="fg.muted" fontSize="sm">
      Off an old cover, tick which:{' '}
      {said.map((way) => (
        <Box as="span" key={way} mr="3" whiteSpace="nowrap">
          <Box as="span" display="inline-block" boxSize="3" borderWidth="1px" borderColor="fg.subtle" mr="1" />
          {way}
        </Box>
      ))}
    </Text>
  );
}

/** The finished cover of a sample size, so that kinds which are measured alike can be told apart. */
function Finished({ kind }: { kind: CoverKind }) {
  const cover = takeOff(kind, { measures: sampleOf(kind), options: {}, units: 'in' });
  return cover.ok ? <CoverDrawing kind={kind} cover={cover.value} units="in" id={`guide-${kind.id}`} isPlain /> : null;
}

/** All guides, each with its drawing. */
export function GuideList({ kinds }: { kinds: CoverKind[] }) {
  return (
    <Grid templateColumns="repeat(auto-fill, minmax(300px, 1fr))" gap="4">
      {kinds.map((kind) => (
        <Box
          asChild
          key={kind.id}
          bg="bg.panel"
          borderWidth="1px"
          borderColor="border"
          borderRadius="sm"
          p="4"
          _hover={{ borderColor: 'fg.subtle' }}
        >
          <Link href={`/guide/${kind.id}`}>
            <Grid templateColumns="1.2fr 1fr" alignItems="center" gap="1">
              <MeasureDrawing kind={kind} />
              <Finished kind={kind} />
            </Grid>
            <Text fontWeight="700" mt="2">
              {kind.name}
            </Text>
            <Text fontSize="sm" color="fg.muted">
              {kind.about}
            </Text>
          </Link>
        </Box>
      ))}
    </Grid>
  );
}
