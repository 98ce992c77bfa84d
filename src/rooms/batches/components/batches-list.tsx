import { Box, Flex, Grid, HStack, Text } from '@chakra-ui/react';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import Link from 'next/link';
import { printMoney } from '@/core/cost';
import { ClothSwatch } from '@/ui/cloth-pattern';
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
                  <ClothSwatch key={cloth.id} id={`batch-${batch.id}-${cloth.id}`} look={cloth.look} size={40} />
                ))}
              </HStack>
              <HStack gap="3" flex="1" wrap="wrap">
                {batch.orders.map(({ no, mark }) => (
                  <HStack key={no} gap="1.5">
                    <OrderMark mark={mark} />
                    <Text fontWeight="600">{no}</Text>
                  </HStack>
                ))}
                {batch.orderCount > batch.orders.length && (
                  <Text color="fg.muted">and {batch.orderCount - batch.orders.length} more</Text>
                )}
              </HStack>
              <Text color="fg.muted">{batch.covers} covers</Text>
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
