'use server';

import type { HandEvent, Hold, Place } from '@/core/making';
import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';

export async function moveToPlace(
  coverIds: number[],
  place: string,
  requestId?: string,
): Promise<Answer<{ moved: number }>> {
  return runCommand(commands.moveToPlace, { coverIds, place }, requestId);
}

export async function stepCovers(
  coverIds: number[],
  event: HandEvent,
  note: string,
  requestId?: string,
): Promise<Answer<{ moved: number }>> {
  return runCommand(commands.stepCovers, { coverIds, event, note }, requestId);
}

export async function takeMoveBack(coverIds: number[], requestId?: string): Promise<Answer<{ moved: number }>> {
  return runCommand(commands.takeMoveBack, { coverIds }, requestId);
}

export async function holdCovers(
  coverIds: number[],
  hold: Hold | null,
  why: string,
  requestId?: string,
): Promise<Answer<{ held: number }>> {
  return runCommand(commands.holdCovers, { coverIds, hold, why }, requestId);
}

export async function savePlaces(places: Place[], requestId?: string): Promise<Answer<{ places: number }>> {
  return runCommand(commands.savePlaces, { places }, requestId);
}

export async function handOver(
  delivery: { orderId: number; coverIds: number[]; day: string; toWhom: string; note: string },
  requestId?: string,
): Promise<Answer<{ id: number }>> {
  return runCommand(commands.handOver, delivery, requestId);
}

export async function takeDeliveryBack(id: number, why: string, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.takeDeliveryBack, { id, why }, requestId);
}
