'use client';

import { Box, Button, Flex, HStack, IconButton } from '@chakra-ui/react';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { NM } from '@/core/length';
import type { HandLay, Spot } from '@/core/marker';
import { ANYWHERE, NEAR } from '../hands/moves';
import { PAD, TableScene } from '../scene/scene';
import type { SceneItem, SceneLay, SceneShow, SceneView } from '../scene/scene-types';

/** A piece in the hand snaps to a place so near (pixels). */
const SNAP_PX = 14;
/** The hand trembles so far (pixels) before it moves anything. */
const TREMBLE_PX = 4;
const ZOOM_STEP = 1.4;
const PAN_PX = 80;

interface Props {
  lay: HandLay;
  scene: SceneLay;
  show: SceneShow;
  picked: string | null;
  litOrder: number | null;
  /** Tells whether pieces may be moved. */
  canMove: boolean;
  onPick: (key: string | null) => void;
  /** Why the held piece can't lie where it is, or nothing. */
  onHeld: (key: string | null, spot: Spot | null) => void;
  /** Where a piece was dropped: at a free place, at the nearest one, or nowhere. */
  onDrop: (key: string, wish: Spot, place: Spot | null) => void;
  /** Keys that are not the picture's own. True where it was taken. */
  onKey: (event: React.KeyboardEvent) => boolean;
}

interface Held {
  item: SceneItem;
  /** Where on the piece the hand holds it (mm). */
  grip: [number, number];
  from: [number, number];
  isMoving: boolean;
  wish: Spot | null;
  place: Spot | null;
}

