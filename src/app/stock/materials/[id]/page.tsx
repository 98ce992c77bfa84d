import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readId } from '@/app/params';
import { MaterialFormView } from '@/features/materials/components/material-form';
import { getMaterial, notionNames } from '@/features/materials/queries';
import { workroomRules } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Notion' };

export default async function EditMaterialPage({ params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  const [material, names, { units }] = await Promise.all([getMaterial(id), notionNames(), workroomRules()]);
  if (!material) notFound();
  return (
    <MaterialFormView
      key={material.version}
      edited={{ id, version: material.version }}
      initial={material.form}
      units={units}
      names={names}
      prices={material.prices}
    />
  );
}
