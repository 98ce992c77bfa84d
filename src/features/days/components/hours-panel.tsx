'use client';

import { Button, Grid, HStack, IconButton, Stack } from '@chakra-ui/react';
import { format } from 'date-fns';
import { CalendarDays, Plus, Trash2 } from 'lucide-react';
import { useRef, useState, useTransition } from 'react';
import { refuse, type Fault } from '@/core/result';
import {
  usualHours,
  WORK_LABELS,
  WORKS,
  type DayHours,
  type DaysOff,
  type PersonHours,
  type RoomHours,
} from '@/core/schedule';
import { send } from '@/features/commands/send';
import { Choice, TextField } from '@/ui/fields/choice';
import { Notice, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { saveHours } from '../actions';

/** Largest calendar file (bytes). */
const MOST_FILE = 2_000_000;
const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

interface Props {
  initial: RoomHours;
  people: readonly { id: number; name: string }[];
}

/** When people work and what each does, how many can work at each place, and when nobody is there: what the days are planned by. */
// eslint-disable-next-line max-lines-per-function -- one form from top to bottom
export function HoursPanel({ initial, people }: Props) {
  const [hours, setHours] = useState(initial);
  const [saved, setSaved] = useState(initial);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [isBusy, start] = useTransition();
  const calendar = useRef<HTMLInputElement>(null);
  useUnsaved(hours !== saved && !isBusy);
  const change = (part: Partial<RoomHours>) => {
    setFaults([]);
    setHours({ ...hours, ...part });
  };
  const of = (id: number) => hours.people.find(({ personId }) => personId === id) ?? usualHours(id);
  const set = (own: PersonHours) =>
    change({ people: [...hours.people.filter(({ personId }) => personId !== own.personId), own] });
  const setOff = (i: number, part: Partial<DaysOff>) =>
    change({ off: hours.off.map((one, k) => (k === i ? { ...one, ...part } : one)) });
  const takeCalendar = async (input: HTMLInputElement) => {
    const [file] = input.files ?? [];
    if (!file) return;
    // The reader of calendar files is loaded when one is read.
    const { readHolidays, withHolidays } = await import('../holidays');
    const read =
      file.size > MOST_FILE
        ? refuse('holidays', 'holidays', 'A calendar file has at most 2 MB.')
        : readHolidays(await file.text(), format(new Date(), 'yyyy-MM-dd'));
    if (!read.ok) return setFaults([...read.faults]);
    change({ off: withHolidays(hours.off, read.value) });
  };
  const save = () =>
    start(async () => {
      const answer = await send(saveHours, hours);
      if (!answer.ok) return setFaults(answer.faults);
      setSaved(hours);
      toaster.create({ title: 'The hours are saved; the days are planned by them.', type: 'success' });
    });
  return (
    <Panel
      title={<span id="hours">Hours of the room</span>}
      aside={
        <Button onClick={save} loading={isBusy} disabled={hours === saved}>
          {hours === saved ? 'Saved' : 'Save hours'}
        </Button>
      }
    >
      <Stack gap="5">
        {faults[0] && <Notice level="stop">{faults[0].message}</Notice>}
        {people.length === 0 && <p className="muted">Nobody works here yet: add people first.</p>}
        {people.map(({ id, name }) => (
          <PersonRow key={id} name={name} hours={of(id)} onChange={set} />
        ))}
        <Grid templateColumns="repeat(auto-fill, minmax(240px, 1fr))" gap="4" alignItems="end">
          <TextField
            label="Share of a day for covers, %"
            isCount
            value={String(hours.sharePercent)}
            onChange={(text) => change({ sharePercent: Number(text) })}
          />
          <TextField
            label="Minutes a clock believes without a tick"
            isCount
            value={String(hours.gapMinutes)}
            onChange={(text) => change({ gapMinutes: Number(text) })}
          />
          <TextField
            label="Days until what is bought is there"
            isCount
            value={String(hours.clothDays)}
            onChange={(text) => change({ clothDays: Number(text) })}
          />
          {WORKS.map((work) => (
            <TextField
              key={work}
              label={`At once: ${WORK_LABELS[work].toLowerCase()}`}
              isCount
              value={String(hours.seats[work])}
              onChange={(text) => change({ seats: { ...hours.seats, [work]: Number(text) } })}
            />
          ))}
        </Grid>
        <label className="hours-tick">
          <input
            type="checkbox"
            className="tick"
            checked={hours.hasNames}
            onChange={({ target }) => change({ hasNames: target.checked })}
          />
          Figures and minutes name people
        </label>
        <Stack gap="3">
          <p className="strong">Days off and holidays</p>
          {hours.off.map((one, i) => (
            <HStack key={i} gap="3" wrap="wrap" align="flex-end">
              <Choice
                label="Who"
                value={String(one.personId ?? '')}
                choices={[
                  { id: '', label: 'everybody' },
                  ...people.map(({ id, name }) => ({ id: String(id), label: name })),
                ]}
                onChange={(id) => setOff(i, { personId: id === '' ? null : Number(id) })}
              />
              <DayField label="First day" value={one.from} onChange={(from) => setOff(i, { from })} />
              <DayField label="Last day" value={one.to} onChange={(to) => setOff(i, { to })} />
              <TextField label="Why" value={one.why} onChange={(why) => setOff(i, { why })} />
              <IconButton
                variant="ghost"
                aria-label={`Take days off ${i + 1} away`}
                onClick={() => change({ off: hours.off.filter((_, k) => k !== i) })}
              >
                <Trash2 size={18} />
              </IconButton>
            </HStack>
          ))}
          <HStack gap="3" wrap="wrap">
            <Button
              variant="outline"
              onClick={() => change({ off: [...hours.off, { personId: null, from: '', to: '', why: '' }] })}
            >
              <Plus size={18} /> Days off
            </Button>
            <Button variant="outline" onClick={() => calendar.current?.click()}>
              <CalendarDays size={18} /> Holidays from a calendar file
            </Button>
            <input
              ref={calendar}
              type="file"
              accept=".ics,text/calendar"
              hidden
              aria-label="Calendar file of the holidays"
              onChange={({ target }) => void takeCalendar(target)}
            />
          </HStack>
        </Stack>
      </Stack>
    </Panel>
  );
}

function DayField({ label, value, onChange }: { label: string; value: string; onChange: (day: string) => void }) {
  return (
    <label className="hours-day">
      <span className="strong small">{label}</span>
      <input type="date" value={value} onChange={({ target }) => onChange(target.value)} />
    </label>
  );
}

interface RowProps {
  name: string;
  hours: PersonHours;
  onChange: (hours: PersonHours) => void;
}

/** One person: the sorts of work, the days, and the hours that hold on each of them. */
function PersonRow({ name, hours, onChange }: RowProps) {
  const usual = hours.week.find((day) => day !== null) ?? usualHours(0).week[0]!;
  const setDay = (part: Partial<DayHours>) =>
    onChange({ ...hours, week: hours.week.map((day) => day && { ...usual, ...part }) });
  const time = (label: string, key: keyof DayHours) => (
    <label className="hours-day">
      <span className="strong small">{label}</span>
      <input type="time" value={usual[key]} onChange={({ target }) => setDay({ [key]: target.value })} />
    </label>
  );
  return (
    <Stack gap="2" role="group" aria-label={`Hours of ${name}`}>
      <strong>{name}</strong>
      <HStack gap="4" wrap="wrap" align="flex-end">
        {WORKS.map((work) => (
          <label key={work} className="hours-tick">
            <input
              type="checkbox"
              className="tick"
              checked={hours.does.includes(work)}
              onChange={({ target }) =>
                onChange({
                  ...hours,
                  does: WORKS.filter((one) => (one === work ? target.checked : hours.does.includes(one))),
                })
              }
            />
            {WORK_LABELS[work]}
          </label>
        ))}
      </HStack>
      <HStack gap="4" wrap="wrap" align="flex-end">
        {DAYS.map((day, i) => (
          <label key={day} className="hours-tick">
            <input
              type="checkbox"
              className="tick"
              checked={hours.week[i] !== null}
              onChange={({ target }) =>
                onChange({
                  ...hours,
                  week: hours.week.map((one, k) => (k === i ? (target.checked ? usual : null) : one)),
                })
              }
            />
            {day}
          </label>
        ))}
        {time('From', 'from')}
        {time('To', 'to')}
        {time('Break from', 'breakFrom')}
        {time('Break to', 'breakTo')}
      </HStack>
    </Stack>
  );
}
