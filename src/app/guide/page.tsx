import { Button } from '@chakra-ui/react';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { GuideList } from '@/features/workroom/components/guide';
import { kindBook } from '@/core/covers';
import { kindsForForms } from '@/features/workroom/queries';
import { PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Measure guide' };

export default async function GuidesPage() {
  const { own, withdrawn } = await kindsForForms();
  return (
    <>
      <PageHead title="Measure guide" about="Where the tape goes, cover by cover">
        <Button asChild variant="ghost">
          <Link href="/orders">Back to orders</Link>
        </Button>
      </PageHead>
      <GuideList kinds={kindBook(own, withdrawn).current.map((kind) => ({ ...kind }))} />
    </>
  );
}
