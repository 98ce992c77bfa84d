'use client';

import { Box, Text } from '@chakra-ui/react';
import type { CutList } from '@/core/cutlist';
import { printNumber, STYLES, type Nm, type OrderUnits, typingUnit } from '@/core/length';
import { Flash } from '../flash';
import { Fractions } from '../fraction';

const text = (length: Nm, units: OrderUnits) => printNumber(length, STYLES[units]).text;

/** The cut list, with the sum behind every size; a number that changes lights up. */
export function CutTable({ list, units }: { list: CutList; units: OrderUnits }) {
  const size = (a: Nm, b: Nm) => `${text(a, units)} × ${text(b, units)}`;
  const rows = [
    ...list.pieces.map(({ name, qty, across, along, sum }) => ({ name, qty, size: size(across, along), sum })),
    ...list.strips.map(({ name, qty, width, length, sum, grain }) => ({
      name: `${name}, ${grain === 'bias' ? 'bias' : 'straight'}`,
      qty,
      size: size(width, length),
      sum,
    })),
  ];
  return (
    <Box
      as="table"
      w="full"
      css={{
        '& td, & th': { padding: '5px 8px', textAlign: 'left', verticalAlign: 'top' },
        '& tbody tr': { borderTop: '1px solid var(--chakra-colors-border-muted)' },
      }}
    >
      <thead>
        <tr>
          <th>Cut</th>
          <th>Piece</th>
          <th>Across × along, {typingUnit(units)}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name}>
            <Box as="td" fontWeight="700" fontSize="lg">
              <Flash value={String(row.qty)}>{row.qty}</Flash>
            </Box>
            <td>{row.name}</td>
            <td>
              <Flash value={row.size}>
                <Text fontWeight="700" fontSize="lg">
                  <Fractions>{row.size}</Fractions>
                </Text>
              </Flash>
              <Text fontSize="sm" color="fg.muted">
                <Fractions>{sumsText(row.sum)}</Fractions>
              </Text>
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

const sumsText = ([a, b]: [string, string]) => (a === b ? a : `${a}; ${b}`).replaceAll(' x ', ' × ');
