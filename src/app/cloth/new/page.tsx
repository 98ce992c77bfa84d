import type { Metadata } from 'next';
import { CLOTH_SORTS } from '@/core/stock';
import { ClothFormView } from '@/features/cloth/components/cloth-form';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { costingForm } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New cloth' };

/** `sort`: the material of a cover that has no price yet. */
export default async function NewClothPage({ searchParams }: { searchParams: Promise<{ sort?: string }> }) {
  const [{ currency }, { sort: wanted }] = await Promise.all([costingForm(), searchParams]);
  const sort = CLOTH_SORTS.find((one) => one === wanted) ?? 'cloth';
  const initial = { ...EMPTY_CLOTH, currency, sort, isUsual: sort !== 'cloth' };
  return <ClothFormView edited={null} initial={initial} />;
}
