'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { kindBook, type CoverKind, type KindBook } from '@/core/covers';
import type { Workroom } from '@/core/cutlist';
import type { WorkroomRules } from '@/features/workroom/form';
import type { ClothChoice } from '../queries';

/** What the server tells an order's page of the workroom. */
export interface RoomProps {
  cloths: ClothChoice[];
  own: CoverKind[];
  withdrawn: string[];
  workroom: WorkroomRules;
}

interface OrderRoom {
  cloths: ClothChoice[];
  kinds: KindBook;
  own: CoverKind[];
  withdrawn: string[];
  workroom: WorkroomRules;
  /** For the core. */
  room: Workroom;
}

const Context = createContext<OrderRoom | null>(null);

export function OrderProvider({ cloths, own, withdrawn, workroom, children }: RoomProps & { children: ReactNode }) {
  const value = useMemo((): OrderRoom => {
    const kinds = kindBook(own, withdrawn);
    return {
      cloths,
      kinds,
      own,
      withdrawn,
      workroom,
      room: { kinds, cloths: new Map(cloths.map(({ id, cloth }) => [id, cloth])) },
    };
  }, [cloths, own, withdrawn, workroom]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useOrder(): OrderRoom {
  const value = useContext(Context);
  if (!value) throw new Error('An order’s parts stand within its room.');
  return value;
}
