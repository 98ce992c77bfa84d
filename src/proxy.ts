import { NextResponse, type NextRequest } from 'next/server';
import { AT_THE_DESK, placeOf } from './features/commands/permission';
import { contentPolicy, malformed, refusalOf } from './web/guard';

/** Stands before every page, file and action: who may talk to the application, and what its pages may load. */
export async function proxy(request: NextRequest) {
  let isRefused = false;
  const more = process.env.JOLLY_BOLT_HOSTS ?? '';
  const refusal = refusalOf(request.method, request.headers, more) ?? (await malformed(request));
  if (refusal) {
    const { status, message } = refusal;
    return Response.json({ ok: false, faults: [{ code: 'refused', field: '', message }] }, { status });
  }
  const isDevice = request.headers.has('x-jolly-bolt-device');
  if (isDevice && placeOf(request.nextUrl.pathname) === 'desk') {
    if (request.nextUrl.pathname.startsWith('/api/'))
      return Response.json(
        { ok: false, faults: [{ code: 'forbidden', field: '', message: AT_THE_DESK }] },
        { status: 403 },
      );
    isRefused = true;
  }
  const nonce = crypto.randomUUID().replaceAll('-', '');
  const policy = contentPolicy(nonce, process.env.NODE_ENV === 'development');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = isRefused
    ? NextResponse.rewrite(new URL('/at-the-desk', request.url), { request: { headers } })
    : NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}
