import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS, isCut } from '@/core/batch';
import { Box, Button, Flex, Grid } from '@chakra-ui/react';
import { printMoney } from '@/core/cost';
import { Fractions } from '@/ui/fraction';
import { Link } from '@/ui/link';
import { Figure } from '@/ui/page';
import { longLength } from '@/ui/words';
import type { BatchView, LaySummary } from '../queries';

/** Sums of money of one currency each, written beside each other. */
function moneyText(lays: readonly LaySummary[], amountOf: (lay: LaySummary) => number): string {
  const sums = new Map<string, number>();
  for (const lay of lays) sums.set(lay.currency, (sums.get(lay.currency) ?? 0) + amountOf(lay));
  return [...sums].map(([currency, sum]) => printMoney(sum, currency)).join(' + ') || '—';
}

/** The length of cloths that are measured in inches, and of those in metres. */
function lengthText(lays: readonly LaySummary[], lengthOf: (lay: LaySummary) => number): string {
  const parts = (['in', 'mm'] as const).flatMap((units) => {
    const own = lays.filter((lay) => lay.units === units);
    const sum = own.reduce((all, lay) => all + lengthOf(lay), 0);
    return own.length > 0 && sum > 0 ? [longLength(sum, units).replace('≈ ', '')] : [];
  });
  return parts.join(' + ') || 'nothing';
}

/** The sums of a batch's lays, and after the approval what comes next. */
export function BatchTotals({ lays, batch }: { lays: readonly LaySummary[]; batch: BatchView['batch'] }) {
  const open = lays.find(({ cutAt }) => cutAt === null);
  const toBuy = lays.filter(({ shortNm }) => shortNm > 0);
  return (
    <Box bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" px="5" py="4">
      <Grid
        templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(4, minmax(0, 1fr))' }}
        gap="4"
        aria-label="Totals"
        role="group"
      >
        <Figure label="Used" note={lays.length === 1 ? 'on one cloth' : `on ${lays.length} cloths`}>
          <Fractions>{lengthText(lays, ({ usedNm }) => usedNm)}</Fractions>
        </Figure>
        <Figure label="Cost" note="of the cloth">
          {moneyText(lays, ({ costMinor }) => costMinor)}
        </Figure>
        <Figure label="Less than by hand" note="over all its cloths">
          {moneyText(lays, ({ costMinor, handCostMinor }) => Math.max(0, handCostMinor - costMinor))}
        </Figure>
        <Figure
          label="To buy"
          note={toBuy.length === 0 ? 'all of it is on the shelf' : toBuy.map(({ clothName }) => clothName).join(', ')}
        >
          <Fractions>{lengthText(toBuy, ({ shortNm }) => shortNm)}</Fractions>
        </Figure>
      </Grid>
      {canHappen(BATCH_TRANSITIONS, batch.status, 'cut') && open && (
        <NextStep
          what={`Next: cut ${open.clothName}.`}
          press="Open its cutting sheet"
          to={`/batches/${batch.id}/cutting/${open.clothId}`}
        />
      )}
      {isCut(batch.status) && (
        <NextStep
          what="All of it is cut. Next: sew it."
          press="Open the sewing sheets"
          to={`/batches/${batch.id}/sewing`}
        />
      )}
    </Box>
  );
}

/** The next step of a batch, with the way to it. */
function NextStep({ what, press, to }: { what: string; press: string; to: string }) {
  return (
    <Flex mt="3" pt="3" borderTopWidth="1px" borderColor="border.muted" gap="4" align="center" wrap="wrap">
      <b>{what}</b>
      <Button asChild size="sm">
        <Link href={to}>{press}</Link>
      </Button>
    </Flex>
  );
}
