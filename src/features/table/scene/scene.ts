import Konva from 'konva/lib/Core';
import { Shape } from 'konva/lib/Shape';
import { screenBoxOf, drawItem, type ItemLook } from './draw-item';
import { ClothPaint, drawCloth, drawLines, TAPE_PX } from './draw-length';
import type { SceneItem, SceneLay, SceneLength, SceneShow, SceneView } from './scene-types';

/** Room around a length on the screen, in pixels: the tape above it, the words below. */
export const PAD = { left: 14, right: 14, top: TAPE_PX + 16, bottom: 30 };

/** Where each length begins on the picture (mm): one below the other, `gap` mm apart. */
function topsOf(lengths: readonly SceneLength[], gap: number): number[] {
  let top = 0;
  return lengths.map(({ widthMm }) => {
    const own = top;
    top += widthMm + gap;
    return own;
  });
}

/** Picked, held and lit items; the lit order, or null for all. */
interface SceneState {
  picked: string | null;
  litOrder: number | null;
  held: { item: SceneItem; stops: boolean; ghost: [number, number][] | null } | null;
}

interface Drawn {
  item: SceneItem;
  node: Shape;
  box: ReturnType<typeof screenBoxOf>;
}

/**
 * The picture of a lay on canvases: the cloth below, a retained shape for each item, of which only those in sight are drawn, and the hand's own
 * layer above, so that a held piece moves without anything else being drawn.
 */
export class TableScene {
  private readonly stage: Konva.Stage;
  private readonly cloth = new Konva.Layer({ listening: false });
  private readonly pieces = new Konva.Layer({ listening: false });
  private readonly hand = new Konva.Layer({ listening: false });
  private readonly drawn = new Map<string, Drawn>();
  private lay: SceneLay | null = null;
  private tops: number[] = [];
  private gap = 0;
  private view: SceneView = { scale: 1, x: 0, y: 0 };
  private paint: ClothPaint | null = null;
  private photo: HTMLImageElement | null = null;
  private readonly font: string;
  private ink = '#14241f';

  constructor(
    container: HTMLDivElement,
    private show: SceneShow,
    private state: SceneState = { picked: null, litOrder: null, held: null },
  ) {
    this.stage = new Konva.Stage({ container, width: container.clientWidth, height: container.clientHeight });
    this.stage.listening(false);
    const style = getComputedStyle(container);
    this.font = style.fontFamily;
    this.ink = style.color;
    this.cloth.add(shapeOf((context) => this.drawCloths(context)));
    this.hand.add(shapeOf((context) => this.drawHand(context)));
    this.stage.add(this.cloth, this.pieces, this.hand);
  }

  resize(width: number, height: number) {
    this.stage.size({ width, height });
    this.place();
  }

  setLay(lay: SceneLay) {
    const isOtherLook = JSON.stringify(lay.look) !== JSON.stringify(this.lay?.look);
    this.lay = lay;
    if (isOtherLook) this.loadLook();
    const keys = new Set(lay.items.map(({ key }) => key));
    for (const [key, { node }] of this.drawn) {
      if (keys.has(key)) continue;
      node.destroy();
      this.drawn.delete(key);
    }
    for (const item of lay.items) {
      const known = this.drawn.get(item.key);
      if (known) Object.assign(known, { item, box: screenBoxOf(item.ring) });
      else this.drawn.set(item.key, this.addItem(item));
    }
    this.place();
  }

  /** `gap` mm lie between one length and the next. */
  setView(view: SceneView, gap: number) {
    this.view = view;
    this.gap = gap;
    this.place();
  }

  setShow(show: SceneShow) {
    this.show = show;
    this.place();
  }

  setState(state: SceneState) {
    const isOnlyHand =
      this.state.picked === state.picked &&
      this.state.litOrder === state.litOrder &&
      this.state.held?.item.key === state.held?.item.key;
    this.state = state;
    if (isOnlyHand) this.hand.batchDraw();
    else this.place();
  }

  /** The colour of words beside the cloth, after the theme has changed. */
  setInk() {
    this.ink = getComputedStyle(this.stage.container()).color;
    this.cloth.batchDraw();
    this.hand.batchDraw();
  }

  /** Draws all that waits at once: for measurements. */
  drawNow() {
    this.stage.draw();
  }

  destroy() {
    this.stage.destroy();
  }

  /** The item at a point of the screen, the uppermost one. */
  itemAt(x: number, y: number): SceneItem | null {
    const { scale } = this.view;
    const along = (x - this.view.x) / scale;
    let found: SceneItem | null = null;
    for (const { item, box } of this.drawn.values()) {
      const across = (y - this.view.y) / scale - this.topOf(item.stock);
      if (along < box.left || along > box.right || across < box.top || across > box.bottom) continue;
      if (isInside(item.ring, across, along)) found = item;
    }
    return found;
  }

