'use client';

import { newId } from '@/features/commands/send';
import { useKeptSheet, type Network } from '@/ui/kept/use-kept-sheet';
import { closedFor, sayLost, ticked, troubled, unticked, type CutEntry, type SheetState, type Trouble } from '../ticks';

export type { Network };

/** The sheet of a lay on this device: kept here, sent when the network is there. */
export function useCutSheet(batchId: number, clothId: number, initial: SheetState) {
  const { alter, isStale, ...device } = useKeptSheet<SheetState, CutEntry>({
    key: `cutting-sheet ${batchId}/${clothId}`,
    url: `/api/batches/${batchId}/cutting/${clothId}`,
    initial,
    newId,
    sayLost,
  });
  const at = () => new Date().toISOString();
  return {
    ...device,
    closed: isStale
      ? 'This page is of an earlier lay; open it again when the network is there.'
      : closedFor(device.sheet),
    tick: (step: number) => alter((sheet) => ticked(sheet, step, newId(), at())),
    untick: (step: number) => alter((sheet) => unticked(sheet, step, newId(), at())),
    report: (step: number, trouble: Trouble) => alter((sheet) => troubled(sheet, step, trouble, newId(), at())),
  };
}
