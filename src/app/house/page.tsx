import { Button, Stack } from '@chakra-ui/react';
import { format } from 'date-fns';
import type { Metadata } from 'next';
import Link from 'next/link';
import { BackupPanel } from '@/rooms/house/components/backup-panel';
import { HouseRulesForm } from '@/rooms/house/components/house-rules';
import { OwnKinds } from '@/rooms/house/components/own-kinds';
import { houseRules, lastBackup, listOwnKinds } from '@/rooms/house/queries';
import { newestBackup } from '@/work/backup';
import { PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'House' };

const sizeText = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} KB` : `${(bytes / 1e6).toFixed(1)} MB`;

export default async function HousePage() {
  const [rules, kinds, last] = await Promise.all([houseRules(), listOwnKinds(), lastBackup()]);
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
        <BackupPanel
          last={last && { at: format(last.at, "EEEE d MMMM yyyy 'at' HH:mm"), size: sizeText(last.bytes) }}
          canTake={newestBackup() !== null}
        />
      </Stack>
    </>
  );
}
