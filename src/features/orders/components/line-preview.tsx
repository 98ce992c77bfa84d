'use client';

import { Box, Flex, Link as TextLink, Stack, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { Link } from '@/ui/link';
import { memo, useMemo } from 'react';
import { usableWidth } from '@/core/cloth';
import type { CoverKind, TakeOff } from '@/core/covers';
import type { CutList } from '@/core/cutlist';
import { bestTube } from '@/core/lay';
import { NM, printLength, STYLES, type OrderUnits } from '@/core/length';
import { CutTable } from '@/ui/table/cut-table';
import { Folded } from '@/ui/folded';
import { Inspections, notionsText, Steps, Tools } from '@/ui/cover/sewing';
import { Fractions } from '@/ui/fraction';
import { Notice } from '@/ui/page';
import { providedText, type Change, type LineForm } from '../form';
import type { ClothChoice } from '../queries';
import { useOrder } from './order-context';

/** The drawings come after the page: the fields and the sums need none. */
const CoverDrawing = dynamic(
  lazyPart(() => import('@/ui/cover/cover-drawing').then((file) => file.CoverDrawing)),
  {
    ssr: false,
    loading: () => <Box aspectRatio="4 / 3" />,
  },
);

const MeasureDrawing = dynamic(
  lazyPart(() => import('@/ui/measure-drawing').then((file) => file.MeasureDrawing)),
  {
    ssr: false,
    loading: () => <Box aspectRatio="4 / 3" />,
  },
);

/** Asked only where a part is wider than its cloth. */
const WideChoice = dynamic(
  lazyPart(() => import('./line-directions').then((file) => file.WideChoice)),
  { ssr: false },
);

interface Props {
  kind: CoverKind;
  cover: TakeOff;
  list: CutList;
  line: LineForm;
  units: OrderUnits;
  cloth: ClothChoice | undefined;
  index: number;
  focused: string | undefined;
  change: Change;
}

/** The cover in its cloth, what is to be decided or minded, and the cut list with its sums. */
export const LinePreview = memo(function LinePreview(props: Props) {
  const { kind, cover, list, line, units, cloth, index, focused, change } = props;
  const { cloths } = useOrder();
  return (
    <>
      {list.warnings
        .filter(({ code }) => code !== 'panel-wide')
        .map(({ code, field, message, level }) => (
          <Notice key={`${code} ${field}`} level={level}>
            {message}
          </Notice>
        ))}
      {[...new Set(list.wide.map(({ cloth: name }) => name))].map((name) => (
        <WideChoice
          key={name}
          wide={list.wide.filter((one) => one.cloth === name)}
          units={units}
          cloth={cloths.find((one) => one.name === name)?.cloth}
          change={change}
        />
      ))}
      <Box maxW="380px" mx="auto" w="full">
        <CoverDrawing
          id={`line-${index}`}
          kind={kind}
          cover={cover}
          units={units}
          look={cloth?.look}
          directions={line.directions}
        />
      </Box>
      <WorkedBack kind={kind} cover={cover} units={units} />
      <CutTable list={list} units={units} />
      {list.notions.length > 0 && (
        <Text fontSize="sm" color="fg.muted">
          <Text as="span" fontWeight="700" color="fg">
            Also:{' '}
          </Text>
          <Fractions>{notionsText(list.notions, units)}</Fractions>
        </Text>
      )}
      {list.provided.length > 0 && (
        <Text fontSize="sm" color="fg.muted">
          <Text as="span" fontWeight="700" color="fg">
            Not bought:{' '}
          </Text>
          {providedText(list)}
        </Text>
      )}
      <Tubes list={list} units={units} />
      <Box fontSize="sm">
        <Folded title="Where the tape goes">
          <Guide kind={kind} focused={focused} />
        </Folded>
        <Folded title="How it is sewn, and what to mind">
          <Tools list={list} />
          <Steps list={list} units={units} />
        </Folded>
        <Folded title="What is checked when it is sewn">
          <Inspections list={list} units={units} />
        </Folded>
      </Box>
    </>
  );
});

/** The form's sizes that were worked back from an old cover. */
function WorkedBack({ kind, cover, units }: { kind: CoverKind; cover: TakeOff; units: OrderUnits }) {
  const sizes = kind.measures.filter(({ id }) => cover.workedBack[id] !== undefined);
  if (sizes.length === 0) return null;
  const said = sizes.map(
    ({ id, label }) => `${label.toLowerCase()} ${printLength(cover.workedBack[id]!, STYLES[units])}`,
  );
  return (
    <Text fontSize="sm" color="fg.muted">
      <Text as="span" fontWeight="700" color="fg">
        Worked back from the old cover:{' '}
      </Text>
      <Fractions>{said.join(', ')}</Fractions>
    </Text>
  );
}

/** Where a bias strip cut round a tube, from one square, takes less cloth than parallel strips: the square. */
function Tubes({ list, units }: { list: CutList; units: OrderUnits }) {
  const { cloths } = useOrder();
  const offers = useMemo(
    () =>
      list.strips.flatMap(({ line, name, grain, width, length, loss, least, cloth: id }) => {
        const cloth = cloths.find((one) => one.id === id)?.cloth;
        if (grain !== 'bias' || !cloth) return [];
        const found = bestTube({ strip: name, copy: 1, width, length, loss, least }, usableWidth(cloth), 0);
        return found ? [{ key: `${line} ${name}`, name, length, ...found }] : [];
      }),
    [list, cloths],
  );
  const size = (length: number) => printLength(length, STYLES[units]);
  return offers.map(({ key, name, length, side, tube, strips }) => (
    <Text key={key} fontSize="sm" color="fg.muted">
      <Text as="span" fontWeight="700" color="fg">
        A tube instead:{' '}
      </Text>
      <Fractions>
        {`a square of ${size(roundUp(side, units))}, sewn into a tube a strip’s width aside, gives one ${name} of ${size(length)} without joins, on ${Math.round(100 * (1 - tube / strips))} % less cloth than strips. Its two seams are extra.`}
      </Fractions>
    </Text>
  ));
}

/** Up to an eighth of an inch, or to a millimetre. */
const roundUp = (length: number, units: OrderUnits) => {
  const step = units === 'in' ? NM.in / 8 : NM.mm;
  return Math.ceil(length / step) * step;
};

/** Before the sizes are known: where the tape goes. */
export function MeasureFirst({ kind, focused }: { kind: CoverKind; focused: string | undefined }) {
  return (
    <Flex
      direction="column"
      flex="1"
      justify="center"
      borderWidth="2px"
      borderStyle="dashed"
      borderColor="border"
      borderRadius="sm"
      px="5"
      py="4"
      gap="3"
    >
      <Guide kind={kind} focused={focused} />
      <Text color="fg.muted">The cover and its cut list appear here as soon as its sizes are known.</Text>
    </Flex>
  );
}

function Guide({ kind, focused }: { kind: CoverKind; focused: string | undefined }) {
  return (
    <>
      <Box maxW="360px" mx="auto" w="full">
        <MeasureDrawing kind={kind} focused={focused} />
      </Box>
      <Stack as="ol" gap="0.5" fontSize="sm">
        {kind.measures.map(({ id, label, hint }, i) => (
          <li key={id}>
            <b>
              {i + 1} {label}
            </b>
            {hint && `: ${hint}`}
          </li>
        ))}
      </Stack>
      <TextLink asChild fontSize="sm" fontWeight="600">
        <Link href={`/guide/${kind.id}`} target="_blank">
          The whole measure guide, to print
        </Link>
      </TextLink>
    </>
  );
}
