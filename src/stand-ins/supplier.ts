import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { setTimeout as sleep } from 'node:timers/promises';
import { optionsOf } from './options';

// A stand-in for a supplier: its price and stock list over HTTP (docs/formats/prices.md), late, wrong or old where that is asked for.

const options = optionsOf(
  { port: '4105', delay: '0', behave: 'well', list: '' },
  `usage: npm run stand-in -- supplier [--port N] [--delay MS] [--behave well|stale|fails|nonsense|stalls] [--list FILE]
  --behave  stale: the list is 90 days old; fails: every second answer is an error
  --list    a list of one's own, as JSON`,
);

const DAY_MS = 24 * 3600 * 1000;
const day = (daysAgo: number) => new Date(Date.now() - daysAgo * DAY_MS).toISOString().slice(0, 10);

/** A made-up list, for the cloths and notions of the demo workroom. */
const usual = () => ({
  format: 'jolly-bolt/prices',
  version: 1,
  supplier: 'Loom Lane Mill',
  asOf: day(options.behave === 'stale' ? 90 : 0),
  currency: 'GBP',
  articles: [
    { article: 'LL-104', name: 'Towpath ticking', price: '15.20', per: 'yd', inStock: 38, unit: 'yd' },
    { article: 'LL-117', name: 'Winding wheel', price: '21.75', per: 'yd', inStock: 6.5, unit: 'yd' },
    { article: 'LL-121', name: 'Heron reed', price: '17.40', per: 'yd', inStock: 0, unit: 'yd' },
    { article: 'LL-300', name: 'Loft batting', price: '5.90', per: 'yd', inStock: 52, unit: 'yd' },
    { article: 'LL-902', name: 'Something nobody here uses', price: '3.00', per: 'piece' },
  ],
});

let asked = 0;
createServer((request, response) => {
  const answer = (status: number, body: string) => {
    response.writeHead(status, { 'content-type': 'application/json' });
    response.end(body);
  };
  void (async () => {
    if (options.behave === 'stalls') return;
    await sleep(Number(options.delay));
    if (request.method !== 'GET' || !['/prices', '/'].includes(request.url ?? '')) return answer(404, '{}');
    if (options.behave === 'nonsense') return answer(200, '{"prices": "yes"');
    if (options.behave === 'fails' && asked++ % 2 === 0) return answer(503, '{"error": "The list is being made."}');
    answer(200, options.list ? readFileSync(options.list, 'utf8') : JSON.stringify(usual(), null, 1));
  })();
}).listen(Number(options.port), '127.0.0.1', () =>
  console.log(`Stand-in supplier: http://127.0.0.1:${options.port}/prices`),
);
