import { screen, waitFor } from '@testing-library/dom';
import { useCallback, useState } from 'react';
import { useForm } from 'react-hook-form';
import { beforeEach, expect, test, vi } from 'vitest';
import { kindById } from '@/core/covers';
import { inches } from '@/core/length';
import { endOfDay, minuteOf, roomJob, usualHours, USUAL_ROOM, type OpenLine } from '@/core/schedule';
import type { RoomToAsk } from '@/features/days/asked';
import { USUAL_RULES } from '@/features/workroom/form';
import { field, press, seen, show, type } from '@/ui/testing/screen';
import { nearWorkers } from '@/ui/testing/workers';
import { orderForm } from '../../../../tests/support/forms';
import { emptyLine, type OrderForm, type PromiseForm } from '../form';
import { promiseWork } from '../promise-answer';
import { clothChoice } from '../testing';
import { OrderProvider } from './order-context';
import { PromiseBox } from './promise-box';

// A Wednesday; two people, and one other order that is wanted on Friday.
const NOW = minuteOf('2026-12-02T10:00')!;
const other: OpenLine = {
  lineId: 1,
  orderId: 7,
  due: endOfDay('2026-12-04')!,
  toCut: 0,
  toSew: 2,
  toCheck: 0,
  batchId: null,
  setting: 'a',
  sewing: { setup: 10, minutes: 700, half: [0, 0], fourFifths: [0, 0], restsOn: 0, factors: [] },
  cutMinutes: 30,
  held: '',
  notBefore: null,
  sewNotBefore: null,
  dries: 0,
};
const days = (rest: Partial<RoomToAsk> = {}): RoomToAsk => ({
  job: roomJob({
    now: NOW,
    days: 28,
    hours: USUAL_ROOM,
    people: [usualHours(1), usualHours(2)],
    lines: [other],
    batches: [],
    locks: [],
  }),
  runs: [{ id: 'line-1-sew', orderNo: 207, does: 'sew', what: '2 × Cushion', waitsFor: '' }],
  orders: [{ id: 7, no: 207 }],
  people: [
    { id: 1, name: 'Ada' },
    { id: 2, name: 'Ben' },
  ],
  sharePercent: 80,
  clothDays: 7,
  log: { list: [{ kind: 'envelope-cushion', setup: 10, each: 30 }], cases: [] },
  shelf: [['1', { name: 'Barge canvas', usable: inches(53), free: inches(900), comes: null, isWashed: false }]],
  notions: [],
  asked: [],
  ...rest,
});

let room: RoomToAsk | null;
let kept: PromiseForm | null;
beforeEach(() => {
  room = days();
  kept = null;
  nearWorkers(promiseWork);
  vi.stubGlobal('fetch', async () => (room ? Response.json(room) : new Response('', { status: 500 })));
});

function Form({ initial, onKept }: { initial: OrderForm; onKept: (promise: PromiseForm) => void }) {
  const { control, setValue, register } = useForm<OrderForm>({ defaultValues: initial });
  const [promise, setPromise] = useState<PromiseForm | null>(null);
  const take = useCallback(
    (next: PromiseForm) => {
      setPromise(next);
      onKept(next);
    },
    [onKept],
  );
  return (
    <OrderProvider cloths={[clothChoice('1', 'Barge canvas')]} own={[]} withdrawn={[]} workroom={USUAL_RULES}>
      <input aria-label="Due" {...register('due')} />
      <input aria-label="Width" {...register('lines.0.typed.width')} />
      <PromiseBox
        control={control}
        setValue={setValue}
        orderId={null}
        promise={promise}
        onPromise={take}
        error={undefined}
      />
    </OrderProvider>
  );
}
const line = { ...emptyLine(kindById('envelope-cushion')!), qty: '4', cloth: { face: '1' } };
const keep = (promise: PromiseForm) => {
  kept = promise;
};
const open = (due: string, typed: Record<string, string> = { width: '18', height: '18' }) =>
  show(<Form initial={{ ...orderForm([{ ...line, typed }]), due }} onKept={keep} />);
const answered = () => waitFor(() => expect(seen()).toContain('Ready by'), { timeout: 5000 });

test('says when it is ready and why not sooner, and takes the day that holds four times of five', async () => {
  const { me } = open('2026-12-18');
  await answered();
  expect(kept!.ready! <= kept!.safe!).toBe(true);
  expect(screen.queryByText('Why this day')).toBeNull();
  await me.click(screen.getByText('Why not sooner?'));
  expect(seen()).toMatch(/Cutting.*Sewing.*after its cutting.*Checking and packing.*after its sewing/);
  await press(me, 'Promise Wed 2 Dec');
  expect(field<HTMLInputElement>('Due').value).toBe(kept!.safe);
});

test('a day that is sooner than the plan’s asks for its reason, which is kept', async () => {
  const { me } = open('2026-12-01');
  await answered();
  expect(seen()).toContain('Wanted sooner');
  await type(me, field('Why this day'), 'the boat leaves');
  expect(kept!.why).toBe('the boat leaves');
});

test('more to sew is ready later; what is not typed to the end says nothing', async () => {
  const { me } = open('2026-12-30', { width: '', height: '18' });
  await waitFor(() => expect(seen()).toContain('once a line has its sizes'), { timeout: 5000 });
  await type(me, field('Width'), '18');
  await answered();
});

test('cloth that has to be bought moves it, and the reason is said', async () => {
  room = days({ shelf: [['1', { name: 'Barge canvas', usable: inches(53), free: 0, comes: null, isWashed: false }]] });
  const { me } = open('2026-12-30');
  await answered();
  expect(kept!.ready! >= '2026-12-09').toBe(true);
  await me.click(screen.getByText('Why not sooner?'));
  expect(seen()).toContain('Barge canvas has to be bought');
});

test('without the room it says that it does not know', async () => {
  room = null;
  open('2026-12-18');
  await waitFor(() => expect(seen()).toContain('is not known just now'));
  expect(screen.queryByText(/^Promise /)).toBeNull();
});
