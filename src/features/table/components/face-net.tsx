'use client';

import type { CoverKind } from '@/core/covers';
import { NM, type Nm } from '@/core/length';
import { inverse } from '@/core/marker/faces';
import { ClothPattern } from '@/ui/cloth/cloth-pattern';
import type { ClothFace, Finished } from '../finished';
import { insetRing } from '@/core/marker/inset-ring';
import type { Point } from '@/core/lay';

/** A face where it lies in the opened cover: its middle (mm), and a quarter turn for each 90 degrees to the left. */
interface Opened {
  face: ClothFace;
  x: number;
  y: number;
  turn: number;
}

const GAP = 12;

/** The faces of one cover laid open, apart from each other: what is sewn to the top along its edges, the others beside it; each inside its seam lines. */
export function FaceNet({
  faces,
  looks,
  id,
  drawing,
}: {
  faces: readonly ClothFace[];
  looks: Finished['looks'];
  id: string;
  drawing: CoverKind['drawing'];
}) {
  const opened = openOut(faces, drawing);
  if (opened.length === 0) return null;
  const boxes = opened.map(({ face, x, y, turn }) => {
    const [w, h] = turn % 180 === 0 ? sewn(face) : ([...sewn(face)].reverse() as [number, number]);
    return [x - w / 2, y - h / 2, x + w / 2, y + h / 2] as const;
  });
  const [left, top] = [Math.min(...boxes.map(([x]) => x)), Math.min(...boxes.map(([, y]) => y))];
  const [right, bottom] = [Math.max(...boxes.map((one) => one[2])), Math.max(...boxes.map((one) => one[3]))];
  const line = (right - left) / 300;
  return (
    <svg
      viewBox={`${left - 2 * line} ${top - 2 * line} ${right - left + 4 * line} ${bottom - top + 4 * line}`}
      width="100%"
      style={{ display: 'block', maxHeight: 260 }}
      role="img"
      aria-label={`Its faces laid open: ${[...new Set(faces.map(({ name }) => name))].join(', ')}`}
    >
      <defs>
        {opened.map(({ face }, i) => (
          <ClothPattern
            key={i}
            id={`${id}-net-${i}`}
            look={{ ...looks[face.cloth]!, motif: [face.motif[0], face.motif[1]] }}
          />
        ))}
      </defs>
      {opened.map((one, i) => (
        <OpenedFace key={i} one={one} paint={`${id}-net-${i}`} line={line} />
      ))}
    </svg>
  );
}

/** The sides of a face inside its seam lines (mm). */
const sewn = ({ width, height, seam }: ClothFace): [number, number] => [
  (width - 2 * seam) / NM.mm,
  (height - 2 * seam) / NM.mm,
];

function OpenedFace({ one: { face, x, y, turn }, paint, line }: { one: Opened; paint: string; line: number }) {
  const { width, height, outline, seam, toCloth } = face;
  const cut: Point[] = outline ?? [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const ring = (seam > 0 ? insetRing(cut, seam) : null) ?? cut;
  const mm = (nm: Nm) => nm / NM.mm;
  // The piece's own frame with its along upward, its middle at the face's.
  const place = `translate(${x} ${y}) rotate(${-turn}) scale(1 -1) translate(${-mm(width) / 2} ${-mm(height) / 2})`;
  const [a, b, c, d, e, f] = inverse(toCloth);
  const clip = `${paint}-clip`;
  const [cx, cy] = [
    mm((toCloth[0] * width + toCloth[2] * height) / 2 + toCloth[4]),
    mm((toCloth[1] * width + toCloth[3] * height) / 2 + toCloth[5]),
  ];
  const reach = mm(width + height);
  return (
    <g transform={place}>
      <clipPath id={clip}>
        <polygon points={ring.map((point) => point.map(mm).join(',')).join(' ')} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <g transform={`matrix(${a} ${b} ${c} ${d} ${mm(e)} ${mm(f)})`}>
          <rect x={cx - reach} y={cy - reach} width={2 * reach} height={2 * reach} fill={`url(#${paint})`} />
        </g>
      </g>
      <polygon
        points={ring.map((point) => point.map(mm).join(',')).join(' ')}
        fill="none"
        stroke="currentColor"
        strokeWidth={line}
        strokeLinejoin="round"
      />
    </g>
  );
}

/** Names of the faces that lie to the right and the left of a top. */
const AT_SIDE = /side|short|end/;

/** Where each face lies: a box opens round its top, anything else lies in a row. */
function openOut(faces: readonly ClothFace[], drawing: CoverKind['drawing']): Opened[] {
  const [first, ...others] = faces;
  if (!first) return [];
  const isBox = drawing === 'box' || drawing === 'stool';
  const [w, h] = sewn(first);
  const opened: Opened[] = [{ face: first, x: 0, y: 0, turn: 0 }];
  const rest: ClothFace[] = [];
  const taken = { below: 0, above: 0, left: 0, right: 0 };
  // Those below and above begin beyond the ends of those at the sides, which may be longer than the top is deep.
  const reach = Math.max(
    h / 2,
    ...others.filter(({ name }) => isBox && AT_SIDE.test(name)).map((face) => sewn(face)[0] / 2),
  );
  for (const face of others) {
    const [, high] = sewn(face);
    const isFirst = face.nth === 1;
    const side = !isBox
      ? null
      : /front|long|skirt/.test(face.name)
        ? isFirst
          ? 'below'
          : 'above'
        : AT_SIDE.test(face.name)
          ? isFirst
            ? 'right'
            : 'left'
          : /zip panel|closure/.test(face.name)
            ? 'above'
            : /boxing/.test(face.name)
              ? isFirst
                ? 'below'
                : 'above'
              : null;
    if (side === 'below') opened.push({ face, x: 0, y: reach + GAP + taken.below + high / 2, turn: 0 });
    else if (side === 'above') opened.push({ face, x: 0, y: -reach - GAP - taken.above - high / 2, turn: 180 });
    else if (side === 'right') opened.push({ face, x: w / 2 + GAP + taken.right + high / 2, y: 0, turn: 90 });
    else if (side === 'left') opened.push({ face, x: -w / 2 - GAP - taken.left - high / 2, y: 0, turn: 270 });
    else {
      rest.push(face);
      continue;
    }
    taken[side] += high + GAP;
  }
  let x =
    Math.max(
      w / 2 + taken.right,
      ...opened.map(({ face, x: at, turn }) => at + sewn(face)[turn % 180 === 0 ? 0 : 1] / 2),
    ) + GAP;
  for (const face of rest) {
    const [wide] = sewn(face);
    opened.push({ face, x: x + wide / 2, y: 0, turn: 0 });
    x += wide + GAP;
  }
  return opened;
}
