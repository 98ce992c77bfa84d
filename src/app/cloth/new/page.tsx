import type { Metadata } from 'next';
import { ClothFormView } from '@/rooms/cloths/components/cloth-form';
import { EMPTY_CLOTH } from '@/rooms/cloths/form';

export const metadata: Metadata = { title: 'New cloth' };

export default function NewClothPage() {
  return <ClothFormView edited={null} initial={EMPTY_CLOTH} />;
}
