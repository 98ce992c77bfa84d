/** An answer of JSON objects, one a line, each sent as soon as it is known; it ends with `work`, or when nobody listens any more. */
export function jsonLines<T>(request: Request, work: (tell: (value: T) => void) => Promise<void>): Response {
  const encoder = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      const tell = (value: T) => {
        if (!request.signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
      };
      try {
        await work(tell);
      } catch (error) {
        if (!request.signal.aborted) console.error(error);
      }
      if (!request.signal.aborted) controller.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
}
