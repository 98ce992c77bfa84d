/** Who may run a command: the desk (the workroom's own computer) alone, or a paired device on the network as well. */
type Place = 'desk' | 'device';

/**
 * Every command with the place that may run it; a command that is not named here does not compile. Devices do the work of the table and
 * the shelf: cutting, troubles, laying, counting, and the sizes of an order. Money, deleting, people, kinds and settings are the desk's.
 */
export const COMMAND_PLACES = {
  'save order': 'device',
  'copy order': 'device',
  'delete order': 'desk',
  'restore order': 'desk',
  'bring orders in': 'desk',
  'make batch': 'device',
  'take line out of batch': 'device',
  'make lays': 'device',
  'stop lays': 'device',
  'delete batch': 'desk',
  'approve batch': 'desk',
  'take approval back': 'desk',
  'change lay by hand': 'device',
  'keep ways': 'device',
  'take another way': 'device',
  'note cuts': 'device',
  'close lay': 'device',
  'mark batch cut': 'device',
  'cut piece again': 'device',
  'move covers': 'device',
  'step covers': 'device',
  'take move back': 'device',
  'hold covers': 'device',
  'begin run': 'device',
  'note sewing': 'device',
  'note minutes': 'device',
  'note checks': 'device',
  'choose recut': 'device',
  'note recut as cut': 'device',
  'keep finding photo': 'device',
  'end run': 'device',
  'save places': 'desk',
  'save hours': 'desk',
  'lock run': 'device',
  'hand over': 'device',
  'take delivery back': 'desk',
  'send lay to cutter': 'device',
  'note cutter state': 'device',
  'choose stock': 'device',
  'move stock': 'device',
  'count stock': 'device',
  'book count of the shelf': 'device',
  'use notion': 'device',
  'await goods': 'desk',
  'change awaited': 'desk',
  'set minutes aside': 'desk',
  'keep plan of day': 'device',
  receive: 'desk',
  'receive delivery': 'desk',
  'let stock go': 'desk',
  'reverse movement': 'desk',
  'save cloth': 'desk',
  'delete cloth': 'desk',
  'keep cloth photo': 'desk',
  'drop cloth photo': 'desk',
  'save notion': 'desk',
  'delete notion': 'desk',
  'make quote': 'desk',
  'edit quote': 'desk',
  'step quote': 'desk',
  'propose prices': 'desk',
  'decide on price': 'desk',
  'save machines': 'desk',
  'save workroom rules': 'desk',
  'save costing': 'desk',
  'save workroom address': 'desk',
  'save workroom logo': 'desk',
  'skip first hour': 'desk',
  'make backup': 'desk',
  'save kind': 'desk',
  'take kind in': 'desk',
  'withdraw kind': 'desk',
  'add person': 'desk',
  'remove person': 'desk',
  'show pairing code': 'desk',
  'revoke device': 'desk',
} as const satisfies Record<string, Place>;

export type CommandName = keyof typeof COMMAND_PLACES;

export const AT_THE_DESK = 'This is done at the desk: on the workroom’s own computer, not on a paired device.';

/** Why a command may not be run from here, or null when it may. `isDevice`: a paired device asks, not the desk. */
export const mayRun = (command: CommandName, isDevice: boolean): string | null =>
  isDevice && COMMAND_PLACES[command] === 'desk' ? AT_THE_DESK : null;

/**
 * Every file and page whose place is not obvious, by its route; `[x]` stands for one step of the address, `*` for all below. The first
 * that fits decides, and a route that fits none is a page that devices may read.
 */
const ROUTE_PLACES: readonly (readonly [route: string, place: Place])[] = [
  ['/api/archive', 'desk'],
  ['/api/backup', 'desk'],
  ['/api/papers/delivery/[id]', 'device'],
  ['/api/papers/[sort]/[id]', 'desk'],
  ['/api/workroom/logo', 'desk'],
  ['/api/orders/[id]/cost', 'desk'],
  ['/api/orders/import', 'desk'],
  ['/api/orders/sheet', 'desk'],
  ['/api/orders/template', 'desk'],
  ['/api/figures/[id]', 'desk'],
  ['/api/lists/[name]', 'desk'],
  ['/api/cloths/[id]/photo', 'desk'],
  ['/api/cloths/[id]/photo/[version]', 'device'],
  ['/api/customers', 'device'],
  ['/api/health', 'device'],
  ['/api/wall', 'device'],
  ['/api/room', 'device'],
  ['/api/sewing/[id]', 'device'],
  ['/api/days/*', 'device'],
  ['/api/checking/[line]', 'device'],
  ['/api/findings/*', 'device'],
  ['/api/batches/*', 'device'],
  ['/workroom', 'desk'],
  ['/workroom/*', 'desk'],
  ['/quotes/*', 'desk'],
  ['/orders/[id]/confirmation', 'desk'],
  ['/orders/[id]/cost', 'desk'],
  ['/orders/[id]/cost/*', 'desk'],
  ['/figures', 'desk'],
];

const patternOf = (route: string): RegExp => {
  const escaped = route.replace(/\[\w+\]/g, '[^/]+').replace('/*', '/.+');
  return new RegExp(`^${escaped}/?$`);
};
const PATTERNS = ROUTE_PLACES.map(([route, place]) => ({ pattern: patternOf(route), place }));

/** The place that may ask for an address, or null where the table does not name it. */
export const placeOf = (pathname: string): Place | null =>
  PATTERNS.find(({ pattern }) => pattern.test(pathname))?.place ?? null;
