'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Choice } from '@/ui/fields/choice';
import { Fractions } from '@/ui/fraction';
import { readJsonLines } from '@/ui/json-lines';
import { PageHead } from '@/ui/page';
import type { WallCell, WallChart } from '../wall';

const QTYS = [1, 2, 4, 6, 8];

/** The chart for the wall: usual sizes of a kind with what is cut, and the length to buy, by real lays. */
// eslint-disable-next-line max-lines-per-function -- one table with its choices
export function WallPage({ chart }: { chart: WallChart }) {
  const router = useRouter();
  const { kind, kinds, cloths, clothId, qty, rows, columns, units } = chart;
  const [cells, setCells] = useState<ReadonlyMap<string, string>>(new Map());
  const [isDone, setDone] = useState(false);
  const [stopper, setStopper] = useState<AbortController | null>(null);
  const query = new URLSearchParams({
    kind,
    ...(clothId !== null && { cloth: String(clothId) }),
    qty: String(qty),
  }).toString();
  useEffect(() => {
    const stop = new AbortController();
    // eslint-disable-next-line react-hooks/set-state-in-effect -- another chart begins empty
    setCells(new Map());
    setDone(false);
    setStopper(stop);
    void readJsonLines<WallCell>(`/api/wall?${query}`, stop.signal, ({ row, column, length }) =>
      setCells((before) => new Map(before).set(`${row} ${column}`, length)),
    ).finally(() => setDone(true));
    return () => stop.abort();
  }, [query]);
  const go = (part: Record<string, string>) =>
    router.push(
      `/wall?${new URLSearchParams({ kind, ...(clothId !== null && { cloth: String(clothId) }), qty: String(qty), ...part })}`,
    );
  const hasZip = rows.some(({ zip }) => zip !== '');
  const hasFilling = rows.some(({ filling }) => filling !== '');
  const name = kinds.find(({ id }) => id === kind)?.name ?? '';
  return (
    <>
      <div className="no-print">
        <PageHead
          title="Chart for the wall"
          about="How much for one of these? By real lays, bought in the shop’s steps"
        >
          <Button asChild variant="ghost">
            <Link href="/figures">Back to the figures</Link>
          </Button>
          <Button onClick={() => window.print()} disabled={!isDone}>
            <Printer size={18} /> Print for the wall
          </Button>
        </PageHead>
        <Flex gap="4" mb="4" wrap="wrap" align="flex-end">
          <Box flex="2" minW="240px">
            <Choice
              label="Kind"
              value={kind}
              choices={kinds.map((one) => ({ id: one.id, label: one.name }))}
              onChange={(id) => go({ kind: id })}
            />
          </Box>
          <Box flex="1" minW="200px">
            <Choice
              label="Cloth"
              value={clothId === null ? '' : String(clothId)}
              choices={[
                { id: '', label: 'plain, usual widths' },
                ...cloths.map((one) => ({ id: String(one.id), label: one.name })),
              ]}
              onChange={(id) => go({ cloth: id })}
            />
          </Box>
          <Box w="120px">
            <Choice
              label="Covers"
              value={String(qty)}
              choices={QTYS.map((one) => ({ id: String(one), label: String(one) }))}
              onChange={(id) => go({ qty: id })}
            />
          </Box>
          <Text color="fg.muted" role="status" minW="180px">
            {isDone
              ? `${cells.size} of ${rows.length * columns.length} laid`
              : `laying, ${cells.size} of ${rows.length * columns.length} …`}
          </Text>
          {!isDone && (
            <Button variant="outline" onClick={() => stopper?.abort()}>
              Stop
            </Button>
          )}
        </Flex>
      </div>
      <Box
        bg="#fff"
        color="#000"
        className="light"
        borderWidth={{ base: '1px', _print: '0' }}
        borderColor="#999"
        p={{ base: '6', _print: '0' }}
        overflowX="auto"
      >
        <Flex justify="space-between" borderBottomWidth="3px" borderColor="#000" pb="2" mb="2" gap="4">
          <Text as="h2" fontFamily="heading" fontWeight="800" fontSize="2xl">
            {name}
          </Text>
          <Text alignSelf="flex-end">
            {qty === 1 ? 'for one' : `for ${qty}`}, sizes in {units === 'in' ? 'inches' : 'centimetres'}
          </Text>
        </Flex>
        <table className="rows wall" aria-label={`Chart of ${name}`}>
          <thead>
            <tr>
              <th scope="col">Size</th>
              <th scope="col">Cut</th>
              {hasZip && <th scope="col">Zip</th>}
              {hasFilling && <th scope="col">Filling</th>}
              {columns.map((column) => (
                <th key={column} scope="col" className="number">
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.key}>
                <td className="bold large nowrap">
                  <Fractions>{row.size}</Fractions>
                  {row.way && <span className="block small">{row.way}</span>}
                </td>
                <td className="small">
                  <Fractions>{row.cut}</Fractions>
                </td>
                {hasZip && (
                  <td className="nowrap">
                    <Fractions>{row.zip}</Fractions>
                  </td>
                )}
                {hasFilling && (
                  <td className="nowrap">
                    <Fractions>{row.filling}</Fractions>
                  </td>
                )}
                {columns.map((column, i) => (
                  <td key={column} className="number nowrap bold">
                    <Fractions>{cells.get(`${row.key} ${i}`) ?? '…'}</Fractions>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </>
  );
}
