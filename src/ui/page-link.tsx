import { Button } from '@chakra-ui/react';
import { Link } from '@/ui/link';
import type { ReactNode } from 'react';

/** A button to the page before or after; still there, but dead, where there is none. */
export const PageLink = ({ href, children }: { href: string | null; children: ReactNode }) =>
  href === null ? (
    <Button variant="ghost" disabled>
      {children}
    </Button>
  ) : (
    <Button asChild variant="ghost">
      <Link href={href}>{children}</Link>
    </Button>
  );
