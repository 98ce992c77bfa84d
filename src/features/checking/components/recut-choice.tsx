'use client';

import { Button, NativeSelect } from '@chakra-ui/react';
import { useEffect, useState, useTransition } from 'react';
import { printMoney } from '@/core/cost';
import { printLength, STYLES, type OrderUnits } from '@/core/length';
import { send } from '@/features/commands/send';
import { Fractions } from '@/ui/fraction';
import { Notice } from '@/ui/page';
import { chooseRecut, offersFor } from '../actions';
import type { RecutOffer, RecutPart } from '../recut-offers';
import { RecutPicture } from './recut-picture';

interface Props {
  lineId: number;
  findingId: string;
  parts: readonly RecutPart[];
  units: OrderUnits;
  onDone: () => void;
  onClose: () => void;
}

const SORTS = { remnant: 'Remnant', bolt: 'Bolt', batch: 'With the batch' } as const;

/** The part that is cut again, and where from: what fits is shown on its cloth, with what it takes and costs. */
export function RecutChoice({ lineId, findingId, parts, units, onDone, onClose }: Props) {
  const keyOf = ({ clothId, part }: RecutPart) => `${clothId} ${part}`;
  const [chosen, setChosen] = useState(parts[0] ? keyOf(parts[0]) : '');
  const [found, setFound] = useState<{ of: string; offers: RecutOffer[] } | null>(null);
  const [fault, setFault] = useState('');
  const [isBusy, start] = useTransition();
  const part = parts.find((one) => keyOf(one) === chosen);
  useEffect(() => {
    if (!part) return;
    let isHere = true;
    offersFor(lineId, part.clothId, part.part).then(
      (offers) => isHere && setFound({ of: chosen, offers }),
      () => isHere && setFault('The shelf could not be asked: try again when the network is there.'),
    );
    return () => {
      isHere = false;
    };
  }, [lineId, part, chosen]);
  // Offers of another part are none of this one.
  const offers = found?.of === chosen ? found.offers : null;
  if (!part)
    return (
      <Notice level="warn">
        None of its cloth has been cut by a lay here. Note what it takes on the page of its lay.
      </Notice>
    );
  const take = ({ key }: RecutOffer) =>
    start(async () => {
      const answer = await send(chooseRecut, { findingId, clothId: part.clothId, part: part.part, offer: key });
      if (!answer.ok) return setFault(answer.faults[0]!.message);
      onDone();
    });
  const size = (length: number) => printLength(length, STYLES[units]);
  const hasLot = offers?.some(({ sort, isOtherLot }) => sort !== 'batch' && !isOtherLot);
  return (
    <div className="recut-choice">
      <NativeSelect.Root size="lg" disabled={isBusy}>
        <NativeSelect.Field aria-label="Part" value={chosen} onChange={({ target }) => setChosen(target.value)}>
          {parts.map((one) => (
            <option key={keyOf(one)} value={keyOf(one)}>
              {one.name}, {one.clothName}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      {fault && <Notice level="stop">{fault}</Notice>}
      {offers === null && !fault && <p className="muted">Looking on the shelf…</p>}
      {offers?.length === 0 && (
        <Notice level="warn">
          No cloth on the shelf holds this part{part.isMatched && ' with its motif in the right place'}. Buy some of it,
          or take it with the next batch of this cloth.
        </Notice>
      )}
      {offers && offers.length > 0 && !hasLot && part.lot !== '' && (
        <Notice level="warn">
          Nothing of lot {part.lot} holds it. What is offered is of another lot: lay it beside the cover in daylight
          first.
        </Notice>
      )}
      <ul className="recut-offers">
        {offers?.map((offer) => (
          <li key={offer.key} className="recut-offer">
            {offer.item && offer.place && <RecutPicture item={offer.item} place={offer.place} name={part.name} />}
            <span className="recut-words">
              <strong>
                {SORTS[offer.sort]} {offer.from}
              </strong>
              <span className={offer.isOtherLot ? 'recut-warn' : 'muted'}>
                {offer.lot && `lot ${offer.lot}${offer.isOtherLot ? ', another one' : ''}`}
                {part.isMatched && offer.place && ', motif as before'}
              </span>
              <span>
                <Fractions>{`${offer.sort === 'batch' ? 'about ' : ''}${size(offer.lengthNm)}`}</Fractions>,{' '}
                {printMoney(offer.costMinor, offer.currency)}
              </span>
            </span>
            <Button onClick={() => take(offer)} loading={isBusy}>
              {offer.sort === 'batch' ? 'Wait for it' : 'Cut it here'}
            </Button>
          </li>
        ))}
      </ul>
      <Button variant="ghost" onClick={onClose}>
        Not now
      </Button>
    </div>
  );
}
