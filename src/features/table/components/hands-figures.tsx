import { Box, HStack, Text } from '@chakra-ui/react';
import { printMoney } from '@/core/cost';
import { printLength, STYLES, type Nm, type Units } from '@/core/length';
import { Fractions } from '@/ui/fraction';
import { longLength, overBound, percent } from '@/ui/words';

/** Figures of a lay as it lies. */
interface HandFigures {
  used: Nm;
  /** In minor units. */
  cost: number;
  /** Part of the used cloth. */
  waste: number;
  bound: Nm;
}

/** The figures that change under the hands, with how they stand to the saved lay. */
export function HandsFigures({
  now,
  saved,
  units,
  currency,
}: {
  now: HandFigures;
  saved: HandFigures;
  units: Units;
  currency: string;
}) {
  const money = (minor: number) => printMoney(minor, currency);
  const delta = (by: number, print: (amount: number) => string) =>
    by === 0 ? 'as saved' : `${print(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`;
  const [longer, dearer] = [now.used - saved.used, now.cost - saved.cost];
  return (
    <HStack gap="6" rowGap="2" wrap="wrap" align="flex-start" aria-label="What the lay takes" role="group">
      <Amount label="Used" note={delta(longer, (nm) => printLength(nm, STYLES[units]))} tone={longer}>
        {longLength(now.used, units)}
      </Amount>
      <Amount label="Cost" note={delta(dearer, money)} tone={dearer}>
        {money(now.cost)}
      </Amount>
      <Amount label="Waste" note="of the used cloth">
        {percent(now.waste)}
      </Amount>
      <Amount label="Shortest possible" note={overBound(now.used, now.bound) ?? 'more is not proven'}>
        {`at least ${longLength(now.bound, units).replace('≈ ', '')}`}
      </Amount>
    </HStack>
  );
}

function Amount({ label, note, tone = 0, children }: { label: string; note: string; tone?: number; children: string }) {
  return (
    <Box>
      <Text fontSize="sm" color="fg.muted" lineHeight="1.2">
        {label}
      </Text>
      <Text fontSize="xl" fontWeight="800" lineHeight="1.25" whiteSpace="nowrap">
        <Fractions>{children}</Fractions>
      </Text>
      <Text
        fontSize="sm"
        lineHeight="1.2"
        whiteSpace="nowrap"
        color={tone > 0 ? 'fg.error' : 'fg.muted'}
        fontWeight={tone === 0 ? undefined : '600'}
      >
        <Fractions>{note}</Fractions>
      </Text>
    </Box>
  );
}
