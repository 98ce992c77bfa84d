import type { Person } from '@/features/people/queries';

/**
 * Why a person may not run a command, or null when they may. Everybody may do everything for now; accounts will decide here.
 */
export const mayRun = (_command: string, _person: Person | null): string | null => null;
