import { markColour, markPath } from '@/ui/order-mark';
import type { SceneItem, SceneShow } from './scene-types';

/** How an item looks beside what it is. */
export interface ItemLook {
  show: SceneShow;
  font: string;
  isPicked: boolean;
  isDim: boolean;
  /** While it is held: whether it may lie where it is. */
  held: 'free' | 'stopped' | null;
}

const INK = '#14241f';
const STOP = '#992d20';
const NAME_PX = 13;
/** How wide a letter of the screens' typeface is on average, of its size; bold, with some to spare. */
const WIDEST_LETTER = 0.6;
/** Signs tell colours apart without colour; each is made into a path once. */
const signs = new Map<number, Path2D>();

function signOf(mark: number): Path2D {
  const known = signs.get(mark) ?? new Path2D(markPath(mark));
  signs.set(mark, known);
  return known;
}

/** A ring in millimetres as the picture lies: along the cloth to the right, across it down. */
export function trace(context: CanvasRenderingContext2D, ring: readonly (readonly [number, number])[]) {
  context.beginPath();
  ring.forEach(([x, y], i) => (i === 0 ? context.moveTo(y, x) : context.lineTo(y, x)));
  context.closePath();
}

/** Draws one item; a pixel of the screen is `px` millimetres. */
export function drawItem(context: CanvasRenderingContext2D, item: SceneItem, px: number, look: ItemLook) {
  const { show, isPicked, isDim, held } = look;
  const colour = held === 'stopped' ? STOP : markColour(item.tone);
  context.save();
  context.globalAlpha = isDim ? 0.35 : 1;
  trace(context, item.ring);
  context.fillStyle = `rgba(255,255,255,${held ? 0.85 : isPicked ? 0.95 : show.pattern ? 0.72 : 1})`;
  context.fill();
  context.globalAlpha *= isPicked || held ? 0.3 : 0.14;
  context.fillStyle = colour;
  context.fill();
  context.globalAlpha = isDim ? 0.35 : 1;
  context.lineJoin = 'round';
  context.strokeStyle = colour;
  context.lineWidth = (isPicked || held ? 5 : 2) * px;
  if (held === 'stopped') context.setLineDash([8 * px, 6 * px]);
  context.stroke();
  context.setLineDash([]);
  if (item.seam && show.seams) {
    trace(context, item.seam);
    context.lineWidth = px;
    context.setLineDash([5 * px, 4 * px]);
    context.stroke();
    context.setLineDash([]);
  }
  if (show.marks) drawMarks(context, item, px, look);
  const box = screenBoxOf(item.ring);
  if (held === 'stopped') drawCross(context, box, px);
  if (show.labels) {
    if (item.isStrip) drawStripLabel(context, item, px, look, colour);
    else drawPieceLabel(context, item, box, px, look, colour);
  }
  if (show.grain && !item.isStrip) drawGrain(context, item.turn, box, px);
  if (item.isLocked) drawLock(context, box, px);
  context.restore();
}

interface ScreenBox {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export function screenBoxOf(ring: readonly (readonly [number, number])[]): ScreenBox {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of ring) {
    if (y < left) left = y;
    if (y > right) right = y;
    if (x < top) top = x;
    if (x > bottom) bottom = x;
  }
  return { left, right, top, bottom };
}

function drawPieceLabel(
  context: CanvasRenderingContext2D,
  { orderNo, name, size, tone }: SceneItem,
  { left, right, top, bottom }: ScreenBox,
  px: number,
  { font }: ItemLook,
  colour: string,
) {
  const [wide, high] = [(right - left) / px, (bottom - top) / px];
  const sign = Math.min(16, high - 4, wide - 4);
  if (sign < 6) return;
  const rows = [`${orderNo}`, name, size];
  const longest = Math.max(name.length, size.length);
  const lines = high >= 58 && wide >= longest * 7.6 + 12 ? rows : high >= 22 && wide >= 58 ? rows.slice(0, 1) : [];
  // A low, long piece says it all on one line.
  const isOneLine = lines.length === 1 && wide >= (longest + name.length) * 7.6 + 80;
  context.save();
  context.translate(left + 6 * px, top + 5 * px);
  context.scale(px, px);
  drawSign(context, tone, sign, colour);
  context.fillStyle = INK;
  (isOneLine ? [`${orderNo} ${name} ${size}`] : lines).forEach((line, i) => {
    context.font = `${i === 1 ? 500 : 700} ${i === 0 && !isOneLine ? 15 : NAME_PX}px ${font}`;
    context.fillText(line, i === 0 ? sign + 5 : 0, i * 17 + 13);
  });
  context.restore();
}

function drawSign(context: CanvasRenderingContext2D, tone: number, size: number, colour: string) {
  context.save();
  context.scale(size / 20, size / 20);
  context.fillStyle = colour;
  context.fill(signOf(tone), 'evenodd');
  context.restore();
}

