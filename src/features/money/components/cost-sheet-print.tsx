import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { printMoney } from '@/core/cost';
import { OrderMark } from '@/ui/order-mark';
import { PrintBar } from '@/ui/print-bar';
import type { ReactNode } from 'react';
import type { OrderCost } from '../queries';
import { CostTable } from './cost-table';

function Paper({ children }: { children: ReactNode }) {
  return (
    <Box
      className="light"
      bg="#fff"
      color="#000"
      p={{ base: '8', _print: '0' }}
      w="100%"
      maxW="210mm"
      mx="auto"
      borderWidth={{ base: '1px', _print: '0' }}
      borderColor="#999"
    >
      {children}
    </Box>
  );
}

/** Actual cost of an order, for the workroom's own file. */
export function CostSheetPrint({ cost }: { cost: OrderCost }) {
  const { order, now, quoted, differences } = cost;
  const money = (minor: number) => printMoney(minor, now.currency);
  return (
    <Box>
      <PrintBar
        back="Back to the costs"
        backTo={`/orders/${order.id}/cost`}
        print="Print the cost sheet"
        about="A4 upright, for the workroom’s own file."
      />
      <Paper>
        <Flex justify="space-between" align="baseline" borderBottomWidth="3px" borderColor="#000" pb="2" gap="4">
          <Heading as="h1" fontSize="2xl">
            <span className="inline">
              <OrderMark mark={order.mark} size={26} /> Cost sheet of order {order.no}
            </span>
          </Heading>
          <Text>{order.customer}</Text>
        </Flex>
        <Box mt="4">
          <CostTable sheet={now} label="Cost" />
        </Box>
        {quoted && (
          <Box mt="6">
            <Heading as="h2" fontSize="lg">
              Quoted against actual
            </Heading>
            <table className="rows" aria-label="Differences">
              <tbody>
                {differences.map(({ part, what, before, after }) => (
                  <tr key={`${part} ${what}`}>
                    <td>{what}</td>
                    <td className="number">{money(before)}</td>
                    <td className="number">{money(after)}</td>
                    <td className="number">{money(after - before)}</td>
                  </tr>
                ))}
                <tr className="sum">
                  <td>In all</td>
                  <td className="number">{money(quoted.total)}</td>
                  <td className="number">{money(now.total)}</td>
                  <td className="number">{money(now.total - quoted.total)}</td>
                </tr>
              </tbody>
            </table>
          </Box>
        )}
      </Paper>
    </Box>
  );
}
