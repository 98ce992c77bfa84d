import { Box, Flex, Heading, Stack, Text } from '@chakra-ui/react';
import { printMoney } from '@/core/cost';
import { OrderMark } from '@/ui/order-mark';
import { PrintBar } from '@/ui/print-bar';
import type { ReactNode } from 'react';
import { dayText } from '../day-text';
import { notBought } from '../not-bought';
import type { OrderCost, QuoteView } from '../queries';
import { CostTable, Missing } from './cost-table';

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

/** A quote as the customer gets it: what is made, the price before and with tax, how long it holds. */
export function QuotePaper({ quote }: { quote: QuoteView }) {
  const { order, sheet } = quote;
  const tax = sheet.total - sheet.net;
  const taxLine = sheet.lines.find(({ part }) => part === 'tax');
  return (
    <Paper>
      {quote.from.name && (
        <Box mb="6">
          <Text fontWeight="800" fontSize="lg">
            {quote.from.name}
          </Text>
          <Text whiteSpace="pre-line">{quote.from.address}</Text>
          <Text>{quote.from.contact}</Text>
        </Box>
      )}
      <Flex justify="space-between" align="baseline" borderBottomWidth="3px" borderColor="#000" pb="2" gap="4">
        <Heading as="h2" fontSize="2xl">
          Quote {quote.no}
        </Heading>
        <Text>{dayText(quote.createdAt.slice(0, 10))}</Text>
      </Flex>
      <Stack gap="4" mt="5">
        <Text>
          For <b>{order.customer}</b>, order {order.no}, to be done by {dayText(order.due)}
        </Text>
        <Box as="ul" pl="5" css={{ listStyle: 'square' }}>
          {sheet.made.map(({ name, qty }, i) => (
            <li key={i}>
              {qty} × {name}
            </li>
          ))}
        </Box>
        <table className="rows" aria-label="Price">
          <tbody>
            {tax > 0 && (
              <>
                <tr>
                  <td>Price</td>
                  <td className="number">{printMoney(sheet.net, sheet.currency)}</td>
                </tr>
                <tr>
                  <td>
                    {taxLine?.what}, {taxLine?.sum}
                  </td>
                  <td className="number">{printMoney(tax, sheet.currency)}</td>
                </tr>
              </>
            )}
            <tr className="sum">
              <td>
                To pay
                <Missing sheet={sheet} />
              </td>
              <td className="number large">{printMoney(sheet.total, sheet.currency)}</td>
            </tr>
          </tbody>
        </table>
        {sheet.provided && <Text>{notBought(sheet.provided)}</Text>}
        {quote.words && <Text whiteSpace="pre-line">{quote.words}</Text>}
        <Text>This price holds until {dayText(quote.validUntil)}.</Text>
        <Text fontSize="sm">
          Foam, filling and cover cloth of furniture fall under local fire-safety rules; what applies is decided by
          local codes and qualified practice.
        </Text>
      </Stack>
    </Paper>
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
