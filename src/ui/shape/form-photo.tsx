'use client';

import { Box, Button, Flex, HStack, Stack, Text } from '@chakra-ui/react';
import { Camera } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import type { Pixel } from '@/core/cloth/photo';
import { formFromPhoto, perimeterOf, refineCorners, SHEETS, type SheetId, type SheetPhoto } from '@/core/covers';
import { printLength, STYLES, type Nm, type OrderUnits } from '@/core/length';
import { Choice } from '../fields/choice';
import { FileDrop } from '../fields/file-drop';
import { Fractions } from '../fraction';
import { useUnsaved } from '../unsaved/unsaved';
import { writeCorners } from './outline-text';
import { isTooLarge } from './picture-size';

const MOST_BYTES = 30_000_000;
/** A larger picture is made smaller to this (px): finer than anybody marks. */
const MOST_SIDE = 2_600;
/** So near to a mark (px of the screen) a tap takes hold of it. */
const HOLD_PX = 18;
const LOUPE = { size: 150, zoom: 4 };
const SHEET_COLOUR = '#1d5fb8';
const FORM_COLOUR = '#b9472b';

interface Picture {
  url: string;
  width: number;
  height: number;
  grey: Uint8ClampedArray;
}

type Mark = { of: 'corner' | 'point'; i: number };

/** A form from a photograph on which a sheet of paper of known size lies beside it: its corners are marked, then the form's edge. */
export function FormPhoto({ units, onCorners }: { units: OrderUnits; onCorners: (corners: string) => void }) {
  const [isOpen, setOpen] = useState(false);
  const [picture, setPicture] = useState<Picture | null>(null);
  const [problem, setProblem] = useState('');
  const take = async (file: File) => {
    setProblem('');
    if (file.size > MOST_BYTES) return setProblem('A picture may have at most 30 MB; make it smaller.');
    if (await isTooLarge(file)) return setProblem('This picture has more than 100 million pixels; make it smaller.');
    const read = await readPicture(file);
    if (!read) return setProblem('This is no picture that can be shown; take a JPEG, PNG or WebP.');
    setPicture(read);
  };
  useEffect(
    () => () => {
      if (picture) URL.revokeObjectURL(picture.url);
    },
    [picture],
  );
  if (!isOpen)
    return (
      <Button size="sm" variant="outline" mt="2" onClick={() => setOpen(true)}>
        <Camera size={17} /> From a photograph
      </Button>
    );
  return (
    <Box mt="3" borderWidth="1px" borderColor="border" borderRadius="sm" p="3">
      {!picture ? (
        <FileDrop
          label="A photograph of the form"
          accept="image/jpeg,image/png,image/webp"
          sign={<Camera size={32} aria-hidden />}
          button="Choose a photograph"
          about="The form and a sheet of A4 or Letter lie flat beside each other, all four corners of the sheet in sight. The picture stays on this device."
          onFile={(file) => void take(file)}
        />
      ) : (
        <Marking
          picture={picture}
          units={units}
          onOther={() => setPicture(null)}
          onUse={(corners) => {
            onCorners(corners);
            setPicture(null);
            setOpen(false);
          }}
        />
      )}
      {problem && (
        <Text role="alert" color="fg.error" mt="2">
          {problem}
        </Text>
      )}
      {!picture && (
        <Button size="sm" variant="ghost" mt="2" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      )}
    </Box>
  );
}

/** The marks on a photograph, the sheet's corners first, and what pointer and keys do to them. */

