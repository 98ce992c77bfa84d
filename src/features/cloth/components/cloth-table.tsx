'use client';

import { Link } from '@/ui/link';
import { useMemo } from 'react';
import { ClothSwatch, type ClothLook } from '@/ui/cloth/cloth-pattern';
import { columnsOf, DataTable } from '@/ui/table/data-table';
import { Fractions } from '@/ui/fraction';

export interface ClothListRow {
  id: number;
  name: string;
  notes: string;
  look: ClothLook;
  width: string;
  widthNm: number;
  selvages: string;
  pattern: string;
  turns: string;
  price: string;
  priceMinor: number;
  step: string;
  uses: number;
}

const column = columnsOf<ClothListRow>();

export function ClothTable({ cloths }: { cloths: ClothListRow[] }) {
  const columns = useMemo(
    () =>
      column.columns([
        column.accessor('name', {
          header: 'Cloth',
          cell: ({ row: { original: cloth } }) => (
            <Link href={`/cloth/${cloth.id}`} className="inline">
              <ClothSwatch id={`cloth-${cloth.id}`} look={cloth.look} />
              <span>
                <span className="bold large entry">{cloth.name}</span>
                <span className="block muted small">{cloth.notes}</span>
              </span>
            </Link>
          ),
        }),
        column.accessor('widthNm', {
          header: 'Width',
          cell: ({ row }) => <TwoLines first={row.original.width} second={row.original.selvages} />,
        }),
        column.accessor('pattern', {
          header: 'Pattern',
          cell: ({ row }) => <TwoLines first={row.original.pattern} second={row.original.turns} />,
        }),
        column.accessor('priceMinor', {
          header: 'Price',
          cell: ({ row }) => <TwoLines first={row.original.price} second={row.original.step} />,
        }),
        column.accessor('uses', { header: 'Order lines' }),
      ]),
    [],
  );
  return <DataTable label="Cloth" data={cloths} columns={columns} />;
}

function TwoLines({ first, second }: { first: string; second: string }) {
  return (
    <span>
      <span className="strong nowrap">
        <Fractions>{first}</Fractions>
      </span>
      <span className="block small muted">
        <Fractions>{second}</Fractions>
      </span>
    </span>
  );
}
