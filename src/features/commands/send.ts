import { failed, withNetworkFault, OFFLINE, type Answer } from './answer';

/** The most that an action takes (`serverActions.bodySizeLimit` in next.config.ts is a little more). */
const MOST_BYTES = 7_500_000;

/** Requests that were not answered yet, by the action: what they asked for, and under which id. */
const open = new Map<unknown, { asked: string; id: string }>();

/** A UUID (RFC 9562, version 4), also where the page is not in a secure context. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}

/** The id of a request: that of the same one before, where it was not answered. `key`: what is asked, like the action. */
export function requestFor(key: unknown, args: readonly unknown[]): string {
  const asked = JSON.stringify(args);
  const before = open.get(key);
  const id = before?.asked === asked ? before.id : newId();
  open.set(key, { asked, id });
  return id;
}

/** A request was answered, so the next one is another. */
export const answered = (key: unknown) => void open.delete(key);

type Action = (...all: never[]) => Promise<Answer<unknown>>;
/** Parameters of an action before the request id, its last one. */
type ArgumentsOf<F extends Action> = Required<Parameters<F>> extends [...infer Args, string] ? Args : never;

/**
 * Calls a server action with a request id as its last argument. Where the connection is lost before its answer, that is a fault like
 * others, and the same call again carries the same id, so that nothing is done twice.
 */
export async function send<F extends Action>(action: F, ...args: ArgumentsOf<F>): Promise<Awaited<ReturnType<F>>> {
  const tooLarge = JSON.stringify(args).length > MOST_BYTES;
  if (tooLarge)
    return failed(
      '',
      'This is more than can be sent at once: divide it, and save the parts one after the other.',
      'too-large',
    ) as Awaited<ReturnType<F>>;
  const id = requestFor(action, args);
  const answer = await withNetworkFault((action as unknown as (...all: unknown[]) => Promise<Answer>)(...args, id));
  if (answer.ok || answer.faults[0]?.code !== OFFLINE) answered(action);
  return answer as Awaited<ReturnType<F>>;
}
