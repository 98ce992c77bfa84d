'use client';

import { Button } from '@chakra-ui/react';
import { Camera, Check } from 'lucide-react';
import { useRef, useState } from 'react';
import type { OrderUnits } from '@/core/length';
import { CAUSE_LABELS, DECISION_LABELS } from '@/core/making';
import { send } from '@/features/commands/send';
import { Link } from '@/ui/link';
import { toaster } from '@/ui/toaster';
import { recutIsCut } from '../actions';
import type { CheckedCover, FindingView } from '../check-entries';
import type { RecutPart } from '../recut-offers';
import { RecutChoice } from './recut-choice';

interface Props {
  finding: FindingView;
  cover: CheckedCover;
  lineId: number;
  units: OrderUnits;
  parts: readonly RecutPart[];
  /** It is known on the server: photographs and recuts go there. */
  isSent: boolean;
  onClose: () => void;
  onChanged: () => void;
}

const MOST_PHOTOS = 3;

/** A finding with its decision: photographs, the piece that is cut again, and the word that it is right now. */
export function FindingCard({ finding, cover, lineId, units, parts, isSent, onClose, onChanged }: Props) {
  const { id, what, cause, decision, minutesLost, closed, photos, recuts, by } = finding;
  const [isChoosing, setIsChoosing] = useState(false);
  const isWaiting = recuts.some(({ isCut }) => !isCut);
  const cutNow = async (recut: number) => {
    const answer = await send(recutIsCut, recut, null);
    if (!answer.ok) return void toaster.create({ title: answer.faults[0]!.message, type: 'error' });
    onChanged();
  };
  return (
    <li className="finding-card" data-open={closed === null || undefined}>
      <p>
        <strong>{what}</strong>
      </p>
      <p className="small muted">
        {CAUSE_LABELS[cause]}; {DECISION_LABELS[decision].toLowerCase()}
        {minutesLost > 0 && `; ${minutesLost} min lost`}
        {by && `; ${by}`}
        {closed !== null && `. Closed: ${closed}`}
      </p>
      {photos.length > 0 && (
        <div className="finding-photos">
          {photos.map((photo) => (
            <a key={photo} href={`/api/findings/photos/${photo}`} target="_blank" rel="noreferrer">
              {/* eslint-disable-next-line @next/next/no-img-element -- kept in the database, already as small as it is shown */}
              <img src={`/api/findings/photos/${photo}`} alt={`Photograph: ${what}`} />
            </a>
          ))}
        </div>
      )}
      {recuts.map((recut) => (
        <p key={recut.id} className="finding-recut">
          <span>
            {recut.name} again, {recut.from}, {recut.cost}
          </span>
          <Link className="way-link" href={recut.label}>
            Its label
          </Link>
          {recut.isCut ? (
            <span className="inline">
              <Check size={18} aria-hidden /> cut
            </span>
          ) : (
            <Button variant="outline" onClick={() => void cutNow(recut.id)}>
              It is cut
            </Button>
          )}
        </p>
      ))}
      {closed === null && (
        <div className="check-answers">
          {decision === 'recut' && !isChoosing && (
            <Button onClick={() => setIsChoosing(true)} disabled={!isSent}>
              {recuts.length === 0 ? 'Choose the piece and the cloth' : 'Another piece'}
            </Button>
          )}
          <Button variant="outline" onClick={onClose} disabled={isWaiting || cover.hold !== null}>
            <Check size={18} /> Right now
          </Button>
          <PhotoButton findingId={id} isDisabled={!isSent || photos.length >= MOST_PHOTOS} onKept={onChanged} />
        </div>
      )}
      {isChoosing && closed === null && (
        <RecutChoice
          lineId={lineId}
          findingId={id}
          parts={parts}
          units={units}
          onDone={() => {
            setIsChoosing(false);
            onChanged();
          }}
          onClose={() => setIsChoosing(false)}
        />
      )}
    </li>
  );
}

/** Takes a photograph with the tablet, or lets one be chosen. */
function PhotoButton({
  findingId,
  isDisabled,
  onKept,
}: {
  findingId: string;
  isDisabled: boolean;
  onKept: () => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [isBusy, setIsBusy] = useState(false);
  const keep = async (file: File) => {
    setIsBusy(true);
    try {
      const response = await fetch(`/api/findings/${findingId}/photos`, {
        method: 'POST',
        headers: { 'content-type': file.type || 'image/jpeg' },
        body: file,
        signal: AbortSignal.timeout(60_000),
      });
      const answer = (await response.json()) as { ok: boolean; faults?: { message: string }[] };
      if (answer.ok) onKept();
      else toaster.create({ title: answer.faults?.[0]?.message ?? 'The picture was not taken.', type: 'error' });
    } catch {
      toaster.create({ title: 'The picture was not sent: try again when the network is there.', type: 'error' });
    } finally {
      setIsBusy(false);
    }
  };
  return (
    <>
      <Button variant="ghost" disabled={isDisabled} loading={isBusy} onClick={() => input.current?.click()}>
        <Camera size={18} /> Photograph
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label="Photograph of the finding"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void keep(file);
        }}
      />
    </>
  );
}
