import { createServer } from 'node:http';
import { createInterface } from 'node:readline';
import { WebSocketServer } from 'ws';
import { optionsOf } from './options';

// A stand-in for a digital tape: sends a measure to whoever listens on its WebSocket, as `{ sort: 'measure', value, unit }`, and says when
// its battery is low or it reads nothing, as `{ sort: 'fault', what }`. A measure is typed at its prompt or on its own page.

const options = optionsOf(
  { port: '4104', battery: '80' },
  `usage: npm run stand-in -- digital-tape [--port N] [--battery PER_CENT]
  Type "23 1/2 in", "59.7 cm", "597 mm", "low" or "error"; or use the page at http://127.0.0.1:N.`,
);
const port = Number(options.port);
type Unit = 'mm' | 'cm' | 'in';

type Message =
  | { sort: 'hello'; name: string; battery: number }
  | { sort: 'measure'; value: string; unit: Unit; battery: number }
  | { sort: 'fault'; what: 'battery low' | 'no reading' };

let battery = Number(options.battery);

/** The typed reading, as the message that goes out; null where it is neither. */
function messageOf(text: string): Message | null {
  const words = text.trim().toLowerCase();
  if (words === 'low') {
    battery = 5;
    return { sort: 'fault', what: 'battery low' };
  }
  if (words === 'error') return { sort: 'fault', what: 'no reading' };
  const found = /^(\d+(?:\.\d+)?|(?:\d+ )?\d+\/\d+)\s*(mm|cm|in)$/.exec(words);
  return found ? { sort: 'measure', value: found[1]!, unit: found[2] as Unit, battery } : null;
}

const page = `<!doctype html><meta charset="utf-8"><title>Stand-in tape</title><body style="font:18px system-ui;margin:32px">
<h1>Stand-in tape</h1><form method="post"><input name="text" aria-label="Measure" autofocus placeholder="23 1/2 in" style="font:inherit;padding:10px">
<button style="font:inherit;padding:10px">Measure</button></form><p>Or: low, error.</p>`;

const server = createServer((request, response) => {
  if (request.method !== 'POST') {
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' });
    return void response.end(page);
  }
  let body = '';
  request.on('data', (chunk: Buffer) => {
    body += chunk.toString('utf8');
    if (body.length > 1_000) request.destroy();
  });
  request.on('end', () => {
    const message = messageOf(new URLSearchParams(body).get('text') ?? '');
    if (message) send(message);
    response.writeHead(message ? 303 : 422, { location: '/' });
    response.end();
  });
});
const sockets = new WebSocketServer({ server });
sockets.on('connection', (socket) =>
  socket.send(JSON.stringify({ sort: 'hello', name: 'stand-in tape', battery } satisfies Message)),
);
const send = (message: Message) => sockets.clients.forEach((socket) => socket.send(JSON.stringify(message)));
createInterface({ input: process.stdin }).on('line', (line) => {
  const message = messageOf(line);
  if (message) send(message);
  else if (line.trim()) console.log('Type a length with its unit, "low" or "error".');
});
server.listen(port, '127.0.0.1', () =>
  console.log(`Stand-in tape: ws://127.0.0.1:${port}, its page at http://127.0.0.1:${port}`),
);
