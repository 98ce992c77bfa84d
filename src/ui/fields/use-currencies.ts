import { useEffect, useState } from 'react';
import { currencies, currencyLabel } from '@/core/cost';

interface CurrencyChoice {
  id: string;
  label: string;
}

/**
 * All currencies as choices. The server and the browser may know different ones and name them otherwise, so a page begins with the one that
 * is chosen and gets the others once it is in the browser.
 */
export function useCurrencies(chosen: string): CurrencyChoice[] {
  const [all, setAll] = useState<CurrencyChoice[]>([]);
  // eslint-disable-next-line react-hooks/set-state-in-effect -- the browser's own list is known only after hydration
  useEffect(() => setAll(currencies().map((id) => ({ id, label: currencyLabel(id) }))), []);
  return all.some(({ id }) => id === chosen) ? all : [{ id: chosen, label: chosen }, ...all];
}