/** The lay on its cloth: seen, zoomed, and moved by hand. */
// eslint-disable-next-line max-lines-per-function -- pointer, wheel and keys of one canvas share what is held
export function TableCanvas({ lay, scene, show, picked, litOrder, canMove, onPick, onHeld, onDrop, onKey }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const host = useRef<HTMLDivElement>(null);
  const drawing = useRef<TableScene | null>(null);
  const behavior = useRef<ZoomBehavior<HTMLDivElement, unknown> | null>(null);
  const held = useRef<Held | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [zoomed, setZoomed] = useState<ZoomTransform>(zoomIdentity);

  // The scale at which all was seen stays while pieces are moved: the picture must not jump under the hand.
  const longest = Math.max(...scene.lengths.map(({ shownMm }) => shownMm));
  const [fitLength, setFitLength] = useState(longest);
  const across = scene.lengths.reduce((sum, { widthMm }) => sum + widthMm, 0);
  const around = scene.lengths.length * (PAD.top + PAD.bottom);
  const fitScale =
    size.width > 0
      ? Math.max(
          1e-4,
          Math.min((size.width - PAD.left - PAD.right) / Math.max(fitLength, 1), (size.height - around) / across),
        )
      : 0;
  const spare = Math.max(0, size.height - around - fitScale * across) / 2;
  const view = useMemo<SceneView>(
    () => ({
      scale: fitScale * zoomed.k,
      x: zoomed.x + PAD.left * zoomed.k,
      y: zoomed.y + (PAD.top + spare) * zoomed.k,
    }),
    [fitScale, zoomed, spare],
  );

  useLayoutEffect(() => {
    const element = host.current!;
    const made = new TableScene(element, show);
    drawing.current = made;
    (element as { scene?: TableScene }).scene = made;
    const watch = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    watch.observe(element);
    const themes = new MutationObserver(() => made.setInk());
    themes.observe(document.documentElement, { attributes: true, attributeFilter: ['class', 'data-theme', 'style'] });
    behavior.current = zoom<HTMLDivElement, unknown>()
      .scaleExtent([1, 40])
      .filter((event: Event) => event.type === 'wheel' || !held.current)
      .on('zoom', (event) => setZoomed(event.transform));
    select(frame.current!).call(behavior.current).on('dblclick.zoom', null);
    return () => {
      watch.disconnect();
      themes.disconnect();
      made.destroy();
    };
    // The picture is made once; what it shows is given to it below.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useEffect(() => drawing.current?.resize(size.width, size.height), [size]);
  useEffect(() => drawing.current?.setLay(scene), [scene]);
  useEffect(() => drawing.current?.setShow(show), [show]);
  useEffect(() => drawing.current?.setState({ picked, litOrder, held: null }), [picked, litOrder, scene]);
  useEffect(() => {
    if (fitScale > 0) drawing.current?.setView(view, (PAD.top + PAD.bottom) / fitScale);
  }, [view, fitScale, scene]);
  useEffect(() => {
    if (behavior.current && size.width > 0)
      behavior.current
        .extent([
          [0, 0],
          [size.width, size.height],
        ])
        .translateExtent([
          [-PAD.left, -PAD.top],
          [size.width, size.height],
        ]);
  }, [size]);

  const drive = useCallback(
    (
      change: (z: ZoomBehavior<HTMLDivElement, unknown>, s: ReturnType<typeof select<HTMLDivElement, unknown>>) => void,
    ) => {
      if (behavior.current && frame.current) change(behavior.current, select<HTMLDivElement, unknown>(frame.current));
    },
    [],
  );
  const zoomBy = (factor: number) => drive((z, s) => s.call(z.scaleBy, factor));
  const fit = () => {
    setFitLength(longest);
    drive((z, s) => s.call(z.transform, zoomIdentity));
  };
  const fill = () =>
    drive((z, s) =>
      s.call(
        z.transform,
        zoomIdentity.scale(Math.max(1, (size.height - PAD.top - PAD.bottom) / (fitScale * scene.lengths[0]!.widthMm))),
      ),
    );
  const pan = (dx: number, dy: number) => drive((z, s) => s.call(z.translateBy, dx / zoomed.k, dy / zoomed.k));

  const pointOf = (event: React.PointerEvent): [number, number] => {
    const { left, top } = host.current!.getBoundingClientRect();
    return [event.clientX - left, event.clientY - top];
  };

  const onDown = (event: React.PointerEvent) => {
    if (event.button !== 0 || !drawing.current) return;
    const [x, y] = pointOf(event);
    const item = drawing.current.itemAt(x, y);
    if (!item) return;
    onPick(item.key);
    const place = drawing.current.placeAt(x, y)!;
    const hand = lay.item(item.key)!;
    if (!canMove || item.isLocked) return;
    held.current = {
      item,
      grip: [place.across - hand.x / NM.mm, place.along - hand.y / NM.mm],
      from: [x, y],
      isMoving: false,
      wish: null,
      place: null,
    };
    frame.current!.setPointerCapture(event.pointerId);
    event.stopPropagation();
  };

  const onMove = (event: React.PointerEvent) => {
    const hand = held.current;
    if (!hand || !drawing.current) return;
    const [x, y] = pointOf(event);
    if (!hand.isMoving && Math.hypot(x - hand.from[0], y - hand.from[1]) < TREMBLE_PX) return;
    hand.isMoving = true;
    const at = drawing.current.placeAt(x, y)!;
    const { turn } = lay.item(hand.item.key)!;
    const wish: Spot = {
      stock: at.stock,
      x: Math.round((at.across - hand.grip[0]) * NM.mm),
      y: Math.round((at.along - hand.grip[1]) * NM.mm),
      turn,
    };
    const snapped = lay.nearest(hand.item.key, wish, (SNAP_PX / view.scale) * NM.mm);
    const place = snapped ?? lay.nearest(hand.item.key, wish, NEAR);
    hand.wish = wish;
    hand.place = place;
    const shown = snapped ?? wish;
    drawing.current.setState({
      picked,
      litOrder,
      held: {
        item: movedItem(hand.item, lay, shown),
        stops: snapped === null,
        ghost: !snapped && place ? movedItem(hand.item, lay, place).ring : null,
      },
    });
    onHeld(hand.item.key, snapped ? null : wish);
  };

  const onUp = (event: React.PointerEvent) => {
    const hand = held.current;
    if (!hand) return;
    held.current = null;
    frame.current!.releasePointerCapture(event.pointerId);
    drawing.current?.setState({ picked, litOrder, held: null });
    onHeld(null, null);
    if (hand.isMoving && hand.wish)
      onDrop(hand.item.key, hand.wish, hand.place ?? lay.nearest(hand.item.key, hand.wish, ANYWHERE));
  };

  const onKeyDown = (event: React.KeyboardEvent) => {
    if (onKey(event)) return event.preventDefault();
    const keys: Record<string, () => void> = {
      '+': () => zoomBy(ZOOM_STEP),
      '=': () => zoomBy(ZOOM_STEP),
      '-': () => zoomBy(1 / ZOOM_STEP),
      '0': fit,
      ArrowLeft: () => pan(PAN_PX, 0),
      ArrowRight: () => pan(-PAN_PX, 0),
      ArrowUp: () => pan(0, PAN_PX),
      ArrowDown: () => pan(0, -PAN_PX),
    };
    const act = event.ctrlKey || event.metaKey ? undefined : keys[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };

  return (
    <Flex direction="column" h="full" minW="0" bg="bg.muted" borderWidth="1px" borderColor="border" borderRadius="sm">
      <HStack gap="1" px="1" justify="flex-end" bg="bg.panel" borderBottomWidth="1px" borderColor="border">
        <IconButton
          size="sm"
          variant="ghost"
          aria-label="Zoom out"
          title="Zoom out (-)"
          onClick={() => zoomBy(1 / ZOOM_STEP)}
        >
          <ZoomOut size={20} />
        </IconButton>
        <IconButton
          size="sm"
          variant="ghost"
          aria-label="Zoom in"
          title="Zoom in (+)"
          onClick={() => zoomBy(ZOOM_STEP)}
        >
          <ZoomIn size={20} />
        </IconButton>
        <IconButton size="sm" variant="ghost" aria-label="Show all of it" title="Show all of it (0)" onClick={fit}>
          <Maximize size={20} />
        </IconButton>
        <Button size="sm" variant="ghost" onClick={fill}>
          Full width
        </Button>
      </HStack>
      <Box
        ref={frame}
        flex="1"
        minH="0"
        overflow="hidden"
        tabIndex={0}
        role="application"
        aria-label={
          canMove
            ? 'The lay. Page Up and Page Down pick a piece, the arrow keys move it, R turns it, L locks it. + and - zoom, 0 shows all of it.'
            : 'The lay. Page Up and Page Down pick a piece. Arrow keys move the picture, + and - zoom, 0 shows all of it.'
        }
        css={{ touchAction: 'none', cursor: 'grab' }}
        onKeyDown={onKeyDown}
        onPointerDownCapture={onDown}
        onPointerMove={onMove}
        onPointerUp={onUp}
        onPointerCancel={onUp}
      >
        <Box ref={host} h="full" data-table-picture />
      </Box>
    </Flex>
  );
}

/** An item as it is drawn, lying at another spot. */
function movedItem(item: SceneItem, lay: HandLay, spot: Spot): SceneItem {
  const { x, y } = lay.item(item.key)!;
  const [dx, dy] = [(spot.x - x) / NM.mm, (spot.y - y) / NM.mm];
  const shift = (ring: [number, number][]) => ring.map(([cx, cy]): [number, number] => [cx + dx, cy + dy]);
  return {
    ...item,
    stock: spot.stock,
    ring: shift(item.ring),
    seam: item.seam && shift(item.seam),
    marks: item.marks.map((mark) => ({ ...mark, points: shift(mark.points) })),
  };
}
