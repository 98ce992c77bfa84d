'use client';

import { Box, Button, Grid, Heading, HStack, Stack, Text } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import { useMemo, useState } from 'react';
import { CoverDrawing, type LaidFace } from '@/ui/cover/cover-drawing';
import { OrderMark } from '@/ui/order-mark';
import type { ClothFace, Finished, FinishedLine } from '../finished';
import { FaceNet } from './face-net';

/** Most covers of a line that are drawn before somebody asks for all. */
const FIRST = 4;

export default function FinishedCovers({ text }: { text: string }) {
  const { lines, looks } = useMemo(() => JSON.parse(text) as Finished, [text]);
  return (
    <Stack gap="5">
      {lines.map((line) => (
        <Covers key={`${line.orderNo}/${line.line}`} line={line} looks={looks} />
      ))}
    </Stack>
  );
}

/** The covers of one line side by side. */
function Covers({ line, looks }: { line: FinishedLine; looks: Finished['looks'] }) {
  const [isAll, setAll] = useState(false);
  const covers = Array.from({ length: line.qty }, (_, i) => i + 1).slice(0, isAll ? line.qty : FIRST);
  return (
    <Box as="section" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="4">
      <HStack gap="2.5" mb="3" wrap="wrap">
        <OrderMark mark={line.mark} size={22} />
        <Heading as="h2" fontSize="lg">
          <Link href={`/orders/${line.orderId}`}>{line.orderNo}</Link>
        </Heading>
        <Text color="fg.muted">{line.customer}</Text>
        <Text fontWeight="600">{`${line.qty} × ${line.kind.name}`}</Text>
      </HStack>
      <Grid templateColumns="repeat(auto-fill, minmax(264px, 1fr))" gap="4">
        {covers.map((cover) => (
          <Cover key={cover} line={line} looks={looks} cover={cover} />
        ))}
      </Grid>
      {line.qty > FIRST && (
        <Button size="sm" variant="ghost" mt="2" onClick={() => setAll(!isAll)}>
          {isAll ? `The first ${FIRST} alone` : `All ${line.qty}`}
        </Button>
      )}
    </Box>
  );
}

function Cover({ line, looks, cover }: { line: FinishedLine; looks: Finished['looks']; cover: number }) {
  const own = line.faces.filter((face) => face.cover === cover);
  const laid = useMemo(() => {
    const map = new Map<string, LaidFace[]>();
    for (const face of own) map.set(face.name, [...(map.get(face.name) ?? []), laidFace(face, looks)]);
    return map;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the same lines
  }, [line, looks, cover]);
  const id = `finished-${line.orderNo}-${line.line}-${cover}`;
  return (
    <Box minW="0">
      <Text fontSize="sm" color="fg.muted">
        {line.qty > 1 ? `No. ${cover}` : 'The cover'}
      </Text>
      <CoverDrawing kind={line.kind} cover={line.cover} units={line.units} id={id} laid={laid} />
      <FaceNet faces={own} looks={looks} id={id} drawing={line.kind.drawing} />
    </Box>
  );
}

/** The pattern lies where this length of cloth has it. */
const laidFace = ({ cloth, motif, width, height, toCloth }: ClothFace, looks: Finished['looks']): LaidFace => ({
  look: { ...looks[cloth]!, motif: [motif[0], motif[1]] },
  width,
  height,
  toCloth,
});
