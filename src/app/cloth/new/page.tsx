import type { Metadata } from 'next';
import { ClothFormView } from '@/features/cloth/components/cloth-form';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { costingForm } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New cloth' };

export default async function NewClothPage() {
  const { currency } = await costingForm();
  return <ClothFormView edited={null} initial={{ ...EMPTY_CLOTH, currency }} />;
}
