'use client';

import { Button, Flex, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import type { ReactNode } from 'react';

/** Style of a sheet among many: one out of the window is laid out once it comes into it, so that fifty sheets are there as soon as one. */
export const OFF_SCREEN = { contentVisibility: 'auto', containIntrinsicSize: 'auto 1100px' };

/** Above what is to be printed, and not on the paper: the way back, the button, and how it comes out. */
export function PrintBar({
  back,
  backTo,
  print,
  about,
  isComing = false,
}: {
  back: string;
  backTo: string;
  print: string;
  about: string;
  /** Something of it is still on its way: it can't be printed yet. */
  isComing?: boolean;
}) {
  return (
    <Flex className="no-print" gap="3" rowGap="2" mb="5" align="center" wrap="wrap">
      <Button asChild variant="ghost">
        <Link href={backTo}>{back}</Link>
      </Button>
      <Button onClick={() => window.print()} loading={isComing} loadingText={print}>
        <Printer size={18} /> {print}
      </Button>
      <Text color="fg.muted">{about}</Text>
    </Flex>
  );
}

/** Prints the page as it stands. */
export const PrintButton = ({ children }: { children: ReactNode }) => (
  <Button variant="outline" onClick={() => window.print()}>
    <Printer size={18} /> {children}
  </Button>
);
