import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { clothListRow } from '@/features/cloth/cloth-list';
import { ClothTable } from '@/features/cloth/components/cloth-table';
import { listCloths } from '@/features/cloth/queries';
import { EmptyState, PageHead } from '@/ui/page';
import { TakeList } from '@/ui/take-list';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cloth' };

export default async function ClothPage() {
  const rows = (await listCloths()).map(clothListRow);
  const add = (
    <Button asChild>
      <Link href="/cloth/new">
        <Plus size={20} /> New cloth
      </Link>
    </Button>
  );
  return (
    <>
      <PageHead title="Cloth" about={rows.length > 0 ? 'What the workroom cuts from' : undefined}>
        {rows.length > 0 && add}
      </PageHead>
      {rows.length > 0 ? (
        <>
          <ClothTable cloths={rows} />
          <TakeList name="cloth" />
        </>
      ) : (
        <EmptyState title="No cloth yet" action={add}>
          Write down a cloth with its width, selvages, pattern repeat and price; orders and lays are made from it.
        </EmptyState>
      )}
    </>
  );
}
