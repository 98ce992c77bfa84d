import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { listMaterials } from '@/features/materials/queries';
import { amountText } from '@/features/stock/amount';
import { Fractions } from '@/ui/fraction';
import { EmptyState, PageHead } from '@/ui/page';
import { TakeList } from '@/ui/take-list';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Notions' };

export default async function MaterialsPage() {
  const rows = await listMaterials();
  const add = (
    <Button asChild>
      <Link href="/stock/materials/new">
        <Plus size={20} /> New notion
      </Link>
    </Button>
  );
  return (
    <>
      <PageHead
        title="Notions"
        about="What an order takes beside its cloth; foam, wadding and the like are under Cloth"
      >
        <Button asChild variant="ghost">
          <Link href="/stock">Back to the shelf</Link>
        </Button>
        {rows.length > 0 && add}
      </PageHead>
      {rows.length === 0 ? (
        <EmptyState title="No notions yet" action={add}>
          Write down zips, cord, hook-and-loop, snaps, buttons and thread with their prices: costs and shopping lists
          then know them.
        </EmptyState>
      ) : (
        <div className="sheet">
          <table className="rows" aria-label="Notions">
            <thead>
              <tr>
                {['Notion', 'Sort', 'Price', 'Supplier', 'Covers take it as', 'On the shelf'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id}>
                  <td>
                    <Link href={`/stock/materials/${row.id}`} className="bold large entry">
                      {row.name}
                    </Link>
                    <span className="block small muted">
                      <Fractions>{row.about}</Fractions>
                    </span>
                  </td>
                  <td>{row.sort}</td>
                  <td className="nowrap">{row.price}</td>
                  <td>{row.supplier}</td>
                  <td>{row.usualFor.join(', ')}</td>
                  <td className="nowrap strong">
                    <Fractions>{amountText(row.onHand, row)}</Fractions>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <TakeList name="notions" />
        </div>
      )}
    </>
  );
}
