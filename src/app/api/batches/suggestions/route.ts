import { suggest } from '@/features/batches/suggestions';

export const dynamic = 'force-dynamic';

/** What is worth cutting together, one JSON object a line, as each is found. Ends when all are known, or nobody listens. */
export function GET(request: Request) {
  const encoder = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      const tell = (value: unknown) => {
        if (!request.signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
      };
      try {
        await suggest(request.signal, tell);
      } catch (error) {
        if (!request.signal.aborted) console.error(error);
      }
      if (!request.signal.aborted) controller.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
}
