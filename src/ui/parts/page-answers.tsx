'use client';

import { useEffect } from 'react';
import { PAGE_PARTS } from './page-parts';

/** Tells the page’s window that the page answers. */
export function PageAnswers() {
  useEffect(() => void window.dispatchEvent(new Event(PAGE_PARTS.alive)), []);
  return null;
}
