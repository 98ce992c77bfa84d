import { Box, HStack, Text } from '@chakra-ui/react';
import { Check } from 'lucide-react';
import { Fractions } from '@/ui/fraction';
import { lengthName } from '@/features/table/lay-view';
import type { SheetView } from '../sheet-view';
import { stepWords } from '../step-words';
import type { ShownTick } from '../ticks';

/** All steps of a cutting sheet, to see where it stands and to go to one of them. */
export function StepsList({
  view,
  ticks,
  current,
  onChoose,
}: {
  view: SheetView;
  ticks: ReadonlyMap<number, ShownTick>;
  current: number;
  onChoose: (step: number) => void;
}) {
  return (
    <Box as="ol" css={{ listStyle: 'none' }} bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm">
      {view.steps.map((step, i) => {
        const { title, tapes } = stepWords(step, view);
        const isFirst = view.steps[i - 1]?.stock !== step.stock;
        return (
          <Box as="li" key={step.n} borderTopWidth={i > 0 ? '1px' : '0'} borderColor="border.muted">
            {isFirst && view.lengths.length > 1 && (
              <Text px="4" pt="3" fontWeight="700">
                {lengthName(step.stock)}
              </Text>
            )}
            <Box
              as="button"
              w="full"
              px="4"
              py="2.5"
              minH="52px"
              textAlign="left"
              bg={step.n === current ? 'bottle.muted' : undefined}
              aria-current={step.n === current ? 'step' : undefined}
              onClick={() => onChoose(step.n)}
            >
              <HStack gap="3" align="baseline">
                <Text w="8" color="fg.muted" textAlign="right">
                  {step.n}
                </Text>
                <Box w="6" alignSelf="center">
                  {ticks.has(step.n) && <Check size={22} aria-label="done" />}
                </Box>
                <Text flex="1" fontWeight="600">
                  <Fractions>{title}</Fractions>
                </Text>
                <Text color="fg.muted" textAlign="right">
                  <Fractions>{tapes.map(({ at }) => at).join('; ')}</Fractions>
                </Text>
              </HStack>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