  /** Where a point of the screen lies on the cloth: the length that is nearest, mm across from its edge and along from its squared end. */
  placeAt(x: number, y: number): { stock: string; across: number; along: number } | null {
    if (!this.lay) return null;
    const [along, down] = [(x - this.view.x) / this.view.scale, (y - this.view.y) / this.view.scale];
    const distance = (i: number) => {
      const [top, width] = [this.tops[i]!, this.lay!.lengths[i]!.widthMm];
      return Math.max(top - down, down - top - width, 0);
    };
    const nearest = this.lay.lengths.map((_, i) => i).reduce((a, b) => (distance(b) < distance(a) ? b : a));
    return { stock: this.lay.lengths[nearest]!.code, across: down - this.tops[nearest]!, along };
  }

  /** Where a box of an item lies on the screen. */
  screenBox(key: string): { x: number; y: number; width: number; height: number } | null {
    const one = this.drawn.get(key);
    if (!one) return null;
    const { scale, x, y } = this.view;
    const { left, right, top, bottom } = one.box;
    return {
      x: x + left * scale,
      y: y + (this.topOf(one.item.stock) + top) * scale,
      width: (right - left) * scale,
      height: (bottom - top) * scale,
    };
  }

  private addItem(item: SceneItem): Drawn {
    const drawn: Drawn = { item, box: screenBoxOf(item.ring), node: null as unknown as Shape };
    drawn.node = shapeOf((context) => {
      const { item: own } = drawn;
      if (this.state.held?.item.key === own.key) return;
      drawItem(context, own, 1 / this.view.scale, this.lookOf(own));
    });
    this.pieces.add(drawn.node);
    return drawn;
  }

  private lookOf({ key, orderNo }: SceneItem): ItemLook {
    const { picked, litOrder } = this.state;
    return {
      show: this.show,
      font: this.font,
      isPicked: picked === key,
      isDim: litOrder !== null && litOrder !== orderNo,
      held: null,
    };
  }

  /** Moves the layers to the view, hides what is out of sight, and draws. */
  private place() {
    if (!this.lay) return;
    const { scale, x, y } = this.view;
    this.tops = topsOf(this.lay.lengths, this.gap);
    for (const layer of [this.cloth, this.pieces, this.hand]) layer.setAttrs({ x, y, scaleX: scale, scaleY: scale });
    const [left, right] = [-x / scale, (this.stage.width() - x) / scale];
    const [top, bottom] = [-y / scale, (this.stage.height() - y) / scale];
    for (const { item, node, box } of this.drawn.values()) {
      const down = this.topOf(item.stock);
      node.y(down);
      node.visible(box.right >= left && box.left <= right && down + box.bottom >= top && down + box.top <= bottom);
    }
    for (const layer of [this.cloth, this.pieces, this.hand]) layer.batchDraw();
  }

  private topOf(stock: string): number {
    return this.tops[this.lay!.lengths.findIndex(({ code }) => code === stock)] ?? 0;
  }

  private drawCloths(context: CanvasRenderingContext2D) {
    if (!this.lay || !this.paint) return;
    const px = 1 / this.view.scale;
    this.lay.lengths.forEach((length, i) => {
      context.save();
      context.translate(0, this.tops[i]!);
      drawCloth(context, length, this.paint!, this.lay!.look.ground, px, this.show);
      context.restore();
    });
  }

  /** Layer above the pieces: lines and tapes, the place that a held piece would snap to, and the piece itself. */
  private drawHand(context: CanvasRenderingContext2D) {
    if (!this.lay) return;
    const { held } = this.state;
    const px = 1 / this.view.scale;
    this.lay.lengths.forEach((length, i) => {
      context.save();
      context.translate(0, this.tops[i]!);
      drawLines(context, length, this.lay!.units, px, this.font, this.show, this.ink);
      context.restore();
    });
    if (!held) return;
    context.save();
    context.translate(0, this.topOf(held.item.stock));
    if (held.ghost) {
      context.strokeStyle = '#14241f';
      context.lineWidth = 2 * px;
      context.setLineDash([6 * px, 4 * px]);
      context.beginPath();
      held.ghost.forEach(([gx, gy], i) => (i === 0 ? context.moveTo(gy, gx) : context.lineTo(gy, gx)));
      context.closePath();
      context.stroke();
      context.setLineDash([]);
    }
    drawItem(context, held.item, px, { ...this.lookOf(held.item), held: held.stops ? 'stopped' : 'free' });
    context.restore();
  }

  private loadLook() {
    const { look } = this.lay!;
    this.photo = null;
    this.paint = new ClothPaint(look, null);
    if (!look.photo) return;
    const image = new Image();
    image.onload = () => {
      if (this.lay?.look.photo !== look.photo) return;
      this.photo = image;
      this.paint = new ClothPaint(look, image);
      this.cloth.batchDraw();
    };
    image.src = look.photo;
  }
}

/** A retained shape that is drawn by hand in its layer's millimetres. */
const shapeOf = (draw: (context: CanvasRenderingContext2D) => void) =>
  new Shape({ listening: false, perfectDrawEnabled: false, sceneFunc: (context) => draw(context._context) });

/** Tells whether a point (mm across, along) lies inside a ring. */
function isInside(ring: readonly (readonly [number, number])[], x: number, y: number): boolean {
  let isIn = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[i]!;
    const [bx, by] = ring[j]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) isIn = !isIn;
  }
  return isIn;
}
