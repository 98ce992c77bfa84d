'use client';

import { Box } from '@chakra-ui/react';
import type { CoverKind, TakeOff } from '@/core/covers';
import type { Direction } from '@/core/cutlist';
import { NM, printNumber, STYLES, type Nm, type OrderUnits } from '@/core/length';
import { inverse, type Matrix } from '@/core/marker/faces';
import { ClothPattern, type ClothLook } from '../cloth/cloth-pattern';
import { withFraction } from '../fraction';
import { BoxCover } from './box-cover';
import { FlatCover } from './flat-cover';
import { BolsterCover, RoundCover } from './round-cover';

interface Props {
  kind: CoverKind;
  cover: TakeOff;
  units: OrderUnits;
  look?: ClothLook | undefined;
  /** Which side of each part lies along the bolt, where somebody chose. */
  directions?: Readonly<Record<string, Direction>>;
  id: string;
  /** Without figures: what the cover is, not how large. */
  isPlain?: boolean;
  /** The pieces that it is sewn from, by their names, where on their cloth each was cut: the pattern is then drawn as it lies there. */
  laid?: ReadonlyMap<string, LaidFace[]>;
}

/** A piece that is seen on a finished cover, and the cloth that it was cut from. */
export interface LaidFace {
  look: ClothLook;
  /** The piece as it is cut, and its way to the cloth (nm). */
  width: Nm;
  height: Nm;
  toCloth: Matrix;
}

const WIDTH = 340;
const HEIGHT = 250;
const MARGIN = 46;
/** At the sides there must be room for a figure like 21 11/16. */
const SIDE = 84;

type Face = 'top' | 'front' | 'side' | 'skirt' | 'skirtSide';

/** How a face is seen: where the pattern's motif lies on it, and where its across and its along point on the screen. */
interface View {
  at: [number, number];
  across: [number, number];
  along: [number, number];
}

