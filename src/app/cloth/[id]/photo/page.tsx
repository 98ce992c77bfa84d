import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { ClothPhotoPage } from '@/features/cloth/components/cloth-photo';
import { getCloth } from '@/features/cloth/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cloth from a photograph' };

export default async function PhotoOfClothPage({ params }: { params: Promise<{ id: string }> }) {
  const cloth = await getCloth(readId((await params).id));
  if (!cloth) notFound();
  const { name, units } = cloth.form;
  return <ClothPhotoPage cloth={{ id: cloth.id, version: cloth.version, name, units }} />;
}