function useMarks(picture: Picture, frame: RefObject<HTMLDivElement | null>) {
  const { width, height } = picture;
  const [corners, setCorners] = useState<Pixel[]>([]);
  const [outline, setOutline] = useState<Pixel[]>([]);
  const [held, setHeld] = useState<Mark | null>(null);
  const [picked, setPicked] = useState<Mark | null>(null);
  const at = ({ of, i }: Mark) => (of === 'corner' ? corners : outline)[i];
  const within = ([x, y]: Pixel): Pixel => [Math.min(Math.max(x, 0), width), Math.min(Math.max(y, 0), height)];
  const put = ({ of, i }: Mark, to: Pixel) =>
    (of === 'corner' ? setCorners : setOutline)((all) => all.map((one, k) => (k === i ? within(to) : one)));
  const pointOf = (event: React.PointerEvent): Pixel => {
    const box = frame.current!.getBoundingClientRect();
    return [((event.clientX - box.left) / box.width) * width, ((event.clientY - box.top) / box.height) * height];
  };
  const scale = () => width / frame.current!.getBoundingClientRect().width;
  const nearest = ([x, y]: Pixel): Mark | null => {
    const all = [
      ...corners.map((one, i) => ({ of: 'corner' as const, i, one })),
      ...outline.map((one, i) => ({ of: 'point' as const, i, one })),
    ];
    const far = all.map(({ one }) => Math.hypot(one[0] - x, one[1] - y));
    const best = far.indexOf(Math.min(...far));
    return best >= 0 && far[best]! <= HOLD_PX * scale() ? all[best]! : null;
  };
  const add = (to: Pixel): Mark => {
    if (corners.length < 4) {
      const next = [...corners, to];
      // With the fourth the sheet's own edges say where its corners are.
      setCorners(next.length === 4 ? refineCorners(picture, next as SheetPhoto['corners']) : next);
      return { of: 'corner', i: corners.length };
    }
    const i = placeIn(outline, to, HOLD_PX * scale());
    setOutline([...outline.slice(0, i), to, ...outline.slice(i)]);
    return { of: 'point', i };
  };
  const onDown = (event: React.PointerEvent) => {
    event.preventDefault();
    frame.current!.setPointerCapture(event.pointerId);
    const to = within(pointOf(event));
    const mark = nearest(to) ?? add(to);
    setPicked(mark);
    // The fourth corner has gone to where the edges meet: it is not dragged along.
    if (mark.of === 'point' || corners.length !== 3 || mark.i < 3) setHeld(mark);
    frame.current!.focus();
  };
  const takeAway = () => {
    if (picked?.of === 'point') setOutline((all) => all.filter((_, k) => k !== picked.i));
    else setOutline((all) => all.slice(0, -1));
    setPicked(null);
  };
  const onKey = (event: React.KeyboardEvent) => {
    const by: Record<string, Pixel> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
    const all: Mark[] = [
      ...corners.map((_, i): Mark => ({ of: 'corner', i })),
      ...outline.map((_, i): Mark => ({ of: 'point', i })),
    ];
    const way = by[event.key];
    if (way && picked && at(picked)) {
      const step = event.shiftKey ? 20 : 1;
      put(picked, [at(picked)![0] + way[0] * step, at(picked)![1] + way[1] * step]);
    } else if (event.key === 'Enter') setPicked(add([width / 2, height / 2]));
    else if ((event.key === 'PageDown' || event.key === 'PageUp') && all.length > 0) {
      const now = picked ? all.findIndex(({ of, i }) => of === picked.of && i === picked.i) : -1;
      setPicked(all[(now + (event.key === 'PageDown' ? 1 : -1) + all.length) % all.length]!);
    } else if (event.key === 'Delete') takeAway();
    else return;
    event.preventDefault();
  };
  const clear = () => {
    setCorners([]);
    setOutline([]);
    setPicked(null);
  };
  return {
    corners,
    outline,
    picked,
    /** Where the mark lies that is dragged. */
    heldAt: (held && at(held)) ?? null,
    onDown,
    onMove: (event: React.PointerEvent) => held && put(held, pointOf(event)),
    onUp: () => setHeld(null),
    onKey,
    takeAway,
    clear,
  };
}

