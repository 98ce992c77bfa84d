import type { ReceiveForm } from '@/features/stock/form';

/** What came, as somebody would type it: a bolt of the test's cloth (54 in wide), 20 yd long, at £10 a yard. */
export const receipt = (cloth: number, rest: Partial<ReceiveForm> = {}): ReceiveForm => ({
  what: `cloth ${cloth}`,
  lot: '3',
  width: '54',
  selvageLeft: '1/2',
  selvageRight: '1/2',
  length: '20 yd',
  count: '1',
  motifAcross: '',
  motifAlong: '',
  flaws: [],
  outline: '',
  place: 'rack 2',
  supplier: 'Loom Lane',
  price: '10',
  notes: '',
  ...rest,
});
