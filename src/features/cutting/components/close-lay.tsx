'use client';

import { Button, Grid, HStack, IconButton, Stack, Text } from '@chakra-ui/react';
import { Plus, Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Fault } from '@/core/result';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { LengthField } from '@/ui/fields/length-field';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { longLength } from '@/ui/words';
import { closeLay } from '../actions';
import { NOT_ON_SHELF, EVENT_LABELS, EVENT_SORTS, type EventForm, type RemnantForm } from '../form';
import type { CuttingView } from '../queries';
import { proposed } from './closed-lay';

/** The form that closes the lay: what was cut from, what went otherwise, and which remnants are kept. */
export function CloseLay({ view }: { view: CuttingView }) {
  const { batch, clothId, lengths } = view;
  const router = useRouter();
  const [planned] = useState(() => lengths.map(({ code, itemId }) => ({ code, itemId })));
  const [from, setFrom] = useState(planned);
  const [events, setEvents] = useState<EventForm[]>(view.found);
  const [remnants, setRemnants] = useState<Kept[]>(view.remnants);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  useUnsaved((from !== planned || events !== view.found || remnants !== view.remnants) && !isBusy);
  const errorAt = (field: string) => faults.find((fault) => fault.field === field)?.message;
  /** A setter that takes the faults away: what they spoke of has changed. */
  const edited =
    <T,>(set: (next: T) => void) =>
    (next: T) => {
      setFaults([]);
      set(next);
    };
  const close = () =>
    start(async () => {
      const answer = await send(closeLay, {
        batchId: batch.id,
        clothId,
        version: batch.version,
        from,
        events,
        remnants: remnants.map(({ hasShape: _, ...remnant }) => remnant),
      });
      if (!answer.ok) return setFaults(answer.faults);
      const kept = remnants.filter(({ isKept }) => isKept).length;
      toaster.create({
        title: `${view.clothName} is cut.`,
        description:
          kept > 0
            ? `${kept} ${kept === 1 ? 'remnant is' : 'remnants are'} on the shelf; print ${kept === 1 ? 'its label' : 'their labels'} there.`
            : undefined,
        type: 'success',
      });
      if (answer.value.isBatchCut) router.push(`/batches/${batch.id}`);
      else router.refresh();
    });
  return (
    <Stack gap="5">
      {faults
        .filter(({ field }) => field === '' || field === 'from')
        .map(({ message }) => (
          <Notice key={message} level="stop">
            {message}
          </Notice>
        ))}
      <CutFrom view={view} from={from} onChange={edited(setFrom)} />
      <Problems view={view} events={events} errorAt={errorAt} onChange={edited(setEvents)} />
      <WorthKeeping view={view} remnants={remnants} errorAt={errorAt} onChange={edited(setRemnants)} />
      <HStack gap="4" justify="flex-end">
        <Text color="fg.muted">Close the cutter’s blade, roll what is left and put the labels on it.</Text>
        <Button size="lg" onClick={close} loading={isBusy}>
          {events.length === 0 ? 'Cut as planned' : 'Close with what happened'}
        </Button>
      </HStack>
    </Stack>
  );
}

type From = { code: string; itemId: number | null }[];
type Kept = RemnantForm & { hasShape: boolean };

/** A list with one of its rows changed. */
const changed = <T,>(all: readonly T[], i: number, part: Partial<T>): T[] =>
  all.map((one, k) => (k === i ? { ...one, ...part } : one));

function CutFrom({ view, from, onChange }: { view: CuttingView; from: From; onChange: (from: From) => void }) {
  const { lengths, units } = view;
  return (
    <Panel title="Cut from">
      {view.areSheets && (
        <Text>
          {lengths.length} {lengths.length === 1 ? 'sheet' : 'sheets'}, taken from the oldest on the shelf.
        </Text>
      )}
      {!view.areSheets && (
        <Grid templateColumns="repeat(auto-fit, minmax(260px, 1fr))" gap="4">
          {lengths.map(({ code, usedNm, choices }, i) => (
            <Choice
              key={code}
              label={`${longLength(usedNm, units)}, planned on ${code === 'roll' ? 'new cloth' : code}`}
              value={String(from[i]!.itemId ?? NOT_ON_SHELF)}
              choices={[
                { id: NOT_ON_SHELF, label: 'cloth that is not kept on the shelf' },
                ...choices.map(({ id, code: of, lot, leftNm }) => ({
                  id: String(id),
                  label: `${of}${lot && `, lot ${lot}`}, ${longLength(leftNm, units)} left`,
                })),
              ]}
              onChange={(id) => onChange(changed(from, i, { itemId: id === NOT_ON_SHELF ? null : Number(id) }))}
            />
          ))}
        </Grid>
      )}
    </Panel>
  );
}

interface ListProps<T> {
  view: CuttingView;
  errorAt: (field: string) => string | undefined;
  onChange: (next: T[]) => void;
}

