import { nest } from '@/core/lay';
import { NM } from '@/core/length';
import { HandLay } from '@/core/marker';
import type { Cloth } from '@/core/cloth';
import { PAD, TableScene } from './scene';
import { sceneOf } from '../scene-lay';
import { NEAR } from '../hands/moves';
import { dissectedJob } from '@/bench/jobs';
import type { Frames, TableFigures } from '@/bench/browser';

// The table's picture in a page of its own, as the application draws it: frames while it is panned, zoomed and a piece is dragged.

const FRAMES = 90;
const nextFrame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));

async function frames(step: (i: number) => void): Promise<{ frames: Frames; work: number }> {
  const between: number[] = [];
  const works: number[] = [];
  // The first frames are those of what came before.
  for (let i = 0; i < 5; i++) await nextFrame();
  let last = await nextFrame();
  for (let i = 0; i < FRAMES; i++) {
    const begun = performance.now();
    step(i);
    works.push(performance.now() - begun);
    const now = await nextFrame();
    between.push(now - last);
    last = now;
  }
  const sorted = [...between].sort((a, b) => a - b);
  works.sort((a, b) => a - b);
  return {
    frames: { usual: sorted[FRAMES >> 1]!, p95: sorted[Math.floor(FRAMES * 0.95)]!, longest: sorted.at(-1)! },
    work: works[FRAMES >> 1]!,
  };
}

// eslint-disable-next-line max-lines-per-function -- one measurement after another
async function measure(pieces: number): Promise<TableFigures> {
  const { job } = dissectedJob(pieces, 7, 'free');
  const plan = nest(job, { steps: 1 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  const lay = new HandLay(job, plan.value);
  const cloth: Cloth = {
    name: 'bench',
    width: 54 * NM.in,
    selvage: [0, 0],
    repeat: null,
    turns: 'any',
    price: { minor: 1000, currency: 'GBP', per: 'yd' },
    sellingStep: NM.in,
  };
  const parts = job.pieces.map(({ id, width, height }, i) => ({
    id,
    orderNo: String(201 + (i % 9)),
    line: '1',
    name: 'front',
    sum: ['', ''] as [string, string],
    size: [width, height] as [number, number],
    isStrip: false,
  }));
  const look = {
    pattern: 'leaf',
    ground: '#dfe6d6',
    figure: '#4d7a5e',
    repeatAcross: 9 * NM.in,
    repeatAlong: 8 * NM.in,
    drop: 0.5,
    motif: [0, 0],
  } as const;
  const scene = sceneOf(
    lay,
    { cloth, parts, look: { ...look, motif: [0, 0] }, units: 'in', boughtNm: plan.value.used, marks: new Map() },
    'order',
  );
  const host = document.createElement('div');
  Object.assign(host.style, { width: '980px', height: '430px', position: 'relative' });
  document.body.replaceChildren(host);
  const picture = new TableScene(host, {
    by: 'order',
    pattern: true,
    labels: true,
    seams: true,
    marks: true,
    grain: true,
    overBound: true,
  });
  const long = plan.value.used / NM.mm;
  const fit = Math.min((980 - PAD.left - PAD.right) / long, (430 - PAD.top - PAD.bottom) / (54 * 25.4));
  picture.setLay(scene);
  const see = (scale: number, x: number) => picture.setView({ scale, x, y: PAD.top }, 100);
  see(fit, PAD.left);
  const pan = await frames((i) => see(fit * 4, PAD.left - i * 12));
  const zoom = await frames((i) => see(fit * (1 + Math.abs(45 - i) / 10), PAD.left));
  see(fit, PAD.left);
  const item = lay.items[lay.items.length >> 1]!;
  const drawn = scene.items.find(({ key }) => key === item.key)!;
  const drag = await frames((i) => {
    const spot = { stock: item.stock, x: item.x + i * NM.mm, y: Math.max(0, item.y - i * 8 * NM.mm), turn: item.turn };
    const snapped = lay.nearest(item.key, spot, (14 / fit) * NM.mm);
    const place = snapped ?? lay.nearest(item.key, spot, NEAR);
    const [dx, dy] = [(spot.x - item.x) / NM.mm, (spot.y - item.y) / NM.mm];
    const ring = drawn.ring.map(([x, y]): [number, number] => [x + dx, y + dy]);
    picture.setState({
      picked: item.key,
      litOrder: null,
      held: { item: { ...drawn, ring }, stops: place === null, ghost: null },
    });
  });
  const held = lay.withLock(item.key, true);
  const begun = performance.now();
  nest(held.lockedJob(), { steps: 1, start: held.plan });
  const again = performance.now() - begun;
  picture.destroy();
  return {
    pieces,
    pan: pan.frames,
    zoom: zoom.frames,
    drag: drag.frames,
    work: { pan: pan.work, zoom: zoom.work, drag: drag.work },
    again,
  };
}

(window as unknown as { measureTable: typeof measure }).measureTable = measure;
