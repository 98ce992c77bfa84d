import type { Metadata } from 'next';
import { ClothFormView } from '@/features/cloth/components/cloth-form';
import { EMPTY_CLOTH } from '@/features/cloth/form';

export const metadata: Metadata = { title: 'New cloth' };

export default function NewClothPage() {
  return <ClothFormView edited={null} initial={EMPTY_CLOTH} />;
}
