'use client';

import { Button, HStack } from '@chakra-ui/react';
import { Check, CloudOff, TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { OrderUnits } from '@/core/length';
import { judge, SAME_PATTERN, whyNotRight, type Look } from '@/core/making';
import { CoverDrawing } from '@/ui/cover/cover-drawing';
import { Conflicts } from '@/ui/kept/conflicts';
import { Link } from '@/ui/link';
import { OrderMark } from '@/ui/order-mark';
import { Notice, PageHead, Panel } from '@/ui/page';
import { counted } from '@/ui/words';
import { shownCovers, type CheckedCover } from '../check-entries';
import { offText } from '../off-text';
import { useCheck } from '../device/use-check';
import type { CheckView } from '../queries';
import { FindingCard } from './finding-card';
import { FindingForm } from './finding-form';
import { LookRow } from './look-row';
import { SpotPicker } from './spot-picker';
import { TypedChecklist } from './typed-checklist';

interface Props {
  view: CheckView;
  person: { name: string } | null;
}

/** The finding of a look in words, as far as the look itself says it. */
function foundText(look: Look, { answers }: CheckedCover, units: OrderUnits): string {
  const measured = answers.find(({ n }) => n === look.n)?.measuredNm ?? null;
  return measured === null ? `not right: ${look.what}` : `${look.what} ${offText(judge(look, measured).off, units)}`;
}

/** The check of a line on a tablet: cover by cover, look by look, with what was found and what is done about it. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; its parts share the cover in hand
export function CheckPage({ view, person }: Props) {
  const { lineId, order, looks, units, kind, cover: made, qty } = view;
  const device = useCheck(lineId, view.state);
  const { sheet, network, isLoaded } = device;
  const covers = useMemo(() => shownCovers(sheet, person?.name ?? ''), [sheet, person]);
  // The cover in hand stays in hand when it moves on.
  const [chosen, setChosen] = useState(
    () => (view.state.covers.find(({ state }) => state === 'to check') ?? view.state.covers[0])?.id,
  );
  /** The look on which something is being noted; `other`: beside the checklist. */
  const [finding, setFinding] = useState<Look | 'other' | null>(null);
  const cover = covers.find(({ id }) => id === chosen) ?? covers[0];
  if (!cover) return <Notice level="warn">This line has no covers yet: its batch is not approved.</Notice>;
  const isClosed = !isLoaded || (cover.state !== 'to check' && cover.state !== 'checked') || cover.hold !== null;
  const why = whyNotRight(
    looks,
    cover.answers,
    cover.findings.map(({ look, closed }) => ({ look, isOpen: closed === null })),
  );
  const seen = looks.filter(({ n, size }) => size === undefined && !cover.answers.some((answer) => answer.n === n));
  const spots = cover.findings.flatMap(({ spot, what, closed }) =>
    spot && closed === null ? [{ at: spot, label: what }] : [],
  );
  const drawing = <CoverDrawing kind={kind} cover={made} units={units} id={`check-${lineId}`} isPlain />;
  const go = (id: number) => {
    setChosen(id);
    setFinding(null);
  };
  return (
    <>
      <PageHead
        title={
          <>
            <OrderMark mark={order.mark} size={26} /> Check of order {order.no}
          </>
        }
        about={
          <HStack as="span" gap="3" wrap="wrap">
            <span>
              {qty} × {kind.name}, {order.customer}
            </span>
            {network === 'away' && (
              <HStack as="span" gap="1" color="warn.line">
                <CloudOff size={18} />
                {sheet.waiting.length} not sent yet
              </HStack>
            )}
          </HStack>
        }
      >
        <Button asChild variant="ghost">
          <Link href="/checking">All checks</Link>
        </Button>
        <Button asChild variant="outline">
          <Link href={`/orders/${order.id}/way`}>Its order</Link>
        </Button>
      </PageHead>
      <div className="way">
        <Conflicts conflicts={sheet.conflicts} onSeen={device.forgetConflicts} />
        <div className="run-covers" role="group" aria-label="Covers">
          {covers.map(({ id, number, state, hold, findings }) => (
            <button key={id} type="button" className="run-cover" aria-pressed={id === cover.id} onClick={() => go(id)}>
              <span>{hold ? `held: ${hold}` : state}</span>
              <strong>{number}</strong>
              <span className="run-cover-sign">
                {findings.some(({ closed }) => closed === null) ? (
                  <TriangleAlert size={22} aria-label="something is found" />
                ) : state === 'checked' || state === 'packed' || state === 'handed over' ? (
                  <Check size={22} aria-label="right" />
                ) : null}
              </span>
            </button>
          ))}
        </div>
        <Panel title={`Cover ${cover.number} of ${qty}`}>
          {isClosed && isLoaded && (
            <p className="muted">
              {cover.hold
                ? `It is held (${cover.hold}).`
                : cover.state === 'to mend'
                  ? 'It is to be mended: it is checked again after that.'
                  : `It is ${cover.state}.`}
            </p>
          )}
          <ol className="check-looks">
            {looks.map((look) => (
              <LookRow
                key={`${cover.id} ${look.n}`}
                look={look}
                units={units}
                answer={cover.answers.find(({ n }) => n === look.n)}
                isClosed={isClosed}
                onAnswer={(measuredNm, isRight) => device.look(cover.id, look.n, measuredNm, isRight)}
                onFind={() => setFinding(look)}
              />
            ))}
          </ol>
          {looks.some(({ what }) => what === SAME_PATTERN) && view.batchId !== null && (
            <p>
              <Link className="way-link" href={`/batches/${view.batchId}/finished`}>
                The covers of its batch, as its lays show the pattern
              </Link>
            </p>
          )}
          {finding !== null && (
            <FindingForm
              key={finding === 'other' ? 'other' : finding.n}
              look={finding === 'other' ? null : finding}
              begins={finding === 'other' ? '' : foundText(finding, cover, units)}
              drawing={drawing}
              onFind={(found) => {
                device.find(cover.id, found);
                setFinding(null);
              }}
              onClose={() => setFinding(null)}
            />
          )}
          <div className="check-foot">
            {seen.length > 0 && (
              <Button
                size="lg"
                variant="outline"
                disabled={isClosed}
                onClick={() => seen.forEach(({ n }) => device.look(cover.id, n, null, true))}
              >
                {counted(seen.length, 'look')} by eye: all right
              </Button>
            )}
            <Button
              size="lg"
              disabled={isClosed || why !== null || cover.state === 'checked'}
              onClick={() => device.pass(cover.id)}
            >
              <Check /> Cover {cover.number} is right
            </Button>
            <Button
              size="lg"
              variant="ghost"
              disabled={
                !isLoaded || cover.state === 'to cut' || cover.state === 'packed' || cover.state === 'handed over'
              }
              onClick={() => setFinding('other')}
            >
              Something else was found
            </Button>
          </div>
          {!isClosed && why && cover.state === 'to check' && <p className="muted">{why}</p>}
        </Panel>
        {cover.findings.length > 0 && (
          <Panel title="What was found on it">
            <div className="check-found">
              <ul className="finding-list">
                {cover.findings.map((one) => (
                  <FindingCard
                    key={one.id}
                    finding={one}
                    cover={cover}
                    lineId={lineId}
                    units={units}
                    parts={view.parts}
                    isSent={!sheet.waiting.some(({ entry }) => entry === one.id)}
                    onClose={() => device.close(cover.id, one.id)}
                    onChanged={() => void device.lookAgain()}
                  />
                ))}
              </ul>
              {spots.length > 0 && <SpotPicker spots={spots}>{drawing}</SpotPicker>}
            </div>
          </Panel>
        )}
        <details>
          <summary>Type the printed checklist in</summary>
          <TypedChecklist looks={looks} covers={covers} units={units} onAnswer={device.look} />
        </details>
      </div>
    </>
  );
}
