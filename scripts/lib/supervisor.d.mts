import type { ChildProcess } from 'node:child_process';

export function pauseAfter(ends: number): number;
export function wasWell(begun: number): boolean;
export class Supervised {
  constructor(options: { name: string; start: () => ChildProcess; say: (text: string) => void });
  run(): void;
  replace(): void;
  stop(): Promise<void>;
}
export function logStream(stream: NodeJS.ReadableStream, file: string, also?: NodeJS.WritableStream): void;
