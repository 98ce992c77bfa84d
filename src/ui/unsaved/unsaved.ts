import { useEffect } from 'react';

/** Parts of the page that hold something which is not saved yet. */
const unsaved = new Set<object>();

/** Tells whether anything on the page would be lost with it. */
export const hasUnsaved = (): boolean => unsaved.size > 0;

/**
 * While something is unsaved, every way off a page asks first: the browser before it closes or loads another, and the application before a
 * link is followed or the browser goes back (`leave-guard.tsx`).
 */
export function useUnsaved(isUnsaved: boolean) {
  useEffect(() => {
    if (!isUnsaved) return;
    const own = {};
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    unsaved.add(own);
    window.addEventListener('beforeunload', ask);
    return () => {
      unsaved.delete(own);
      window.removeEventListener('beforeunload', ask);
    };
  }, [isUnsaved]);
}