function Problems({ view, events, errorAt, onChange }: ListProps<EventForm> & { events: EventForm[] }) {
  const { lengths, parts, units } = view;
  const codes = lengths.map(({ code }) => ({ id: code, label: code }));
  const change = (i: number, part: Partial<EventForm>) => onChange(changed(events, i, part));
  return (
    <Panel
      title="Problems"
      aside={
        <Button
          size="sm"
          variant="outline"
          onClick={() =>
            onChange([...events, { sort: 'end crooked', code: lengths[0]!.code, length: '', part: '', why: '' }])
          }
        >
          <Plus size={18} /> Report a problem
        </Button>
      }
    >
      {events.length === 0 ? (
        <Text color="fg.muted">Nothing: all was cut as planned.</Text>
      ) : (
        <Stack gap="4">
          {events.map((event, i) => (
            <HStack key={i} gap="4" align="flex-start">
              <Grid flex="1" templateColumns="repeat(auto-fit, minmax(150px, 1fr))" gap="4">
                <Choice
                  label="What"
                  value={event.sort}
                  choices={EVENT_SORTS.map((id) => ({ id, label: EVENT_LABELS[id] }))}
                  onChange={(sort) => change(i, { sort: sort as EventForm['sort'] })}
                />
                {codes.length > 1 && (
                  <Choice
                    label="On"
                    value={event.code}
                    choices={codes}
                    error={errorAt(`events.${i}.code`)}
                    onChange={(code) => change(i, { code })}
                  />
                )}
                <LengthField
                  label="Extra length used"
                  units={units}
                  value={event.length}
                  hint="length along the bolt"
                  error={errorAt(`events.${i}.length`)}
                  onChange={(length) => change(i, { length })}
                />
                {event.sort !== 'end crooked' && (
                  <Choice
                    label="Piece"
                    value={event.part}
                    choices={[{ id: '', label: event.sort === 'recut' ? 'choose it' : 'none of one order' }, ...parts]}
                    error={errorAt(`events.${i}.part`)}
                    onChange={(part) =>
                      change(i, {
                        part,
                        ...(event.sort === 'recut' && { length: proposed(parts, event, part) }),
                      })
                    }
                  />
                )}
                <TextField
                  label="Why"
                  value={event.why}
                  error={errorAt(`events.${i}.why`)}
                  onChange={(why) => change(i, { why })}
                />
              </Grid>
              <IconButton
                variant="ghost"
                aria-label="Take this out"
                mt="7"
                onClick={() => onChange(events.filter((_, k) => k !== i))}
              >
                <Trash2 size={18} />
              </IconButton>
            </HStack>
          ))}
        </Stack>
      )}
    </Panel>
  );
}

function WorthKeeping({ view, remnants, errorAt, onChange }: ListProps<Kept> & { remnants: Kept[] }) {
  const { lengths, units } = view;
  const change = (i: number, part: Partial<Kept>) => onChange(changed(remnants, i, part));
  return (
    <Panel
      title="Worth keeping"
      aside={
        <Button
          size="sm"
          variant="outline"
          onClick={() =>
            onChange([
              ...remnants,
              {
                code: lengths[0]!.code,
                proposed: null,
                isKept: true,
                across: '',
                along: '',
                place: '',
                hasShape: false,
              },
            ])
          }
        >
          <Plus size={18} /> Another remnant
        </Button>
      }
    >
      {remnants.length === 0 ? (
        <Text color="fg.muted">
          Nothing that is left is as large as the workroom keeps. Add one if you see it otherwise.
        </Text>
      ) : (
        <Stack gap="3">
          {remnants.map((remnant, i) => (
            <HStack key={i} gap="4" align="flex-start">
              <label className="inline tick-line">
                <input
                  type="checkbox"
                  className="tick"
                  aria-label={`Keep remnant ${i + 1}`}
                  checked={remnant.isKept}
                  onChange={(event) => change(i, { isKept: event.target.checked })}
                />
                <span className="nowrap">
                  of {remnant.code === 'roll' ? 'new cloth' : remnant.code}
                  {remnant.hasShape && ', shaped'}
                </span>
              </label>
              <LengthField
                label="Across"
                units={units}
                value={remnant.across}
                hint="as you measure it"
                error={errorAt(`remnants.${i}.across`)}
                onChange={(across) => change(i, { across })}
              />
              <LengthField
                label="Along"
                units={units}
                value={remnant.along}
                hint="as you measure it"
                error={errorAt(`remnants.${i}.along`)}
                onChange={(along) => change(i, { along })}
              />
              <TextField
                label="Place"
                value={remnant.place}
                hint="where it goes"
                onChange={(place) => change(i, { place })}
              />
            </HStack>
          ))}
        </Stack>
      )}
    </Panel>
  );
}
