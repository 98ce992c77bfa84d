'use client';

import dynamic from 'next/dynamic';
import { comingQuietly } from '../coming';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { hasUnsaved } from './unsaved';

const LeaveQuestion = dynamic(
  comingQuietly(() => import('./leave-question').then((file) => file.LeaveQuestion)),
  { ssr: false },
);

/** Asks before a link leads away from something that is not saved. */
export function LeaveGuard() {
  const router = useRouter();
  const [to, setTo] = useState<string | null>(null);
  useEffect(() => {
    const ask = (event: MouseEvent) => {
      const next = hasUnsaved() ? leadsTo(event) : null;
      if (next === null) return;
      // Before the link itself hears of it.
      event.preventDefault();
      event.stopPropagation();
      setTo(next);
    };
    document.addEventListener('click', ask, true);
    return () => document.removeEventListener('click', ask, true);
  }, []);
  if (to === null) return null;
  return (
    <LeaveQuestion
      onStay={() => setTo(null)}
      onLeave={() => {
        setTo(null);
        router.push(to);
      }}
    />
  );
}

/** The page of the application that a click leads to in place of this one; null where this one stays. */
function leadsTo(event: MouseEvent): string | null {
  if (event.defaultPrevented || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return null; // prettier-ignore
  const link = (event.target as Element | null)?.closest?.<HTMLAnchorElement>('a[href]');
  if (!link || link.hasAttribute('download') || (link.target !== '' && link.target !== '_self')) return null;
  const url = new URL(link.href, window.location.href);
  const isHere = url.pathname === window.location.pathname && url.search === window.location.search;
  if (url.origin !== window.location.origin || isHere || url.pathname.startsWith('/api/')) return null;
  return `${url.pathname}${url.search}${url.hash}`;
}
