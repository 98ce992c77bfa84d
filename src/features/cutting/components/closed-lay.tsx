'use client';

import { Button, Grid, HStack, Stack } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Nm } from '@/core/length';
import type { Fault } from '@/core/result';
import { SPLIT_PARTS } from '@/core/stock';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { longLength } from '@/ui/words';
import { recutPiece } from '../actions';
import { NOT_ON_SHELF } from '../form';
import type { CuttingView } from '../queries';

const PART_NAMES: Record<(typeof SPLIT_PARTS)[number], string> = {
  pieces: 'Pieces and strips',
  remnant: 'Remnants kept',
  offcut: 'Offcuts',
  selvage: 'Selvages',
  pattern: 'For the pattern',
  flaw: 'Flaws',
};

/** The length of a chosen piece, unless somebody has typed another than that of the piece before. */
export const proposed = (
  parts: CuttingView['parts'],
  { part, length }: { part: string; length: string },
  next: string,
): string => {
  const of = (id: string) => parts.find((one) => one.id === id)?.length ?? '';
  return length === '' || length === of(part) ? of(next) : length;
};

/** Where the cloth went: the parts add up to what was used. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom
export function ClosedLay({ view }: { view: CuttingView }) {
  const { outcome, units, parts, batch, clothId, lengths } = view;
  const router = useRouter();
  const [recut, setRecut] = useState<{ part: string; itemId: string; length: string; why: string } | null>(null);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  useUnsaved(recut !== null && (recut.part !== '' || recut.length !== '' || recut.why !== '') && !isBusy);
  const text = (length: Nm) => <Fractions>{longLength(length, units)}</Fractions>;
  const items = outcome?.items ?? [];
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const book = () =>
    start(async () => {
      const { part, itemId, length, why } = recut!;
      const answer = await send(recutPiece, {
        batchId: batch.id,
        clothId,
        part,
        itemId: itemId === NOT_ON_SHELF ? null : Number(itemId),
        length,
        why,
      });
      if (!answer.ok) return setFaults(answer.faults);
      setRecut(null);
      setFaults([]);
      toaster.create({ title: 'The recut is booked, and shows on its order.', type: 'success' });
      router.refresh();
    });
  return (
    <Stack gap="5">
      <Panel
        title="Where the cloth went"
        aside={
          <Button
            size="sm"
            variant="outline"
            onClick={() => setRecut(recut ? null : { part: '', itemId: NOT_ON_SHELF, length: '', why: '' })}
          >
            A piece must be cut again
          </Button>
        }
      >
        <table className="rows" aria-label="Where the cloth went">
          <thead>
            <tr>
              <th scope="col" />
              {items.map(({ code }) => (
                <th key={code} scope="col" className="number">
                  {code === 'roll' ? 'new cloth' : code}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {SPLIT_PARTS.filter((name) => items.some(({ split }) => split[name] > 0)).map((name) => (
              <tr key={name}>
                <td>{PART_NAMES[name]}</td>
                {items.map(({ code, split }) => (
                  <td key={code} className="number nowrap">
                    {text(split[name])}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="sum">
              <td>Used as planned</td>
              {items.map(({ code, usedNm }) => (
                <td key={code} className="number nowrap">
                  {text(usedNm)}
                </td>
              ))}
            </tr>
            {items.some(({ moreNm }) => moreNm > 0) && (
              <tr>
                <td>Beyond the plan</td>
                {items.map(({ code, moreNm }) => (
                  <td key={code} className={moreNm > 0 ? 'number nowrap late' : 'number nowrap'}>
                    {text(moreNm)}
                  </td>
                ))}
              </tr>
            )}
          </tbody>
        </table>
      </Panel>
      {recut && (
        <Panel title="Cut a piece again">
          {errorAt('') && <Notice level="stop">{errorAt('')}</Notice>}
          <HStack gap="4" align="flex-start">
            <Grid flex="1" templateColumns="repeat(auto-fit, minmax(180px, 1fr))" gap="4">
              <Choice
                label="Piece"
                value={recut.part}
                choices={[{ id: '', label: 'choose it' }, ...parts]}
                error={errorAt('part')}
                onChange={(part) => setRecut({ ...recut, part, length: proposed(parts, recut, part) })}
              />
              <Choice
                label="From"
                value={recut.itemId}
                error={errorAt('itemId')}
                choices={[
                  { id: NOT_ON_SHELF, label: 'cloth that is not kept on the shelf' },
                  ...(lengths[0]?.choices ?? []).map(({ id, code, leftNm }) => ({
                    id: String(id),
                    label: `${code}, ${longLength(leftNm, units)} left`,
                  })),
                ]}
                onChange={(itemId) => setRecut({ ...recut, itemId })}
              />
              <LengthField
                label="Length"
                units={units}
                value={recut.length}
                hint="length along the bolt"
                error={errorAt('length')}
                onChange={(length) => setRecut({ ...recut, length })}
              />
              <TextField
                label="Why"
                value={recut.why}
                error={errorAt('why')}
                onChange={(why) => setRecut({ ...recut, why })}
              />
            </Grid>
            <Button mt="7" onClick={book} loading={isBusy}>
              Book the recut
            </Button>
          </HStack>
        </Panel>
      )}
    </Stack>
  );
}
