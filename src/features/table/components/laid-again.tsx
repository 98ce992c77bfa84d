import { Button, Flex, Progress, Text } from '@chakra-ui/react';
import type { Nm, Units } from '@/core/length';
import { printLength, STYLES } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { longLength } from '@/ui/words';
import type { LayingAgain } from '../hands/use-lay-again';

/** How far laying the rest again has come, and what it found: to take or to leave. */
export function LaidAgain({
  laying,
  used,
  units,
  onTake,
  onLeave,
}: {
  laying: LayingAgain;
  /** Used length of the lay as it lies. */
  used: Nm;
  units: Units;
  onTake: () => void;
  onLeave: () => void;
}) {
  const { best, problem, isRunning, done } = laying;
  const words =
    problem ||
    (!best
      ? 'Laying the rest again …'
      : best.used < used
        ? `Found ${longLength(best.used, units)}, ${printLength(used - best.used, STYLES[units])} shorter.`
        : 'Nothing shorter found yet.');
  return (
    <Flex gap="3" align="center" mb="2" px="3" py="2" bg="bottle.muted" borderRadius="sm" wrap="wrap">
      <Text flex="1" minW="240px" aria-live="polite">
        <Fractions>{words}</Fractions>
      </Text>
      {isRunning && (
        <Progress.Root value={100 * done} colorPalette="bottle" w="120px" size="sm" aria-label="Search">
          <Progress.Track>
            <Progress.Range />
          </Progress.Track>
        </Progress.Root>
      )}
      <Button size="sm" onClick={onTake} disabled={!best || best.used >= used}>
        Take it
      </Button>
      <Button size="sm" variant="ghost" onClick={onLeave}>
        Leave it as it was
      </Button>
    </Flex>
  );
}
