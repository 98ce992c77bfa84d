'use client';

import { Button, HStack } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { send } from '@/features/commands/send';
import { Folded } from '@/ui/folded';
import { Link } from '@/ui/link';
import { EmptyState, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { setMinutesAside } from '../actions';
import type { KindMinutes } from '../minutes-view';

/** Minutes of sewing, kind by kind: the estimate with its range, the factors behind it, and the runs that it rests on. */
export function MinutesPage({ kinds }: { kinds: readonly KindMinutes[] }) {
  return (
    <>
      <PageHead title="Minutes by kind" about="What the next cover is expected to take, and what that rests on">
        <Button asChild variant="ghost">
          <Link href="/days">To the coming days</Link>
        </Button>
      </PageHead>
      {kinds.length === 0 && (
        <EmptyState title="Nothing has been sewn yet">
          Until runs are sewn with their minutes, the workroom’s list says what a cover takes.
        </EmptyState>
      )}
      <div className="way">
        {kinds.map((kind) => (
          <KindPanel key={kind.kind} kind={kind} />
        ))}
      </div>
    </>
  );
}

function KindPanel({ kind: { name, listed, estimate, usual, cases } }: { kind: KindMinutes }) {
  const [low, high] = estimate.fourFifths;
  return (
    <Panel title={name}>
      <p className="large">
        <strong>{Math.round(estimate.minutes)} min</strong> for one of {usual}; four of five between {Math.round(low)}{' '}
        and {Math.round(high)} min
        <span className="muted block">
          The workroom’s list says {listed === null ? 'nothing' : `${listed} min`}; it rests on{' '}
          {estimate.restsOn === 1 ? 'one run' : `${estimate.restsOn} runs`}.
        </span>
      </p>
      <Folded title="How it is calculated">
        <table className="rows" aria-label={`Factors of ${name}`}>
          <tbody>
            {estimate.factors.map(({ name: factor, factor: times }) => (
              <tr key={factor}>
                <td>{factorText(factor)}</td>
                <td className="number">× {times.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Folded>
      <Folded title={`The runs (${cases.length})`}>
        <div className="sheet">
          <table className="rows" aria-label={`Runs of ${name}`}>
            <thead>
              <tr>
                {['Day', 'Order', 'Who', 'Covers', 'Minutes each', 'Expected', ''].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {cases.map((one) => (
                <CaseRow key={one.runId} case={one} />
              ))}
            </tbody>
          </table>
        </div>
      </Folded>
    </Panel>
  );
}

const factorText = (factor: string): string => {
  if (factor === 'level') return 'This workroom beside its list';
  if (factor === 'seam') return 'Length of its seams beside the usual of the kind';
  const [type, ...rest] = factor.split(' ');
  const name = rest.join(' ');
  return type === 'kind' ? 'This kind' : type === 'option' ? `With ${name}` : name;
};

function CaseRow({ case: one }: { case: KindMinutes['cases'][number] }) {
  const router = useRouter();
  const [why, setWhy] = useState<string | null>(null);
  const [isBusy, start] = useTransition();
  const save = (reason: string) =>
    start(async () => {
      const answer = await send(setMinutesAside, one.runId, reason);
      if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
      setWhy(null);
      router.refresh();
    });
  return (
    <tr>
      <td className="nowrap">{one.day}</td>
      <td>{one.orderNo}</td>
      <td>{one.person ?? ''}</td>
      <td className="number">{one.covers}</td>
      <td className="number">{one.each}</td>
      <td className="number">{one.expected}</td>
      <td>
        {one.setAside ? (
          <HStack gap="3" wrap="wrap">
            <span className="muted">Set aside: {one.setAside}</span>
            <button type="button" className="text-button" disabled={isBusy} onClick={() => save('')}>
              Count it again
            </button>
          </HStack>
        ) : why === null ? (
          <HStack gap="3" wrap="wrap">
            {one.isOutlier && <span className="late">Not used: far above what is expected</span>}
            <button type="button" className="text-button" onClick={() => setWhy('')}>
              Set aside
            </button>
          </HStack>
        ) : (
          <HStack gap="2" wrap="wrap">
            <input
              className="small-date"
              aria-label="Why it does not count"
              placeholder="Why it does not count"
              value={why}
              maxLength={120}
              onChange={({ target }) => setWhy(target.value)}
            />
            <Button size="sm" loading={isBusy} disabled={why.trim() === ''} onClick={() => save(why)}>
              Save
            </Button>
            <Button size="sm" variant="ghost" onClick={() => setWhy(null)}>
              Cancel
            </Button>
          </HStack>
        )}
      </td>
    </tr>
  );
}
