import { Box, Flex, Grid, HStack, Text } from '@chakra-ui/react';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { Link } from '@/ui/link';
import { counted } from '@/ui/words';
import { printMoney } from '@/core/cost';
import { ClothPattern, PatternSwatch } from '@/ui/cloth/cloth-pattern';
import { OrderMark } from '@/ui/order-mark';
import { PageLink } from '@/ui/page-link';
import type { BatchListRow } from '../queries';
import { BatchStatus } from './batch-status';

export function BatchesList({
  batches,
  previous,
  next,
}: {
  batches: BatchListRow[];
  previous: string | null;
  next: string | null;
}) {
  return (
    <>
      <Batches batches={batches} />
      {(previous ?? next) && (
        <HStack mt="4" gap="3" justify="flex-end">
          <PageLink href={previous}>
            <ArrowLeft size={18} /> Previous
          </PageLink>
          <PageLink href={next}>
            Next <ArrowRight size={18} />
          </PageLink>
        </HStack>
      )}
    </>
  );
}

function Batches({ batches }: { batches: BatchListRow[] }) {
  const cloths = new Map(batches.flatMap((batch) => batch.cloths.map((cloth) => [cloth.id, cloth])));
  return (
    <>
      {/* Each cloth's pattern once, however many batches show it. */}
      <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
        <defs>
          {[...cloths.values()].map(({ id, look }) => (
            <ClothPattern key={id} id={`batches-${id}`} look={look} />
          ))}
        </defs>
      </svg>
      <BatchCards batches={batches} />
    </>
  );
}

function BatchCards({ batches }: { batches: BatchListRow[] }) {
  return (
    <Grid gap="4" templateColumns={{ base: '1fr', xl: '1fr 1fr' }}>
      {batches.map((batch) => (
        <Box
          key={batch.id}
          asChild
          bg="bg.panel"
          borderWidth="1px"
          borderColor="border"
          borderRadius="sm"
          _hover={{ borderColor: 'bottle.solid' }}
        >
          <Link href={`/batches/${batch.id}`}>
            <Flex px="5" pt="4" pb="3" align="center" gap="4">
              <Text fontFamily="heading" fontWeight="700" fontSize="xl" flex="1">
                {batch.name}
              </Text>
              <BatchStatus status={batch.status} />
            </Flex>
            <Flex px="5" pb="4" gap="5" align="center" wrap="wrap">
              <HStack gap="1.5">
                {batch.cloths.map((cloth) => (
                  <PatternSwatch key={cloth.id} id={`batches-${cloth.id}`} look={cloth.look} size={40} />
                ))}
              </HStack>
              <Flex columnGap="3" flex="1" wrap="wrap">
                {batch.orders.map(({ no, mark }) => (
                  <span key={no} className="inline" style={{ gap: 6 }}>
                    <OrderMark mark={mark} />
                    <span className="strong">{no}</span>
                  </span>
                ))}
                {batch.orderCount > batch.orders.length && (
                  <span className="muted">and {batch.orderCount - batch.orders.length} more</span>
                )}
              </Flex>
              <Text color="fg.muted">{counted(batch.covers, 'cover')}</Text>
              {Object.entries(batch.cost).map(([currency, minor]) => (
                <Text key={currency} fontWeight="700" fontSize="lg">
                  {printMoney(minor, currency)}
                </Text>
              ))}
            </Flex>
          </Link>
        </Box>
      ))}
    </Grid>
  );
}
