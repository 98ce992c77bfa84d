import type { Metadata } from 'next';
import { MaterialFormView } from '@/features/materials/components/material-form';
import { EMPTY_MATERIAL } from '@/features/materials/form';
import { notionNames } from '@/features/materials/queries';
import { costingForm, workroomRules } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New notion' };

export default async function NewMaterialPage() {
  const [names, { units }, { currency }] = await Promise.all([notionNames(), workroomRules(), costingForm()]);
  return <MaterialFormView edited={null} initial={{ ...EMPTY_MATERIAL, currency }} units={units} names={names} />;
}
