import 'server-only';
import { answering, failed, gone, type Answer } from '@/features/commands/answer';
import { refusalHere, runCommand } from '@/features/commands/command';
import { isId } from '@/features/commands/ids';
import { newQuote } from './commands';
import { quoteSheet } from './queries';

/** Makes a draft from what the order would cost alone at today's prices. It is calculated before the transaction, since a lay may be needed. */
export async function makeQuote(orderId: unknown, requestId?: string): Promise<Answer<{ id: number }>> {
  return answering(async () => {
    const refusal = await refusalHere('make quote');
    if (refusal) return refusal;
    if (!isId(orderId)) return gone('order');
    const found = await quoteSheet(orderId as number);
    if ('message' in found) return failed('', found.message);
    const { sheet } = found;
    if (sheet.lines.length === 0) return failed('', 'There is nothing in this order that has a price yet.');
    return runCommand(newQuote(orderId as number, sheet), { orderId }, requestId);
  });
}
