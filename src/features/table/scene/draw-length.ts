import { NM, type Units } from '@/core/length';
import { tileOf, type ClothLook } from '@/ui/cloth/cloth-shapes';
import { tapeMarks } from '@/ui/shape/tape';
import { lengthText } from '../lay-view';
import { trace } from './draw-item';
import type { SceneLength, SceneShow } from './scene-types';

const INK = '#14241f';
const STOP = '#992d20';
/** The most pixels of one side of a pattern's tile. */
const TILE_PX = 640;
export const TAPE_PX = 30;
const WORDS_PX = 190;

/** A cloth's pattern as a paint of a canvas, in millimetres from the length's left edge and squared end. */
export class ClothPaint {
  private readonly canvas: HTMLCanvasElement;
  private readonly perMm: number;
  private readonly motif: [number, number];

  /** `photo`: the picture of one repeat, once it is loaded. */
  constructor(look: ClothLook, photo: CanvasImageSource | null) {
    const tile = tileOf(photo ? look : { ...look, photo: null });
    this.motif = [look.motif[0] / NM.mm, look.motif[1] / NM.mm];
    this.perMm = Math.min(4, TILE_PX / Math.max(tile.width, tile.height));
    this.canvas = document.createElement('canvas');
    this.canvas.width = Math.max(1, Math.round(tile.width * this.perMm));
    this.canvas.height = Math.max(1, Math.round(tile.height * this.perMm));
    const context = this.canvas.getContext('2d')!;
    context.scale(this.canvas.width / tile.width, this.canvas.height / tile.height);
    for (const { d, transform, fill, stroke, strokeWidth, opacity } of tile.shapes) {
      context.save();
      context.transform(...transform);
      context.globalAlpha = opacity;
      const path = new Path2D(d);
      if (fill) {
        context.fillStyle = fill;
        context.fill(path, 'evenodd');
      }
      if (stroke) {
        context.strokeStyle = stroke;
        context.lineWidth = strokeWidth;
        context.stroke(path);
      }
      context.restore();
    }
    if (photo) for (const { x, y, width, height } of tile.photos) context.drawImage(photo, x, y, width, height);
    this.scale = [tile.width / this.canvas.width, tile.height / this.canvas.height];
  }

  private readonly scale: [number, number];

  /** Whose motif lies elsewhere: another length's own. */
  paint(context: CanvasRenderingContext2D, motif: readonly [number, number] = this.motif): CanvasPattern {
    const pattern = context.createPattern(this.canvas, 'repeat')!;
    const [sx, sy] = this.scale;
    // Lying: the cloth's along runs to the right and its across down.
    pattern.setTransform(new DOMMatrix([0, sx, sy, 0, motif[1], motif[0]]));
    return pattern;
  }
}

/** Draws a length of cloth without what lies on it. */
export function drawCloth(
  context: CanvasRenderingContext2D,
  length: SceneLength,
  paint: ClothPaint,
  ground: string,
  px: number,
  show: SceneShow,
) {
  const { widthMm: width, shownMm: shown, selvageMm, outline } = length;
  const used = length.usedNm / NM.mm;
  context.fillStyle = show.pattern ? paint.paint(context, length.motifMm) : ground;
  if (outline) {
    trace(context, outline);
    context.fill();
  } else context.fillRect(0, 0, shown, width);
  if (!outline && shown > used) {
    context.fillStyle = 'rgba(255,255,255,0.45)';
    context.fillRect(used, 0, shown - used, width);
  }
  drawSelvage(context, 0, shown, selvageMm[0], px);
  drawSelvage(context, width - selvageMm[1], shown, selvageMm[1], px);
  context.strokeStyle = INK;
  context.lineWidth = 1.5 * px;
  if (outline) {
    trace(context, outline);
    context.stroke();
  } else context.strokeRect(0, 0, shown, width);
  context.strokeStyle = STOP;
  context.lineWidth = 2 * px;
  for (const [x0, y0, x1, y1] of length.flaws) {
    if (y0 >= shown) continue;
    const end = Math.min(y1, shown);
    context.fillStyle = '#f6d9d2';
    context.fillRect(y0, x0, end - y0, x1 - x0);
    context.strokeRect(y0, x0, end - y0, x1 - x0);
    context.beginPath();
    context.moveTo(y0, x0);
    context.lineTo(end, x1);
    context.moveTo(end, x0);
    context.lineTo(y0, x1);
    context.stroke();
  }
}

function drawSelvage(context: CanvasRenderingContext2D, top: number, length: number, width: number, px: number) {
  if (width <= 0) return;
  context.fillStyle = '#fff';
  context.fillRect(0, top, length, width);
  context.fillStyle = '#8a968f';
  for (let x = 0; x < length; x += 9 * px) context.fillRect(x, top, 3.5 * px, width);
}

/** Draws over the pieces: where the cloth is cut off, the proven length, and the tape. */
export function drawLines(
  context: CanvasRenderingContext2D,
  length: SceneLength,
  units: Units,
  px: number,
  font: string,
  show: SceneShow,
  ink: string,
) {
  const used = length.usedNm / NM.mm;
  const bound = length.boundNm === null ? used : length.boundNm / NM.mm;
  const { widthMm: width } = length;
  if (show.overBound && used > bound) {
    context.fillStyle = 'rgba(153,45,32,0.16)';
    context.fillRect(bound, 0, used - bound, width);
  }
  line(context, used, width, px, STOP, []);
  if ((used - bound) / px > 6) line(context, bound, width, px, INK, [6 * px, 5 * px]);
  context.save();
  // On a short lay the words run on to the right, else they would begin outside.
  context.translate(used < WORDS_PX * px ? 0 : used, width + 20 * px);
  context.scale(px, px);
  context.font = `700 14px ${font}`;
  context.fillStyle = ink;
  context.textAlign = used < WORDS_PX * px ? 'left' : 'right';
  context.fillText(`${length.name}cut here ${lengthText(length.usedNm, units)}`, 0, 0);
  context.restore();
  drawTape(context, length.shownMm, units, px, font);
}

function line(context: CanvasRenderingContext2D, x: number, width: number, px: number, colour: string, dash: number[]) {
  context.strokeStyle = colour;
  context.lineWidth = 3 * px;
  context.setLineDash(dash);
  context.beginPath();
  context.moveTo(x, -4 * px);
  context.lineTo(x, width + 4 * px);
  context.stroke();
  context.setLineDash([]);
}

/** A tape measure along the upper edge; its steps follow the zoom. */
function drawTape(context: CanvasRenderingContext2D, length: number, units: Units, px: number, font: string) {
  const { unitMm: unit, tick, label } = tapeMarks(units, 1 / px);
  context.save();
  context.translate(0, -(TAPE_PX + 6) * px);
  context.fillStyle = '#f4c21f';
  context.fillRect(0, 0, length, TAPE_PX * px);
  context.fillStyle = INK;
  context.strokeStyle = INK;
  context.textAlign = 'left';
  for (let at = 0; at * unit <= length; at += tick) {
    const isLong = at % label === 0;
    context.save();
    context.translate(at * unit, 0);
    context.scale(px, px);
    context.lineWidth = isLong ? 1.6 : 1;
    context.beginPath();
    context.moveTo(0, TAPE_PX);
    context.lineTo(0, isLong ? 6 : 19);
    context.stroke();
    if (isLong && (length - at * unit) / px > 24) {
      context.font = `700 14px ${font}`;
      context.fillText(String(at), 4, 17);
    }
    context.restore();
  }
  context.restore();
}
