import { Button, Stack } from '@chakra-ui/react';
import type { Metadata } from 'next';
import Link from 'next/link';
import { HouseRulesForm } from '@/rooms/house/components/house-rules';
import { OwnKinds } from '@/rooms/house/components/own-kinds';
import { houseRules, listOwnKinds } from '@/rooms/house/queries';
import { PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'House' };

export default async function HousePage() {
  const [rules, kinds] = await Promise.all([houseRules(), listOwnKinds()]);
  return (
    <>
      <PageHead title="House" about="What new orders start with, and the covers that only this house makes">
        <Button asChild variant="outline">
          <Link href="/guide">Measure guide</Link>
        </Button>
      </PageHead>
      <Stack gap="5">
        <HouseRulesForm initial={rules} />
        <OwnKinds kinds={kinds} />
      </Stack>
    </>
  );
}
