'use client';

import { Box, HStack, Stack, Text } from '@chakra-ui/react';
import Link from 'next/link';
import { useMemo } from 'react';
import { ClothSwatch, type ClothLook } from '@/ui/cloth-pattern';
import { columnsOf, DataTable } from '@/ui/data-table';
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
            <Link href={`/cloth/${cloth.id}`}>
              <HStack gap="4">
                <ClothSwatch id={`cloth-${cloth.id}`} look={cloth.look} />
                <Box>
                  <Text
                    fontWeight="700"
                    fontSize="lg"
                    textDecoration="underline"
                    textUnderlineOffset="4px"
                    textDecorationColor="border"
                  >
                    {cloth.name}
                  </Text>
                  <Text color="fg.muted" fontSize="sm" maxW="34ch" lineClamp={2}>
                    {cloth.notes}
                  </Text>
                </Box>
              </HStack>
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
    <Stack gap="0">
      <Text fontWeight="600" whiteSpace="nowrap">
        <Fractions>{first}</Fractions>
      </Text>
      <Text fontSize="sm" color="fg.muted">
        <Fractions>{second}</Fractions>
      </Text>
    </Stack>
  );
}
