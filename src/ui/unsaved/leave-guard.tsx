'use client';

import dynamic from 'next/dynamic';
import { quietLazyPart } from '../parts/lazy-part';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { hasUnsaved } from './unsaved';

const LeaveQuestion = dynamic(
  quietLazyPart(() => import('./leave-question').then((file) => file.LeaveQuestion)),
  { ssr: false },
);

/** Asks before a link, or the browser's own way back or on, leads away from something that is not saved. */
export function LeaveGuard() {
  const router = useRouter();
  const [way, setWay] = useState<{ leave: () => void } | null>(null);
  /** The entry of the browser's history that is gone to although something is not saved. */
  const meant = useRef('');
  useEffect(() => {
    const ask = (event: MouseEvent) => {
      const next = hasUnsaved() ? leadsTo(event) : null;
      if (next === null) return;
      // Before the link itself hears of it.
      event.preventDefault();
      event.stopPropagation();
      setWay({ leave: () => router.push(next) });
    };
    // Browsers without it go back unasked, and so does one that was stopped and then told again at once: it can't be held on a page.
    const history = 'navigation' in window ? window.navigation : null;
    const askBack = (event: NavigateEvent) => {
      const { key } = event.destination;
      if (event.navigationType !== 'traverse' || !event.cancelable || !hasUnsaved()) return;
      const isMeant = key === meant.current;
      meant.current = '';
      if (isMeant) return;
      event.preventDefault();
      const leave = () => {
        meant.current = key;
        history!.traverseTo(key);
      };
      setWay({ leave });
    };
    document.addEventListener('click', ask, true);
    history?.addEventListener('navigate', askBack);
    return () => {
      document.removeEventListener('click', ask, true);
      history?.removeEventListener('navigate', askBack);
    };
  }, [router]);
  if (way === null) return null;
  return (
    <LeaveQuestion
      onStay={() => setWay(null)}
      onLeave={() => {
        setWay(null);
        way.leave();
      }}
    />
  );
}

/** The page of the application that a click leads to in place of this one; null where this one stays. */
function leadsTo(event: MouseEvent): string | null {
  if (event.defaultPrevented || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
    return null;
  const link = (event.target as Element | null)?.closest?.<HTMLAnchorElement>('a[href]');
  if (!link || link.hasAttribute('download') || (link.target !== '' && link.target !== '_self')) return null;
  const url = new URL(link.href, window.location.href);
  const isHere = url.pathname === window.location.pathname && url.search === window.location.search;
  if (url.origin !== window.location.origin || isHere || url.pathname.startsWith('/api/')) return null;
  return `${url.pathname}${url.search}${url.hash}`;
}
