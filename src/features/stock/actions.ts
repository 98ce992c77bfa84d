'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { awaitGoods as awaitGoodsCommand, changeAwaited as changeAwaitedCommand } from './awaited';
import * as commands from './commands';
import type { ReceiveForm } from './form';

export async function receive(form: ReceiveForm, requestId?: string): Promise<Answer<{ id: number; code: string }>> {
  return runCommand(commands.receive, form, requestId);
}

export async function receiveDelivery(rows: ReceiveForm[], requestId?: string): Promise<Answer<{ items: number }>> {
  return runCommand(commands.receiveDelivery, { rows }, requestId);
}

export async function moveItem(id: number, place: string, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.moveItem, { id, place }, requestId);
}

export async function countItem(
  id: number,
  amount: string,
  reason: string,
  requestId?: string,
): Promise<Answer<{ difference: number }>> {
  return runCommand(commands.countItem, { id, amount, reason }, requestId);
}

export async function bookCount(
  rows: { id: number; amount: string; seen: number }[],
  reason: string,
  requestId?: string,
): Promise<Answer<{ items: number }>> {
  return runCommand(commands.bookCount, { rows, reason }, requestId);
}

export async function letGo(id: number, reason: string, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.letGo, { id, reason }, requestId);
}

export async function useNotion(
  id: number,
  amount: string,
  orderNo: string,
  reason: string,
  requestId?: string,
): Promise<Answer<null>> {
  return runCommand(commands.useNotion, { id, amount, orderNo, reason }, requestId);
}

export async function reverseMovement(id: number, reason: string, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.reverseMovement, { id, reason }, requestId);
}

export async function chooseStock(
  choice: { batchId: number; clothId: number; pinned: number[]; leftOut: number[]; isLotMixed: boolean },
  requestId?: string,
): Promise<Answer<null>> {
  return runCommand(commands.chooseStock, choice, requestId);
}

export async function awaitGoods(
  what: string,
  quantity: number,
  day: string,
  note: string,
  requestId?: string,
): Promise<Answer<{ id: number }>> {
  return runCommand(awaitGoodsCommand, { what, quantity, day, note }, requestId);
}

export async function changeAwaited(id: number, day: string | null, requestId?: string): Promise<Answer<null>> {
  return runCommand(changeAwaitedCommand, { id, day }, requestId);
}
