'use client';

import { Box, Button, Flex, Grid, HStack, Stack, Text } from '@chakra-ui/react';
import { proposedDirection, type Direction, type WidePart, type WideWay } from '@/core/cutlist';
import type { TakeOff } from '@/core/covers';
import { boughtLength, costOf, printMoney } from '@/core/cost';
import { printLength, STYLES, type OrderUnits } from '@/core/length';
import { Choice } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { longLength } from '@/ui/words';
import type { Change, LineForm } from '../form';
import type { ClothChoice } from '../queries';

/** For each part, which way the cloth's length runs on the cover; what the kind and the cloth propose is named. */
export function Directions({
  cover,
  line,
  cloth,
  change,
}: {
  cover: TakeOff;
  line: LineForm;
  cloth: ClothChoice | undefined;
  change: Change;
}) {
  const proposed = cloth ? proposedDirection(cloth.cloth) : 'along';
  const set = (part: string, direction: Direction) =>
    change(({ directions }) => {
      const rest = Object.fromEntries(Object.entries(directions).filter(([name]) => name !== part));
      return { directions: direction === proposed ? rest : { ...rest, [part]: direction } };
    });
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' }} gap="4">
      {cover.pieces.map(({ name, axes }) => {
        const choices: { id: Direction; label: string }[] = [
          { id: 'along', label: axes[1] },
          { id: 'across', label: axes[0] },
          ...(cloth?.cloth.turns === 'any' ? [{ id: 'any' as const, label: 'any way' }] : []),
        ];
        return (
          <Choice
            key={name}
            label={`On the ${name}`}
            value={line.directions[name] ?? proposed}
            choices={choices.map(({ id, label }) => ({ id, label: id === proposed ? `${label} (usual)` : label }))}
            onChange={(direction) => set(name, direction as Direction)}
          />
        );
      })}
    </Grid>
  );
}

/** Parts wider than their cloth: what each way of cutting them takes and costs; the person decides. */
export function WideChoice({
  wide,
  units,
  cloth,
  change,
}: {
  wide: readonly WidePart[];
  units: OrderUnits;
  cloth: ClothChoice['cloth'] | undefined;
  change: Change;
}) {
  const { cloth: name, usable } = wide[0]!;
  const cost = (length: number) =>
    cloth ? `, ${printMoney(costOf(boughtLength(length, cloth.sellingStep), cloth), cloth.price.currency)}` : '';
  const choose = (parts: readonly WidePart[], way: WideWay) =>
    change(({ panels }) => ({ panels: { ...panels, ...Object.fromEntries(parts.map(({ part }) => [part, way])) } }));
  return (
    <Box borderLeftWidth="5px" borderColor="warn.line" bg="warn.bg" px="4" py="3">
      <Text fontWeight="700">
        <Fractions>
          {wide.every(({ why }) => why === 'motif')
            ? `${wide.length === 1 ? 'One motif has' : `${wide.length} motifs have`} no place on ${name}, ${printLength(usable, STYLES[units])} between its selvages`
            : `${wide.length === 1 ? 'One part is' : `${wide.length} parts are`} too wide for ${name}, ${printLength(usable, STYLES[units])} between its selvages`}
        </Fractions>
      </Text>
      <Text fontSize="sm" color="fg.muted">
        Cloth without a pattern or a nap runs along the bolt, unless joining saves much of it. Joined: a whole width in
        the middle and equal sides, the pattern going on. Lengths in plain rows.
      </Text>
      <Stack gap="2" mt="2">
        {wide.map((one) => (
          <Box key={one.part} role="radiogroup" aria-label={`How the ${one.part} is cut`}>
            <Text fontWeight="600">
              <Fractions>{`${one.part}, ${printLength(one.across, STYLES[units])}`}</Fractions>
            </Text>
            <Flex columnGap="5" wrap="wrap">
              {one.ways.map(({ way, pieces, length }) => (
                <Box as="label" key={way} display="flex" alignItems="center" gap="2" minH="9" cursor="pointer">
                  <Box asChild accentColor="bottle.solid" boxSize="5">
                    <input type="radio" checked={one.chosen === way} onChange={() => choose([one], way)} />
                  </Box>
                  <Text>
                    <Fractions>
                      {`${way === 'join' ? `joined from ${pieces}` : 'along the bolt'}: ${longLength(length, units)}${cost(length)}`}
                    </Fractions>
                  </Text>
                </Box>
              ))}
              {one.why === 'width' && one.ways.length === 1 && (
                <Text color="fg.muted" alignSelf="center">
                  too deep to run along the bolt
                </Text>
              )}
            </Flex>
          </Box>
        ))}
      </Stack>
      {wide.length > 1 && wide.some(({ ways }) => ways.length > 1) && (
        <HStack mt="2" gap="2">
          <Button size="sm" variant="outline" onClick={() => choose(wide, 'join')}>
            Join all
          </Button>
          <Button size="sm" variant="outline" onClick={() => choose(wide, 'sideways')}>
            Run all along the bolt
          </Button>
        </HStack>
      )}
    </Box>
  );
}
