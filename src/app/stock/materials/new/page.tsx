import type { Metadata } from 'next';
import { sortOfNotion } from '@/core/stock';
import { MaterialFormView } from '@/features/materials/components/material-form';
import { EMPTY_MATERIAL, pricedBy } from '@/features/materials/form';
import { notionNames } from '@/features/materials/queries';
import { costingForm, workroomRules } from '@/features/workroom/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New notion' };

/** `for`: the notion of a cover that has no price yet. */
export default async function NewMaterialPage({ searchParams }: { searchParams: Promise<{ for?: string }> }) {
  const [names, { units }, { currency }, { for: wanted }] = await Promise.all([
    notionNames(),
    workroomRules(),
    costingForm(),
    searchParams,
  ]);
  const name = names.find((one) => one === wanted);
  const sort = name === undefined ? EMPTY_MATERIAL.sort : sortOfNotion(name);
  const initial = {
    ...EMPTY_MATERIAL,
    currency,
    sort,
    ...pricedBy(sort, units),
    usualFor: name === undefined ? EMPTY_MATERIAL.usualFor : [name],
  };
  return <MaterialFormView edited={null} initial={initial} units={units} names={names} />;
}
