'use client';

import type { Nm } from '@/core/length';
import { newId } from '@/features/commands/send';
import { noted } from '@/ui/kept/kept-sheet';
import { useKeptSheet } from '@/ui/kept/use-kept-sheet';
import { sayLostCheck, type CheckEntry, type CheckState, type FindingEntry } from '../check-entries';

/** The check of a line on this device: kept here, sent when the network is there. */
export function useCheck(lineId: number, initial: CheckState) {
  const {
    alter,
    look: lookAgain,
    ...device
  } = useKeptSheet<CheckState, CheckEntry>({
    key: `check ${lineId}`,
    url: `/api/checking/${lineId}`,
    initial,
    newId,
    sayLost: sayLostCheck,
  });
  const own = (cover: number, step = 0) => ({ entry: newId(), at: new Date().toISOString(), cover, step });
  return {
    ...device,
    lookAgain,
    look: (cover: number, n: number, measuredNm: Nm | null, isRight: boolean) =>
      alter((sheet) => noted(sheet, { ...own(cover, n), do: 'look', measuredNm, isRight })),
    find: (cover: number, finding: FindingEntry) =>
      alter((sheet) => noted(sheet, { ...own(cover, finding.look), do: 'find', ...finding })),
    close: (cover: number, finding: string) => alter((sheet) => noted(sheet, { ...own(cover), do: 'close', finding })),
    pass: (cover: number) => alter((sheet) => noted(sheet, { ...own(cover), do: 'pass' })),
  };
}