/** The finished cover to proportion, in its cloth, the pattern running on each part as it was decided, with its measures on it. */
export function CoverDrawing({ kind, cover, units, look, directions = {}, id, isPlain = false, laid }: Props) {
  const { width, height, thickness = 0, skirt = 0, flange = 0, overlap = 0 } = cover.finished;
  const { drawing } = kind;
  const isBox = drawing === 'box' || drawing === 'stool';
  const isRound = drawing === 'round';
  const wide = width + (isBox ? 0.3 * height : drawing === 'bolster' ? 0.5 * height : 0);
  const high = isBox || isRound ? height * 0.5 + thickness + skirt : height;
  const scale = Math.min((WIDTH - 2 * SIDE) / wide, (HEIGHT - 2 * MARGIN) / high);
  const text = (length: Nm) => (isPlain ? '' : withFraction(printNumber(length, STYLES[units]).text));
  // The picture is as high as its cover and the dimension lines need.
  const tall = high * scale + 2 * MARGIN;
  const [w, h, t] = [width * scale, height * scale, thickness * scale];
  const [x, y] = [(WIDTH - wide * scale) / 2 + (drawing === 'bolster' ? 0.25 * h : 0), MARGIN];
  const [lean, back] = [0.3 * h, 0.5 * h];
  const views: Record<Face, View> = isBox
    ? boxViews({ x, y, w, h, lean, back })
    : everyFace({
        at: [x + w / 2, y + (isRound ? back / 2 : h / 2)],
        across: [1, 0],
        along: isRound ? [0, 0.5] : [0, 1],
      });
  const faces = facesOf(cover);
  const middles = middlesOf({ isBox, isRound, x, y, w, h, t, lean, back, skirt: skirt * scale });
  const used = new Map<string, number>();
  const pieces = laid
    ? FACES.flatMap((face) => {
        const own = laid.get(faces[face]) ?? [];
        // The second side of a cover shows its second piece of that name, where it has one.
        const nth = used.get(faces[face]) ?? 0;
        used.set(faces[face], nth + 1);
        const one = own[Math.min(nth, own.length - 1)];
        return one ? [{ face, one }] : [];
      })
    : [];
  const paint = Object.fromEntries(
    FACES.map((face) => [
      face,
      laid
        ? pieces.some((one) => one.face === face)
          ? `url(#${id}-${face})`
          : 'var(--cover-plain)'
        : look
          ? `url(#${id}-${face})`
          : 'var(--cover-plain)',
    ]),
  ) as Record<Face, string>;
  return (
    <Box
      css={{
        '--cover-plain': 'var(--chakra-colors-bottle-100)',
        '& text': { fill: 'currentColor', fontSize: '15px', fontWeight: 700 },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${tall}`}
        width="100%"
        role="img"
        aria-label={
          isPlain
            ? `${kind.name}, finished`
            : `${kind.name}, finished ${text(width)}${isRound ? '' : ` by ${text(height)}`}${thickness ? ` by ${text(thickness)}` : ''}`
        }
      >
        {laid && (
          <defs>
            {pieces.map(({ face, one }) => (
              <LaidPattern
                key={face}
                id={`${id}-${face}`}
                one={one}
                view={{ ...views[face], at: middles[face] }}
                pxPerNm={scale}
              />
            ))}
          </defs>
        )}
        {look && !laid && (
          <defs>
            <ClothPattern id={`${id}-tile`} look={look} />
            {FACES.map((face) => (
              <FacePattern
                key={face}
                id={`${id}-${face}`}
                tile={`${id}-tile`}
                view={views[face]}
                mmToPx={scale * NM.mm}
                isTurned={directions[faces[face]] === 'across'}
              />
            ))}
          </defs>
        )}
        {isBox ? (
          <BoxCover
            {...{ x, y, w, h, t, lean, paint, text }}
            skirt={skirt * scale}
            length={width}
            depth={height}
            thick={thickness}
            drop={skirt}
          />
        ) : isRound ? (
          <RoundCover {...{ x, y, w, t, paint, text }} diameter={width} thick={thickness} />
        ) : drawing === 'bolster' ? (
          <BolsterCover {...{ x, y, w, h, paint, text }} long={width} diameter={height} />
        ) : (
          <FlatCover
            {...{ x, y, w, h, text, width, height, scale }}
            paint={paint.top}
            shape={drawing}
            lies={overlap}
            flange={flange * scale}
            hasZip={cover.notions.some(({ name }) => name === 'zip')}
          />
        )}
      </svg>
    </Box>
  );
}

const FACES: readonly Face[] = ['top', 'front', 'side', 'skirt', 'skirtSide'];
const everyFace = (view: View) => Object.fromEntries(FACES.map((face) => [face, view])) as Record<Face, View>;

/** The views of a box's faces; the front goes on from the top at their seam. */
function boxViews({
  x,
  y,
  w,
  h,
  lean,
  back,
}: Record<'x' | 'y' | 'w' | 'h' | 'lean' | 'back', number>): Record<Face, View> {
  const deep: [number, number] = h > 0 ? [lean / h, -back / h] : [0, -1];
  const front: View = { at: [x + w / 2, y + back - h / 2], across: [1, 0], along: [0, 1] };
  const side: View = { at: [x + w, y + back], across: deep, along: [0, 1] };
  return {
    top: { at: [x + lean / 2 + w / 2, y + back / 2], across: [1, 0], along: [-deep[0], -deep[1]] },
    front,
    side,
    skirt: front,
    skirtSide: side,
  };
}

/** The middles of the faces on the picture. */
function middlesOf({
  isBox,
  isRound,
  x,
  y,
  w,
  h,
  t,
  lean,
  back,
  skirt,
}: { isBox: boolean; isRound: boolean } & Record<
  'x' | 'y' | 'w' | 'h' | 't' | 'lean' | 'back' | 'skirt',
  number
>): Record<Face, [number, number]> {
  if (!isBox)
    return Object.fromEntries(FACES.map((face) => [face, [x + w / 2, y + (isRound ? back / 2 : h / 2)]])) as Record<
      Face,
      [number, number]
    >;
  return {
    top: [x + lean / 2 + w / 2, y + back / 2],
    front: [x + w / 2, y + back + t / 2],
    side: [x + w + lean / 2, y + back / 2 + t / 2],
    skirt: [x + w / 2, y + back + t + skirt / 2],
    skirtSide: [x + w + lean / 2, y + back / 2 + t + skirt / 2],
  };
}

/** Which part each face shows, by its name. */
function facesOf({ pieces, strips }: TakeOff): Record<Face, string> {
  const named = (role: string, nth = 0) => pieces.filter((piece) => piece.role === role)[nth]?.name;
  const front = named('boxing') ?? strips.find(({ role }) => role === 'boxing')?.name ?? '';
  const skirt = named('skirt') ?? '';
  return {
    top: pieces[0]!.name,
    front: front || (named('contrast') ?? ''),
    side: named('boxing', 1) ?? front,
    skirt,
    skirtSide: named('skirt', 1) ?? skirt,
  };
}

/** The cloth as a paint for one face: to scale, foreshortened as the face is, a quarter round where the part is turned. */
function FacePattern({
  id,
  tile,
  view: { at, across, along },
  mmToPx,
  isTurned,
}: {
  id: string;
  tile: string;
  view: View;
  mmToPx: number;
  isTurned: boolean;
}) {
  const matrix = [...across, ...along, ...at].map((value) => value.toFixed(4)).join(' ');
  return (
    <pattern id={id} width={WIDTH} height={2 * HEIGHT} patternUnits="userSpaceOnUse">
      <g transform={`matrix(${matrix})${isTurned ? ' rotate(90)' : ''} scale(${mmToPx})`}>
        <rect x={-4000} y={-4000} width={8000} height={8000} fill={`url(#${tile})`} />
      </g>
    </pattern>
  );
}

/** A face as the cloth that its piece was cut from: the piece's middle in the face's, its own along upward. */
function LaidPattern({
  id,
  one: { look, width, height, toCloth },
  view: { at, across, along },
  pxPerNm,
}: {
  id: string;
  one: LaidFace;
  view: View;
  pxPerNm: number;
}) {
  const s = pxPerNm * NM.mm;
  const [w, h] = [width / NM.mm, height / NM.mm];
  const [a, b, c, d] = [across[0] * s, across[1] * s, -along[0] * s, -along[1] * s];
  const onFace = [a, b, c, d, at[0] - (a * w + c * h) / 2, at[1] - (b * w + d * h) / 2];
  const [ia, ib, ic, id_, ie, if_] = inverse(toCloth);
  // The middle of the piece on the cloth, in millimetres: the cloth is drawn round it.
  const [cx, cy] = [
    (toCloth[0] * width) / 2 + (toCloth[2] * height) / 2 + toCloth[4],
    (toCloth[1] * width) / 2 + (toCloth[3] * height) / 2 + toCloth[5],
  ].map((nm) => nm / NM.mm) as [number, number];
  const reach = w + h;
  return (
    <>
      <ClothPattern id={`${id}-cloth`} look={look} />
      <pattern id={id} width={WIDTH} height={2 * HEIGHT} patternUnits="userSpaceOnUse">
        <g transform={`matrix(${onFace.join(' ')}) matrix(${[ia, ib, ic, id_, ie / NM.mm, if_ / NM.mm].join(' ')})`}>
          <rect x={cx - reach} y={cy - reach} width={2 * reach} height={2 * reach} fill={`url(#${id}-cloth)`} />
        </g>
      </pattern>
    </>
  );
}
