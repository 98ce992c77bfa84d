import { createServer as createHttp } from 'node:http';
import { createServer } from 'node:net';
import { optionsOf } from './options';

// A stand-in for a label printer: takes what is sent over raw TCP, one document a connection (PDF or SVG), and shows what it printed on
// a page of its own, one port further.

const MOST_BYTES = 30_000_000;
const MOST_KEPT = 20;

const options = optionsOf(
  { port: '4102', behave: 'well' },
  `usage: npm run stand-in -- label-printer [--port N] [--behave well|stalls|dies]
  What it printed is shown at http://127.0.0.1:(N + 1).`,
);
const port = Number(options.port);

interface Printed {
  at: Date;
  type: 'application/pdf' | 'image/svg+xml' | 'unknown';
  bytes: Buffer;
}
const printed: Printed[] = [];

const typeOf = (bytes: Buffer): Printed['type'] => {
  const head = bytes.subarray(0, 400).toString('latin1');
  return head.startsWith('%PDF-') ? 'application/pdf' : /<svg[\s>]/.test(head) ? 'image/svg+xml' : 'unknown';
};

createServer({ allowHalfOpen: true }, (socket) => {
  if (options.behave === 'dies') process.exit(1);
  const chunks: Buffer[] = [];
  let bytes = 0;
  socket.on('error', () => socket.destroy());
  if (options.behave === 'stalls') return void socket.pause();
  socket.on('data', (chunk) => {
    bytes += chunk.length;
    if (bytes > MOST_BYTES) socket.destroy();
    else chunks.push(chunk);
  });
  socket.on('end', () => {
    const all = Buffer.concat(chunks);
    const type = typeOf(all);
    if (type !== 'unknown') printed.push({ at: new Date(), type, bytes: all });
    if (printed.length > MOST_KEPT) printed.shift();
    console.log(type === 'unknown' ? 'got something that is no label' : `printed ${all.length} bytes of ${type}`);
    socket.end();
  });
}).listen(port, '127.0.0.1', () =>
  console.log(`Stand-in label printer: 127.0.0.1:${port}, its prints at http://127.0.0.1:${port + 1}`),
);

createHttp((request, response) => {
  const one = printed[Number(/^\/(\d+)$/.exec(request.url ?? '')?.[1] ?? -1)];
  if (one) {
    response.writeHead(200, {
      'content-type': one.type,
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    });
    return void response.end(one.bytes);
  }
  response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' });
  response.end(`<!doctype html><meta charset="utf-8"><title>Stand-in label printer</title><body style="font:16px system-ui;margin:32px">
<h1>Stand-in label printer</h1><p>${printed.length} printed.</p>
${printed
  .map(
    ({ at, type }, i) =>
      `<p>${at.toLocaleTimeString('en-GB')} ${type}</p><embed src="/${i}" type="${type}" width="700" height="420">`,
  )
  .reverse()
  .join('')}`);
}).listen(port + 1, '127.0.0.1');
