import { lookOf } from '@/features/cloth/look';
import { Button } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Metadata } from 'next';
import Link from 'next/link';
import { printMoney } from '@/core/cost';
import { printLength, STYLES } from '@/core/length';
import { ClothTable, type ClothListRow } from '@/features/cloth/components/cloth-table';
import { dropText, listCloths } from '@/features/cloth/queries';
import { EmptyState, PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cloth' };

const TURNS = { any: 'turns any way', half: 'up or down', none: 'one way only' };

export default async function ClothPage() {
  const cloths = await listCloths();
  const rows = cloths.map((cloth): ClothListRow => {
    const size = (length: number) => printLength(length, STYLES[cloth.units]);
    const isPlain = cloth.repeatAcrossNm === 0 && cloth.repeatAlongNm === 0;
    const repeats = [
      cloth.repeatAcrossNm && `${size(cloth.repeatAcrossNm)} across`,
      cloth.repeatAlongNm && `${size(cloth.repeatAlongNm)} along`,
    ]
      .filter(Boolean)
      .join(', ');
    return {
      id: cloth.id,
      name: cloth.name,
      notes: cloth.notes,
      look: lookOf(cloth),
      width: size(cloth.widthNm),
      widthNm: cloth.widthNm,
      selvages:
        cloth.selvageLeftNm + cloth.selvageRightNm === 0
          ? 'no selvage'
          : `selvages ${size(cloth.selvageLeftNm)}, ${size(cloth.selvageRightNm)}`,
      pattern: isPlain ? 'no repeat' : repeats,
      turns: `${cloth.dropPart > 0 ? `drop ${dropText(cloth.dropPart)}; ` : ''}${TURNS[cloth.turns]}`,
      price: `${printMoney(cloth.priceMinor, cloth.currency)} a ${cloth.pricePer === 'yd' ? 'yard' : 'metre'}`,
      priceMinor: cloth.priceMinor,
      step: `in steps of ${printLength(cloth.sellingStepNm, cloth.units === 'in' ? { unit: 'yd', denominator: 8 } : STYLES.mm)}`,
      uses: cloth.uses,
    };
  });
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
        <ClothTable cloths={rows} />
      ) : (
        <EmptyState title="No cloth yet" action={add}>
          Write down a cloth with its width, selvages, pattern repeat and price; orders and lays are made from it.
        </EmptyState>
      )}
    </>
  );
}
