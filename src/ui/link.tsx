import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link to another page of the application. The page is asked for when the link is followed, not when it comes into view: every page is
 * made from the database anew, so fetching fourteen of them ahead cost the server three times what the page itself did (measured), and
 * gave nothing that a following click could use.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
