'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { kindBook, type CoverKind, type KindBook } from '@/core/covers';
import { usualMaterials, type Workroom } from '@/core/cutlist';
import type { KnownSlip } from '@/core/making';
import type { WorkroomRules } from '@/features/workroom/form';
import { materialsOf } from '../needs';
import type { ClothChoice, NotionChoice } from '../queries';

/** Data for an order's page, from the server. */
export interface OrderProviderProps {
  cloths: ClothChoice[];
  /** The notions of the catalogue; none where lines come from a sheet. */
  notions?: readonly NotionChoice[];
  own: CoverKind[];
  withdrawn: string[];
  workroom: WorkroomRules;
  /** Slips that come again and again, by kind. */
  slips?: readonly KnownSlip[];
}

interface OrderContextValue {
  cloths: ClothChoice[];
  notions: readonly NotionChoice[];
  kinds: KindBook;
  own: CoverKind[];
  withdrawn: string[];
  workroom: WorkroomRules;
  slips: readonly KnownSlip[];
  /** For the core. */
  room: Workroom;
  /** The cloths of a line with the materials that it takes where it names none. */
  takes: ReturnType<typeof usualMaterials>;
}

const NO_NOTIONS: readonly NotionChoice[] = [];
const NO_SLIPS: readonly KnownSlip[] = [];

const Context = createContext<OrderContextValue | null>(null);

export function OrderProvider({
  cloths,
  notions = NO_NOTIONS,
  own,
  withdrawn,
  workroom,
  slips = NO_SLIPS,
  children,
}: OrderProviderProps & { children: ReactNode }) {
  const value = useMemo((): OrderContextValue => {
    const kinds = kindBook(own, withdrawn);
    return {
      cloths,
      notions,
      kinds,
      own,
      withdrawn,
      workroom,
      slips,
      room: { kinds, cloths: new Map(cloths.map(({ id, cloth }) => [id, cloth])) },
      takes: usualMaterials(materialsOf(cloths)),
    };
  }, [cloths, notions, own, withdrawn, workroom, slips]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useOrder(): OrderContextValue {
  const value = useContext(Context);
  if (!value) throw new Error('useOrder must be called inside OrderProvider.');
  return value;
}
