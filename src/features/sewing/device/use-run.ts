'use client';

import { newId } from '@/features/commands/send';
import { noted } from '@/ui/kept/kept-sheet';
import { useKeptSheet } from '@/ui/kept/use-kept-sheet';
import { runTicked, runUnticked, sayLostSewing, type RunEntry, type RunState } from '../run-entries';

/** A run on this device: kept here, sent when the network is there. */
export function useRun(runId: number, initial: RunState) {
  const { alter, ...device } = useKeptSheet<RunState, RunEntry>({
    key: `sewing-run ${runId}`,
    url: `/api/sewing/${runId}`,
    initial,
    newId,
    sayLost: sayLostSewing,
  });
  const at = () => new Date().toISOString();
  return {
    ...device,
    tick: (step: number, covers: readonly number[], answer: 'yes' | null) =>
      alter((sheet) => runTicked(sheet, step, covers, answer, newId(), at())),
    untick: (step: number, covers: readonly number[]) =>
      alter((sheet) => runUnticked(sheet, step, covers, newId(), at())),
    noteSetting: (setting: { clothId: number; tension: string; stitch: string; note: string }) =>
      alter((sheet) => noted(sheet, { do: 'setting', entry: newId(), step: 0, at: at(), ...setting })),
    startClock: (step: number) => alter((sheet) => noted(sheet, { do: 'start', entry: newId(), step, at: at() })),
    stopClock: (step: number) => alter((sheet) => noted(sheet, { do: 'stop', entry: newId(), step, at: at() })),
  };
}
