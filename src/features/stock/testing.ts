import type { CatalogueEntry } from './form';

// For tests: what the catalogue says of an item.

/** A cloth sold by the yard, unless `rest` says otherwise. */
export const catalogueEntry = (key: string, name: string, rest: Partial<CatalogueEntry> = {}): CatalogueEntry => ({
  key,
  name,
  units: 'in',
  sort: 'roll',
  packSize: 1,
  currency: 'GBP',
  pricePer: 'yd',
  width: '54',
  selvageLeft: '1/2',
  selvageRight: '1/2',
  price: '12.00',
  supplier: 'Loom Lane',
  ...rest,
});
