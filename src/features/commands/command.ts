import 'server-only';
import { revalidatePath } from 'next/cache';
import { unstable_rethrow } from 'next/navigation';
import { personAtDevice } from '@/features/people/device';
import { answering, failed, type Answer } from './answer';
import { requestOf } from './audit';
import { isPairedDevice } from './paired-device';
import { perform, type Command } from './perform';
import { mayRun, type CommandName } from './permission';

/**
 * Every change goes through here: permission, the command's rules, one transaction with its audit entry, begun again when it meets a
 * deadlock, and every page shown anew when it is kept. The same `requestId` twice does nothing twice: the second gets the first's answer.
 * Records are locked in one order: batches by id, then orders by id, then cloths.
 */
export async function runCommand<Input, T>(
  command: Command<Input, T>,
  input: unknown,
  requestId?: string,
): Promise<Answer<T>> {
  return answering(async () => {
    const wanted = command.read(input);
    if ('faults' in wanted) return { ok: false, faults: wanted.faults };
    const refusal = await refusalHere(command.name);
    if (refusal) return refusal;
    const person = await personAtDevice();
    const request = requestOf(requestId, command.name, input);
    const answer = await perform(command, wanted.value, { person, request, now: new Date() });
    if (answer.ok) revalidatePath('/', 'layout');
    return answer;
  }, unstable_rethrow);
}

/** The refusal of a command that may not be run from here, for an action that does more than the command before it; null where it may. */
export async function refusalHere(name: CommandName): Promise<Answer<never> | null> {
  const refusal = mayRun(name, await isPairedDevice());
  return refusal === null ? null : failed('', refusal, 'forbidden');
}
