'use client';

import { Button, Grid, HStack, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { parseLength, typingUnit } from '@/core/length';
import { Choice, TextField } from '@/ui/fields/choice';
import { LengthField } from '@/ui/fields/length-field';
import { Panel } from '@/ui/page';
import { lengthName } from '@/features/table/lay-view';
import { EVENT_LABELS, EVENT_SORTS } from '../form';
import type { SheetItem, SheetView } from '../sheet-view';
import type { Trouble } from '../ticks';

/** A problem at a step: kept on the device, and there when the lay is closed. */
export function TroubleForm({
  view,
  stock,
  items,
  onReport,
  onCancel,
}: {
  view: SheetView;
  stock: string;
  /** Freed by the step: the first of it is meant, unless another is chosen. */
  items: readonly SheetItem[];
  onReport: (trouble: Trouble) => void;
  onCancel: () => void;
}) {
  const [trouble, setTrouble] = useState<Trouble>({
    sort: 'miscut',
    code: stock,
    length: '',
    part: items[0]?.part ?? '',
    why: '',
  });
  const [error, setError] = useState<string>();
  const [partError, setPartError] = useState<string>();
  const parts = new Map(items.map(({ part, orderNo, name }) => [part, `${orderNo} ${name}`]));
  const change = (some: Partial<Trouble>) => {
    setError(undefined);
    setPartError(undefined);
    setTrouble({ ...trouble, ...some });
  };
  const report = () => {
    if (trouble.length.trim() !== '') {
      const read = parseLength(trouble.length, typingUnit(view.units), 'length');
      if (!read.ok) return setError(read.faults[0]!.message);
      if (read.value <= 0) return setError('A length is more than zero; leave it empty where it is measured later.');
    }
    if (trouble.sort === 'recut' && trouble.part === '') return setPartError('Choose the piece that is cut again.');
    onReport(trouble);
  };
  return (
    <Panel title="Report a problem">
      <Stack gap="4">
        <Grid templateColumns="repeat(auto-fit, minmax(200px, 1fr))" gap="4">
          <Choice
            label="What"
            value={trouble.sort}
            choices={EVENT_SORTS.map((id) => ({ id, label: EVENT_LABELS[id] }))}
            onChange={(sort) => change({ sort: sort as Trouble['sort'] })}
          />
          {trouble.sort !== 'end crooked' && (
            <Choice
              label="Piece"
              value={trouble.part}
              error={partError}
              choices={[{ id: '', label: 'none of one order' }, ...[...parts].map(([id, label]) => ({ id, label }))]}
              onChange={(part) => change({ part })}
            />
          )}
          <LengthField
            label="Extra length used"
            units={view.units}
            value={trouble.length}
            hint={`length along ${lengthName(trouble.code)}; empty until it is measured`}
            {...(error && { error })}
            onChange={(length) => change({ length })}
          />
          <TextField label="Why" value={trouble.why} onChange={(why) => change({ why: why.slice(0, 400) })} />
        </Grid>
        <Text color="fg.muted">
          It is kept on this device, sent when the network is there, and stands in the form that closes the lay. A piece
          that must be cut again takes cloth from the ledger there.
        </Text>
        <HStack gap="3" justify="flex-end">
          <Button size="lg" variant="ghost" onClick={onCancel}>
            Cancel
          </Button>
          <Button size="lg" onClick={report}>
            Note it
          </Button>
        </HStack>
      </Stack>
    </Panel>
  );
}
