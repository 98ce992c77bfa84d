'use client';

import { Box, Heading, Text } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { useWatch, type Control } from 'react-hook-form';
import { printMoney } from '@/core/cost';
import type { OrderUnits } from '@/core/length';
import { Flash } from '@/ui/flash';
import { Link } from '@/ui/link';
import { Fractions } from '@/ui/fraction';
import { Panel } from '@/ui/page';
import { pageWorker } from '@/ui/page-worker';
import { longLength } from '@/ui/words';
import type { OrderForm } from '../form';
import type { NeedsAnswer, NeedsQuestion, NeedsWork } from './cloth-needs.worker';
import { useOrder } from './order-context';

/** Typing rests for so many milliseconds before the order is laid again. */
const REST = 250;

/** The order's need of each cloth, laid by itself while it is typed. */
export function ClothNeeds({ control, units }: { control: Control<OrderForm>; units: OrderUnits }) {
  const answer = useNeeds(control, units);
  if (!answer || answer.needs.length === 0) return null;
  const { needs, leftOut, unpriced, isFirst } = answer;
  return (
    <Panel>
      <Heading as="h2" fontSize="lg" mb="1">
        The cloth and materials it takes by itself
      </Heading>
      <Text color="fg.muted" mb="3">
        {isFirst
          ? 'A first lay; a better one is being looked for.'
          : 'Laid in a moment; in a batch it mostly takes less.'}
        {leftOut > 0 && ` ${leftOut === 1 ? 'One line is' : `${leftOut} lines are`} not in it yet.`}
      </Text>
      <Box
        as="table"
        css={{
          '& td, & th': { padding: '4px 28px 4px 0', textAlign: 'left', verticalAlign: 'top' },
          '& tbody tr': { borderTop: '1px solid var(--chakra-colors-border-muted)' },
        }}
      >
        <thead>
          <tr>
            {['Cloth or material', 'Pieces and strips', 'Used', 'To buy', 'Cost'].map((name) => (
              <th key={name}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {needs.map(({ cloth, name, pieces, unplaced, used, bought, cost, currency }) => (
            <tr key={cloth}>
              <td>{name}</td>
              <td>{pieces}</td>
              {[longLength(used, units), longLength(bought, units)].map((length, k) => (
                <Box as="td" key={k} fontWeight={k === 1 ? '700' : undefined}>
                  <Flash value={length}>
                    <Fractions>{length}</Fractions>
                  </Flash>
                </Box>
              ))}
              <td>
                {printMoney(cost, currency)}
                {unplaced > 0 && `, without ${unplaced} that it is not wide enough for`}
              </td>
            </tr>
          ))}
          {unpriced.map((name) => (
            <tr key={name}>
              <td>{name}</td>
              <td colSpan={3}>none is kept</td>
              <td className="late">
                no price,{' '}
                <Link href={`/cloth/new?sort=${encodeURIComponent(name)}`} target="_blank" className="entry">
                  enter it
                </Link>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Panel>
  );
}

/** A worker that is busy with an older question hears nothing: it is given up for another one, which stands ready once that has happened. */
class Layers {
  private asked = 0;
  private isBusy = false;
  private worker = made();
  private spare: ReturnType<typeof made> | null = null;

  constructor(private readonly hear: (answer: NeedsAnswer | null) => void) {}

  async ask(question: NeedsQuestion) {
    const run = ++this.asked;
    if (this.isBusy) {
      this.worker.end();
      this.worker = this.spare ?? made();
      this.spare = made();
    }
    this.isBusy = true;
    const tell = (answer: NeedsAnswer | null) => {
      if (run === this.asked) this.hear(answer);
    };
    // Where it can't be worked out nothing is shown: what stands there is of the order as it was.
    const last = await this.worker.ask((work, earOf) => work.needs(question, earOf(tell))).catch(() => null);
    if (run !== this.asked) return;
    // One that broke off is given up for the spare with the next question.
    this.isBusy = last === null;
    tell(last);
  }

  end() {
    this.worker.end();
    this.spare?.end();
  }
}

const made = () =>
  pageWorker<NeedsWork>(new Worker(new URL('./cloth-needs.worker.ts', import.meta.url), { type: 'module' }));

/** The last answer stays to be seen while the next is worked out. */
function useNeeds(control: Control<OrderForm>, units: OrderUnits): NeedsAnswer | null {
  const lines = useWatch({ control, name: 'lines' });
  const { cloths, own, withdrawn } = useOrder();
  const layers = useRef<Layers>(null);
  const [answer, setAnswer] = useState<NeedsAnswer | null>(null);
  useEffect(() => {
    const all = new Layers(setAnswer);
    layers.current = all;
    return () => all.end();
  }, []);
  useEffect(() => {
    const timer = setTimeout(() => {
      void layers.current?.ask({ lines, units, room: { cloths, own, withdrawn } });
    }, REST);
    return () => clearTimeout(timer);
  }, [lines, units, cloths, own, withdrawn]);
  return answer;
}
