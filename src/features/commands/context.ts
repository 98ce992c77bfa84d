import type { Transaction } from '@/db';
import type { Person } from '@/features/people/queries';

/** The kinds of records that commands change. */
export type Subject = 'order' | 'batch' | 'cloth' | 'material' | 'stock' | 'quote' | 'kind' | 'person' | 'settings';

/** Context of a command: who asked, in which transaction, and when. */
export interface CommandContext {
  /** Who is at the device; null where nobody has said. */
  person: Person | null;
  tx: Transaction;
  now: Date;
  /** Says that the record is about to change, once it is locked: the audit entry keeps it as it is now and as it will be. */
  changes: (subject: Subject, id: number) => Promise<void>;
  /** Says that the record has been made. */
  made: (subject: Subject, id: number) => void;
}
