import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { ClothFormView } from '@/features/cloth/components/cloth-form';
import { getCloth } from '@/features/cloth/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cloth' };

export default async function EditClothPage({ params }: { params: Promise<{ id: string }> }) {
  const cloth = await getCloth(readId((await params).id));
  if (!cloth) notFound();
  return (
    <ClothFormView
      key={cloth.version}
      edited={{ id: cloth.id, version: cloth.version }}
      initial={cloth.form}
      photo={cloth.photo}
    />
  );
}
