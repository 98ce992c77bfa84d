import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';

/** Under this name the device remembers the address of the tape that hangs on it. */
const KEY = 'jolly-bolt-tape';
const CHANGED = 'jolly-bolt-tape';
/** A tape that does not answer is tried again after so long, a little later each time. */
const AGAIN_MS = [1_000, 2_000, 5_000, 15_000, 30_000];

/** The address of the tape of this device; empty where it has none. */
export function useTapeAddress(): [address: string, set: (address: string) => void] {
  const listen = useCallback((changed: () => void) => {
    window.addEventListener(CHANGED, changed);
    window.addEventListener('storage', changed);
    return () => {
      window.removeEventListener(CHANGED, changed);
      window.removeEventListener('storage', changed);
    };
  }, []);
  const address = useSyncExternalStore(listen, read, () => '');
  const set = useCallback((next: string) => {
    try {
      if (next) localStorage.setItem(KEY, next);
      else localStorage.removeItem(KEY);
    } catch {
      // A device that keeps nothing has no tape either.
    }
    window.dispatchEvent(new Event(CHANGED));
  }, []);
  return [address, set];
}

function read(): string {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
}

interface TapeState {
  isThere: boolean;
  /** Per cent; null where it does not say. */
  battery: number | null;
}

/** A reading of a tape. */
export type TapeWord = { sort: 'measure'; text: string } | { sort: 'fault'; what: 'battery low' | 'no reading' };

/** A message of a tape; null where it can't be read. */
export function readTape(data: unknown): { word: TapeWord | null; battery: number | null } | null {
  if (typeof data !== 'string' || data.length > 1_000) return null;
  let said: Record<string, unknown>;
  try {
    said = JSON.parse(data) as Record<string, unknown>;
  } catch {
    return null;
  }
  if (said === null || typeof said !== 'object') return null;
  const battery = typeof said.battery === 'number' && said.battery >= 0 && said.battery <= 100 ? said.battery : null;
  const { sort, value, unit, what } = said;
  if (sort === 'hello') return { word: null, battery };
  if (
    sort === 'measure' &&
    typeof value === 'string' &&
    /^[\d ./]{1,20}$/.test(value) &&
    (unit === 'mm' || unit === 'cm' || unit === 'in')
  )
    return { word: { sort, text: `${value} ${unit}` }, battery };
  if (sort === 'fault' && (what === 'battery low' || what === 'no reading')) return { word: { sort, what }, battery };
  return null;
}

/** Listens to the tape at an address as long as the page is there; a tape that is away is tried again, ever more rarely. */
export function useTape(address: string, onWord: (word: TapeWord) => void): TapeState {
  const [state, setState] = useState<TapeState>({ isThere: false, battery: null });
  const handler = useRef(onWord);
  useEffect(() => {
    handler.current = onWord;
  });
  useEffect(() => {
    if (!address) return;
    let socket: WebSocket | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let tries = 0;
    let isOver = false;
    const open = () => {
      try {
        socket = new WebSocket(address);
      } catch {
        return;
      }
      socket.onopen = () => {
        tries = 0;
        setState({ isThere: true, battery: null });
      };
      socket.onmessage = ({ data }) => {
        const said = readTape(data);
        if (!said) return;
        if (said.battery !== null) setState({ isThere: true, battery: said.battery });
        if (said.word) handler.current(said.word);
      };
      socket.onclose = () => {
        if (isOver) return;
        setState({ isThere: false, battery: null });
        timer = setTimeout(open, AGAIN_MS[Math.min(tries++, AGAIN_MS.length - 1)]);
      };
    };
    open();
    return () => {
      isOver = true;
      clearTimeout(timer);
      socket?.close();
      setState({ isThere: false, battery: null });
    };
  }, [address]);
  return state;
}

/** Puts a measure into the length field that has the focus, as if it were typed; false where none has. */
export function putIntoField(text: string): boolean {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement) || field.dataset.length === undefined || field.disabled || field.readOnly)
    return false;
  // React hears of a value only through the element's own setter and an input event.
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.select();
  return true;
}
