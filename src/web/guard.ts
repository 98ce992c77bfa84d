/** Names by which the application is reached without anybody having asked for more. */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);
const READS = new Set(['GET', 'HEAD']);

export interface Refusal {
  status: 400 | 403 | 421;
  message: string;
}

/** The name and the port of a Host or an Origin, or null where it is neither. */
function parsed(text: string): URL | null {
  try {
    return new URL(text);
  } catch {
    return null;
  }
}

/**
 * Why a request is not answered, or null when it is. A page on another site whose name leads here (DNS rebinding) has another Host;
 * what changes anything must come from a page of this very host and scheme, as its Origin says (`x-forwarded-proto` says the scheme). `more`: further names, with commas between them.
 */
export function refusalOf(method: string, headers: Pick<Headers, 'get'>, more: string): Refusal | null {
  const host = parsed(`http://${headers.get('host') ?? ''}`);
  if (!host || host.pathname !== '/' || host.username !== '' || host.search !== '')
    return { status: 400, message: 'The request does not say which host it is for.' };
  const names = new Set([
    ...LOOPBACK,
    ...more
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
  ]);
  if (!names.has(host.hostname))
    return { status: 421, message: 'This application is not reached by that name; see --host in its README.' };
  if (READS.has(method)) return null;
  const given = headers.get('origin');
  if (given === null) return { status: 403, message: 'A change must come from a page of this application.' };
  const scheme = headers.get('x-forwarded-proto') === 'https' ? 'https:' : 'http:';
  const origin = parsed(given);
  if (!origin || (origin.protocol !== 'http:' && origin.protocol !== 'https:') || origin.origin !== given)
    return { status: 400, message: 'The origin of the request is none.' };
  if (origin.protocol !== scheme || origin.host !== headers.get('host')?.toLowerCase())
    return { status: 403, message: 'This comes from another site and is not taken.' };
  return null;
}

/** Why the address or the body of a request can't be read, or null when they can. What is asked of a page is one of its actions. */
export async function malformed(request: Request): Promise<Refusal | null> {
  const { pathname } = new URL(request.url);
  try {
    decodeURIComponent(pathname);
  } catch {
    return { status: 400, message: 'The address can’t be read.' };
  }
  if (READS.has(request.method) || pathname.startsWith('/api/')) return null;
  if (!/^[0-9a-f]{40,64}$/.test(request.headers.get('next-action') ?? ''))
    return { status: 400, message: 'A page is only read; a change is one of its actions.' };
  const type = request.headers.get('content-type') ?? '';
  if (type.startsWith('multipart/form-data') && /boundary=/.test(type)) return null;
  try {
    JSON.parse(await request.clone().text());
    return null;
  } catch {
    return { status: 400, message: 'The body of the request can’t be read.' };
  }
}

/**
 * The Content-Security-Policy of a page: scripts only by this page's own nonce and what they load themselves, everything else from
 * here; nobody may frame it. Styles are written into the page by the style library, so they may stand inline.
 */
export const contentPolicy = (nonce: string, isDevelopment: boolean): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    // A digital tape hangs on the device itself, and speaks through a socket there.
    `connect-src 'self' ws://127.0.0.1:* ws://localhost:*${isDevelopment ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-src 'none'",
    "frame-ancestors 'none'",
  ].join('; ');
