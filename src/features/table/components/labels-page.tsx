'use client';

import { Box, Button, Flex, HStack, NativeSelect, Text } from '@chakra-ui/react';
import { memo, useState, useSyncExternalStore, useTransition } from 'react';
import { withNetworkFault } from '@/features/commands/answer';
import { TextField } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { PrintBar } from '@/ui/print-bar';
import { toaster } from '@/ui/toaster';
import { counted } from '@/ui/words';
import { printLabels } from '../actions';
import { layOutLabel } from '../label-layout';
import { LABEL_SIZES, readOwnSize, type LabelSize } from '../label-sizes';
import type { PieceLabel } from '../labels';
import type { LabelChoice } from '../labels-pdf';
import { qrPath } from '../qr-path';

type What = LabelChoice['what'];
const WHATS: { id: What; name: string }[] = [
  { id: 'pieces', name: 'A label for each piece' },
  { id: 'covers', name: 'A ticket for each cover' },
  { id: 'lines', name: 'A ticket for each line' },
];

const never = () => () => undefined;
const here = () => window.location.origin;
const nowhere = () => '';

/** A label for each piece of a batch, on sheets or a roll; its code opens the piece on its lay. */
export function LabelsPage({
  batch,
  labels: ofPieces,
  tickets,
  begins = 'pieces',
  hasPrinter,
}: {
  batch: { id: number; name: string };
  labels: PieceLabel[];
  /** Bundle tickets: one for each cover, or for each line; none before its covers are made. */
  tickets: { covers: PieceLabel[]; lines: PieceLabel[] };
  /** The labels that are shown first. */
  begins?: What;
  /** Tells whether the workroom has a label printer. */
  hasPrinter: boolean;
}) {
  const origin = useSyncExternalStore(never, here, nowhere);
  const [what, setWhat] = useState<What>(begins);
  const labels = what === 'pieces' ? ofPieces : tickets[what];
  const [id, setId] = useState(LABEL_SIZES[0]!.id);
  const [own, setOwn] = useState({ width: '80', height: '50' });
  const read = readOwnSize(own.width, own.height);
  const chosen = LABEL_SIZES.find((size) => size.id === id)!;
  const size: LabelSize = id === 'own' && typeof read !== 'string' ? { ...chosen, ...read } : chosen;
  const { page } = size;
  const each = page ? page.columns * page.rows : 1;
  const pages = Array.from({ length: Math.ceil(labels.length / each) }, (_, i) =>
    labels.slice(i * each, (i + 1) * each),
  );
  const paper = page ?? size;
  return (
    <Box>
      {/* The page of the printer is as large as the sheet or the label. */}
      <style>{`@page { size: ${paper.width}mm ${paper.height}mm; margin: 0 } @media print { main { padding: 0 !important; max-width: none !important } }`}</style>
      <PrintBar
        back="Back to the batch"
        backTo={`/batches/${batch.id}`}
        print="Print the labels"
        about={`${counted(labels.length, 'label')} for “${batch.name}”${page ? `, ${counted(pages.length, 'page')}` : ''}. Print at true size.`}
      />
      <HStack className="no-print" gap="4" mb="5" align="flex-start" wrap="wrap">
        <NativeSelect.Root w="260px">
          <NativeSelect.Field
            aria-label="Size of the labels"
            value={id}
            onChange={(event) => setId(event.target.value)}
          >
            {LABEL_SIZES.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        {tickets.covers.length > 0 && (
          <NativeSelect.Root w="260px">
            <NativeSelect.Field
              aria-label="What is labelled"
              value={what}
              onChange={(event) => setWhat(event.target.value as What)}
            >
              {WHATS.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
        )}
        {hasPrinter && !page && <OnPrinter choice={{ batchId: batch.id, what }} size={size} origin={origin} />}
        {id === 'own' && (
          <>
            <Box w="120px">
              <TextField
                label="Wide, mm"
                isCount
                value={own.width}
                onChange={(width) => setOwn({ ...own, width })}
                error={typeof read === 'string' ? read : undefined}
              />
            </Box>
            <Box w="120px">
              <TextField
                label="High, mm"
                isCount
                value={own.height}
                onChange={(height) => setOwn({ ...own, height })}
              />
            </Box>
          </>
        )}
      </HStack>
      <Sheets pages={pages} size={size} origin={origin} />
    </Box>
  );
}

/** The sheets of labels, or the labels of a roll one after the other, at true size. */
function Sheets({ pages, size, origin }: { pages: PieceLabel[][]; size: LabelSize; origin: string }) {
  const { page } = size;
  const paper = page ?? size;
  return (
    <Flex direction="column" gap={{ base: '6', _print: '0' }} overflowX={{ base: 'auto', _print: 'visible' }}>
      {pages.map((some, i) => (
        <Box
          key={i}
          className="light"
          bg="#fff"
          color="#000"
          w={`${paper.width}mm`}
          h={`${paper.height}mm`}
          maxW="none"
          position="relative"
          overflow="hidden"
          borderWidth={{ base: '1px', _print: '0' }}
          borderColor="#999"
          css={{
            breakBefore: i > 0 ? 'page' : 'auto',
            contentVisibility: 'auto',
            '@media print': { contentVisibility: 'visible' },
          }}
        >
          {some.map((label, k) => (
            <div
              key={label.code}
              style={{
                position: 'absolute',
                left: `${page ? page.left + (k % page.columns) * size.width : 0}mm`,
                top: `${page ? page.top + Math.floor(k / page.columns) * size.height : 0}mm`,
                width: `${size.width}mm`,
                height: `${size.height}mm`,
              }}
            >
              <Label label={label} size={size} origin={origin} />
            </div>
          ))}
        </Box>
      ))}
    </Flex>
  );
}

/** Sends the labels to the workroom's label printer; nothing waits for it longer than it is given. */
function OnPrinter({ choice, size, origin }: { choice: LabelChoice; size: LabelSize; origin: string }) {
  const [problem, setProblem] = useState('');
  const [isBusy, start] = useTransition();
  const print = () =>
    start(async () => {
      setProblem('');
      const answer = await withNetworkFault(printLabels(choice, { width: size.width, height: size.height }, origin));
      if (!answer.ok) return setProblem(answer.faults[0]!.message);
      toaster.create({ title: `${counted(answer.value.count, 'label')} sent to the label printer.`, type: 'success' });
    });
  return (
    <Box>
      <Button variant="outline" onClick={print} loading={isBusy}>
        On the label printer
      </Button>
      {problem && (
        <Text role="alert" color="fg.error" mt="1" maxW="44ch">
          {problem}
        </Text>
      )}
    </Box>
  );
}

/** One label in plain elements: some hundred of them are on a page at once. */
const Label = memo(function Label({ label, size, origin }: { label: PieceLabel; size: LabelSize; origin: string }) {
  const { codeMm, pt, lines } = layOutLabel(label, size);
  const code = origin ? qrPath(`${origin}/piece/${label.code}`) : null;
  return (
    <div className="piece-label" data-label={label.code} style={{ fontSize: `${pt}pt` }}>
      <div style={{ width: `${codeMm}mm`, height: `${codeMm}mm` }}>
        {code && (
          <svg viewBox={`0 0 ${code.size} ${code.size}`} shapeRendering="crispEdges" aria-hidden="true">
            <path d={code.d} />
          </svg>
        )}
      </div>
      <div>
        <p className="piece-label-head">
          <OrderMark mark={label.mark} size={pt * 1.7} />
          {label.orderNo} <small>{label.code}</small>
        </p>
        {lines.map(({ what, rows, pt: own, isBold }) => (
          <p key={what} style={{ fontSize: `${own}pt`, fontWeight: isBold ? 700 : undefined }}>
            {rows.map((row, i) => (
              <span key={i}>{what === 'size' ? <Fractions>{row}</Fractions> : row}</span>
            ))}
          </p>
        ))}
      </div>
    </div>
  );
});