function Marking({
  picture,
  units,
  onOther,
  onUse,
}: {
  picture: Picture;
  units: OrderUnits;
  onOther: () => void;
  onUse: (corners: string) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const marks = useMarks(picture, frame);
  const { corners, outline, picked } = marks;
  useUnsaved(corners.length > 0);
  const [sheet, setSheet] = useState<SheetId>(units === 'in' ? 'letter' : 'a4');
  const [isSwapped, setSwapped] = useState(false);
  const [isSmooth, setSmooth] = useState(false);
  const hasSheet = corners.length === 4;
  const read = useMemo(
    () =>
      hasSheet && outline.length >= 3
        ? formFromPhoto({ sheet, corners: corners as SheetPhoto['corners'], isSwapped, outline, isSmooth })
        : null,
    [hasSheet, sheet, corners, isSwapped, outline, isSmooth],
  );
  const ask = !hasSheet
    ? `Mark corner ${corners.length + 1} of the sheet, going round it.`
    : outline.length < 3
      ? 'Now mark points on the form’s edge, going round it. Drag a point to move it; tap the line to put one between.'
      : 'More points make a bent edge truer.';
  return (
    <Stack gap="3">
      <Box
        ref={frame}
        position="relative"
        tabIndex={0}
        role="application"
        aria-label="The photograph. Enter adds a mark in the middle, Page Down picks the next one, arrow keys move it, Delete takes a point away."
        cursor="crosshair"
        css={{ touchAction: 'none' }}
        onPointerDown={marks.onDown}
        onPointerMove={marks.onMove}
        onPointerUp={marks.onUp}
        onPointerCancel={marks.onUp}
        onKeyDown={marks.onKey}
        data-photo
      >
        {/* eslint-disable-next-line @next/next/no-img-element -- a file of the person's own, shown as it is */}
        <img
          src={picture.url}
          alt="The form beside its sheet"
          style={{ display: 'block', width: '100%' }}
          draggable={false}
        />
        <MarksOverlay picture={picture} corners={corners} outline={outline} picked={picked} />
        {marks.heldAt && <Loupe picture={picture} at={marks.heldAt} />}
      </Box>
      <Text aria-live="polite" fontWeight="600">
        {ask}
      </Text>
      <Flex gap="3" wrap="wrap" align="flex-end">
        <Box w="170px">
          <Choice
            label="Sheet"
            value={sheet}
            choices={Object.entries(SHEETS).map(([id, { name }]) => ({ id, label: name }))}
            onChange={(id) => setSheet(id as SheetId)}
          />
        </Box>
        <Box w="210px">
          <Choice
            label="Between points"
            value={isSmooth ? 'smooth' : 'straight'}
            choices={[
              { id: 'straight', label: 'straight' },
              { id: 'smooth', label: 'a smooth curve' },
            ]}
            onChange={(id) => setSmooth(id === 'smooth')}
          />
        </Box>
        <Button
          size="sm"
          variant="outline"
          aria-pressed={isSwapped}
          disabled={!hasSheet}
          onClick={() => setSwapped(!isSwapped)}
        >
          The sheet’s long side is the other one
        </Button>
      </Flex>
      <HStack gap="2" wrap="wrap">
        <Button size="sm" disabled={!read?.ok} onClick={() => read?.ok && onUse(writeCorners(read.value, units))}>
          Use this form
        </Button>
        <Button size="sm" variant="outline" disabled={outline.length === 0} onClick={marks.takeAway}>
          {picked?.of === 'point' ? 'Take this point away' : 'Take the last point away'}
        </Button>
        <Button size="sm" variant="outline" disabled={corners.length === 0} onClick={marks.clear}>
          Begin again
        </Button>
        <Button size="sm" variant="ghost" onClick={onOther}>
          Another photograph
        </Button>
      </HStack>
      {read && !read.ok && (
        <Text role="alert" color="fg.error">
          {read.faults[0]!.message}
        </Text>
      )}
      {read?.ok && <Sizes ring={read.value} units={units} />}
    </Stack>
  );
}

interface OverlayProps {
  picture: Picture;
  corners: readonly Pixel[];
  outline: readonly Pixel[];
  picked: Mark | null;
}

function MarksOverlay({ picture: { width, height }, corners, outline, picked }: OverlayProps) {
  const r = width / 110;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      <polygon
        points={corners.map((one) => one.join(',')).join(' ')}
        fill={corners.length === 4 ? 'rgba(29,95,184,0.15)' : 'none'}
        stroke={SHEET_COLOUR}
        strokeWidth={r / 4}
      />
      <polygon
        points={outline.map((one) => one.join(',')).join(' ')}
        fill={outline.length > 2 ? 'rgba(185,71,43,0.2)' : 'none'}
        stroke={FORM_COLOUR}
        strokeWidth={r / 4}
      />
      {(
        [
          ['corner', corners, SHEET_COLOUR],
          ['point', outline, FORM_COLOUR],
        ] as const
      ).map(([of, all, colour]) =>
        all.map(([x, y], i) => (
          <circle
            key={`${of} ${i}`}
            cx={x}
            cy={y}
            r={r}
            fill="rgba(255,255,255,0.75)"
            stroke={colour}
            strokeWidth={picked?.of === of && picked.i === i ? r / 1.6 : r / 3}
          />
        )),
      )}
    </svg>
  );
}

