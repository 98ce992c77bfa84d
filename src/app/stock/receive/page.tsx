import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { queryText } from '@/features/commands/texts';
import { catalogue } from '@/features/stock/queries';
import { ReceiveFormView } from '@/features/stock/components/receive-form';
import { EmptyState } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Receive' };

export default async function ReceivePage({ searchParams }: { searchParams: Promise<{ what?: string | string[] }> }) {
  const what = queryText((await searchParams).what);
  const entries = await catalogue();
  if (entries.length === 0)
    return (
      <EmptyState
        title="Nothing is in the catalogue yet"
        action={
          <Button asChild>
            <Link href="/cloth/new">New cloth</Link>
          </Button>
        }
      >
        Write down a cloth first; then its bolts can be booked in.
      </EmptyState>
    );
  return <ReceiveFormView entries={entries} first={entries.find(({ key }) => key === what) ?? null} />;
}