/** A strip says whose and what it is along its long edge, in its middle, as much of it as the strip has room for. */
function drawStripLabel(
  context: CanvasRenderingContext2D,
  { ring, orderNo, name, tone }: SceneItem,
  px: number,
  { font }: ItemLook,
  colour: string,
) {
  const { middle, angle, length, thick } = alongStrip(ring);
  const size = Math.min(NAME_PX, thick / px - 3);
  if (size < 9) return;
  const sign = size + 4;
  // A slanted end takes as much of the length as the strip is thick.
  const room = (length - thick) / px - 8;
  const words = [`${orderNo} ${name}`, `${orderNo}`].find((line) => sign + line.length * size * WIDEST_LETTER <= room);
  if (words === undefined) return;
  const half = (sign + words.length * size * WIDEST_LETTER) / 2;
  context.save();
  context.translate(middle[0], middle[1]);
  context.rotate(angle);
  context.scale(px, px);
  context.save();
  context.translate(-half, -size / 2);
  drawSign(context, tone, size, colour);
  context.restore();
  context.font = `700 ${size}px ${font}`;
  context.fillStyle = INK;
  context.fillText(words, -half + sign, size * 0.36);
  context.restore();
}

/** Where words lie on a strip, in millimetres of the picture: its middle, the angle of its long edge, its length and thickness. */
function alongStrip(ring: SceneItem['ring']) {
  const points = ring.map(([x, y]) => [y, x] as const);
  let [dx, dy, length] = [0, 0, 0];
  points.forEach((from, i) => {
    const to = points[(i + 1) % points.length]!;
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (long > length) [dx, dy, length] = [to[0] - from[0], to[1] - from[1], long];
  });
  const across = points.map(([x, y]) => (y * dx - x * dy) / length);
  const angle = Math.atan2(dy, dx);
  return {
    middle: [0, 1].map((k) => points.reduce((sum, point) => sum + point[k]!, 0) / points.length) as [number, number],
    // Never upside down.
    angle: angle > Math.PI / 2 ? angle - Math.PI : angle <= -Math.PI / 2 ? angle + Math.PI : angle,
    length,
    thick: Math.max(...across) - Math.min(...across),
  };
}

const CROSS_PX = 7;

/** Draws the marks of a piece, each with its number: a cross, or a line. */
function drawMarks(context: CanvasRenderingContext2D, { marks }: SceneItem, px: number, { font }: ItemLook) {
  context.strokeStyle = '#1d5fb8';
  context.fillStyle = '#1d5fb8';
  context.lineWidth = 1.5 * px;
  for (const { n, points } of marks) {
    const [[x, y], end] = points as [[number, number], [number, number] | undefined];
    context.beginPath();
    if (end) {
      context.setLineDash([7 * px, 3 * px, 2 * px, 3 * px]);
      context.moveTo(y, x);
      context.lineTo(end[1], end[0]);
    } else {
      context.moveTo(y - CROSS_PX * px, x);
      context.lineTo(y + CROSS_PX * px, x);
      context.moveTo(y, x - CROSS_PX * px);
      context.lineTo(y, x + CROSS_PX * px);
    }
    context.stroke();
    context.setLineDash([]);
    const [ty, tx] = end ? [(y + end[1]) / 2, (x + end[0]) / 2] : [y, x];
    context.save();
    context.translate(ty, tx);
    context.scale(px, px);
    context.font = `700 11px ${font}`;
    context.fillText(String(n), 4, -3);
    context.restore();
  }
}

/** Which way the piece points: the way its cover's length runs, which nap and motifs follow. */
function drawGrain(
  context: CanvasRenderingContext2D,
  turn: number,
  { left, right, top, bottom }: ScreenBox,
  px: number,
) {
  const [wide, high] = [(right - left) / px, (bottom - top) / px];
  const long = Math.min(turn % 180 === 0 ? wide : high, 90) - 18;
  if (long < 16) return;
  context.save();
  context.translate((left + right) / 2, (top + bottom) / 2);
  context.scale(px, px);
  // The picture lies with the cloth’s length to the right: a turn to the left on the cloth is one to the left here.
  context.rotate((-turn * Math.PI) / 180);
  context.strokeStyle = INK;
  context.lineWidth = 2;
  context.beginPath();
  context.moveTo(-long / 2, 0);
  context.lineTo(long / 2, 0);
  context.moveTo(long / 2 - 7, -5);
  context.lineTo(long / 2, 0);
  context.lineTo(long / 2 - 7, 5);
  context.stroke();
  context.restore();
}

/** A closed padlock in the far corner: it stays where it is. */
function drawLock(context: CanvasRenderingContext2D, { right, bottom }: ScreenBox, px: number) {
  context.save();
  context.translate(right - 20 * px, bottom - 22 * px);
  context.scale(px, px);
  context.fillStyle = INK;
  context.fillRect(2, 8, 13, 10);
  context.strokeStyle = INK;
  context.lineWidth = 2.5;
  context.beginPath();
  context.arc(8.5, 8, 4.5, Math.PI, 0);
  context.stroke();
  context.restore();
}

function drawCross(context: CanvasRenderingContext2D, { left, right, top, bottom }: ScreenBox, px: number) {
  const half = Math.min(22 * px, (right - left) / 3, (bottom - top) / 3);
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  context.strokeStyle = STOP;
  context.lineWidth = 5 * px;
  context.beginPath();
  context.moveTo(x - half, y - half);
  context.lineTo(x + half, y + half);
  context.moveTo(x + half, y - half);
  context.lineTo(x - half, y + half);
  context.stroke();
}