/** The picture under the finger, larger. */
function Loupe({ picture: { url, width }, at }: { picture: Picture; at: Pixel }) {
  return (
    <Box
      position="absolute"
      top="2"
      {...(at[0] > width / 2 ? { left: '2' } : { right: '2' })}
      w={`${LOUPE.size}px`}
      h={`${LOUPE.size}px`}
      borderWidth="3px"
      borderColor="tape"
      overflow="hidden"
      pointerEvents="none"
      style={{
        backgroundImage: `url(${url})`,
        backgroundSize: `${(width * LOUPE.zoom) / 2}px auto`,
        backgroundPosition: `${LOUPE.size / 2 - (at[0] * LOUPE.zoom) / 2}px ${LOUPE.size / 2 - (at[1] * LOUPE.zoom) / 2}px`,
      }}
    >
      <svg width={LOUPE.size} height={LOUPE.size}>
        <path
          d={`M${LOUPE.size / 2} 40V${LOUPE.size - 40}M40 ${LOUPE.size / 2}H${LOUPE.size - 40}`}
          stroke="#fff"
          strokeWidth="4"
        />
        <path
          d={`M${LOUPE.size / 2} 40V${LOUPE.size - 40}M40 ${LOUPE.size / 2}H${LOUPE.size - 40}`}
          stroke="#14241f"
          strokeWidth="1.5"
        />
      </svg>
    </Box>
  );
}

function Sizes({ ring, units }: { ring: [Nm, Nm][]; units: OrderUnits }) {
  const size = (axis: 0 | 1) => Math.max(...ring.map((at) => at[axis])) - Math.min(...ring.map((at) => at[axis]));
  const say = (nm: Nm) => printLength(nm, STYLES[units]);
  return (
    <Text data-photo-sizes>
      <Fractions>{`As it lies on the picture: ${say(size(0))} across, ${say(size(1))} along, ${say(perimeterOf(ring))} all round. Check with the tape before it is used.`}</Fractions>
    </Text>
  );
}

/** Where a new point goes in a ring: between the ends of the edge that it lies on, else behind the last. */
function placeIn(ring: readonly Pixel[], [x, y]: Pixel, near: number): number {
  if (ring.length < 3) return ring.length;
  const off = ring.map(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]!;
    const long = (bx - ax) ** 2 + (by - ay) ** 2;
    const t = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / long));
    return Math.hypot(ax + t * (bx - ax) - x, ay + t * (by - ay) - y);
  });
  const best = off.indexOf(Math.min(...off));
  return off[best]! <= near ? best + 1 : ring.length;
}

/** A picture as it is shown and in grey, made smaller where it is very large; null where it is none. */
async function readPicture(file: File): Promise<Picture | null> {
  try {
    const whole = await createImageBitmap(file);
    const by = Math.min(1, MOST_SIDE / Math.max(whole.width, whole.height));
    const [width, height] = [Math.round(whole.width * by), Math.round(whole.height * by)];
    const canvas = document.createElement('canvas');
    canvas.width = width;
    canvas.height = height;
    const context = canvas.getContext('2d', { willReadFrequently: true })!;
    context.drawImage(whole, 0, 0, width, height);
    whole.close();
    const { data } = context.getImageData(0, 0, width, height);
    const grey = new Uint8ClampedArray(width * height);
    for (let i = 0; i < grey.length; i++)
      grey[i] = 0.299 * data[4 * i]! + 0.587 * data[4 * i + 1]! + 0.114 * data[4 * i + 2]!;
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.9));
    return blob && { url: URL.createObjectURL(blob), width, height, grey };
  } catch {
    return null;
  }
}
