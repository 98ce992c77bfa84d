import { NM, type Units } from '@/core/length';
import { markPath } from '@/ui/order-mark';
import { tapeMarks } from '@/ui/shape/tape';
import { lengthName, lengthText, type LayView, type LayViewItem, type LayViewLength } from '../lay-view';

interface Props {
  lay: LayView;
  /** Pixels a millimetre: labels keep their size on the paper and are left out where they have no room. */
  pxPerMm: number;
  /** Millimetres between one length of cloth and the next, where the tape and the words of the next stand. */
  gapMm: number;
}

/** How much room all lengths take, one below the other, in millimetres. */
export const heightOf = ({ lengths }: Pick<LayView, 'lengths'>, gapMm: number): number =>
  lengths.reduce((sum, { widthMm }) => sum + widthMm, 0) + Math.max(0, lengths.length - 1) * gapMm;

/**
 * The lay to scale for paper, in black and white, lying as it lies along the table: x is along the bolt from its squared
 * end, y is across the cloth; several lengths lie one below the other. User units are millimetres.
 */
export function PrintedLay({ lay, gapMm, pxPerMm }: Props) {
  const marks = new Map(lay.orders.map(({ no, mark }) => [no, mark]));
  return (
    <g>
      {lay.lengths.map((length, i) => (
        <g
          key={length.code}
          transform={`translate(0 ${heightOf({ lengths: lay.lengths.slice(0, i) }, gapMm) + (i > 0 ? gapMm : 0)})`}
        >
          <OneLength
            lay={lay}
            length={length}
            marks={marks}
            isNamed={lay.lengths.length > 1 || length.code !== 'roll'}
            pxPerMm={pxPerMm}
          />
        </g>
      ))}
    </g>
  );
}

function OneLength({
  lay,
  length,
  marks,
  isNamed,
  pxPerMm,
}: Omit<Props, 'gapMm'> & { length: LayViewLength; marks: ReadonlyMap<number, number>; isNamed: boolean }) {
  const used = length.usedNm / NM.mm;
  const bound = length.boundNm === null ? used : length.boundNm / NM.mm;
  const { widthMm: width, selvageMm, shownMm: shown, outline } = length;
  const px = 1 / pxPerMm; // millimetres in one pixel
  const id = `lay-${lay.id}-${length.code.replace(/\W/g, '_')}`;
  return (
    <g>
      <defs>
        <pattern
          id={`${id}-selvage`}
          width={12 * px}
          height={12 * px}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={12 * px} height={12 * px} fill="#fff" />
          <rect width={5 * px} height={12 * px} fill="#8a968f" />
        </pattern>
      </defs>
      {outline ? (
        <polygon
          points={outline.map(([x, y]) => `${y},${x}`).join(' ')}
          fill="#fff"
          stroke="#14241f"
          strokeWidth={1.5 * px}
        />
      ) : (
        <rect x={0} y={0} width={shown} height={width} fill="#fff" stroke="#14241f" strokeWidth={1.5 * px} />
      )}
      <rect x={0} y={0} width={shown} height={selvageMm[0]} fill={`url(#${id}-selvage)`} />
      <rect x={0} y={width - selvageMm[1]} width={shown} height={selvageMm[1]} fill={`url(#${id}-selvage)`} />
      {length.flaws
        .filter(([, y0]) => y0 < shown)
        .map(([x0, y0, x1, y1], i) => (
          <g key={i} stroke="#992d20" strokeWidth={2 * px} fill="none">
            <rect x={y0} y={x0} width={Math.min(y1, shown) - y0} height={x1 - x0}>
              <title>flaw</title>
            </rect>
            <path d={`M${y0} ${x0}L${Math.min(y1, shown)} ${x1}M${Math.min(y1, shown)} ${x0}L${y0} ${x1}`} />
          </g>
        ))}
      {length.items.map((item) => (
        <Item key={item.key} item={item} mark={marks.get(item.orderNo) ?? 0} px={px} units={lay.units} />
      ))}
      <CrossLine
        x={used}
        width={width}
        px={px}
        label={`${isNamed ? `${lengthName(length.code)}: ` : ''}cut here ${lengthText(length.usedNm, lay.units)}`}
        colour="#992d20"
        dash="none"
      />
      {Math.abs(bound - used) * pxPerMm > 6 && (
        <CrossLine x={bound} width={width} px={px} label="" colour="#14241f" dash={`${6 * px} ${5 * px}`} />
      )}
      <Tape length={shown} px={px} units={lay.units} />
    </g>
  );
}

interface ItemProps {
  item: LayViewItem;
  mark: number;
  px: number;
  units: Units;
}

const NAME_PX = 13;

function Item({ item, mark, px, units }: ItemProps) {
  // Screen x is along (y of the lay), screen y is across (x of the lay).
  const points = item.ring.map(([x, y]) => `${y},${x}`).join(' ');
  const xs = item.ring.map(([, y]) => y);
  const ys = item.ring.map(([x]) => x);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [wide, high] = [(right - left) / px, (bottom - top) / px];
  const size = item.sizeNm.map((one) => lengthText(one, units)).join(' × ');
  return (
    <g>
      <polygon points={points} fill="#fff" stroke="#000" strokeWidth={2 * px} strokeLinejoin="round" />
      {item.isStrip ? (
        <StripLabel {...{ item, px, mark }} />
      ) : (
        <PieceLabel {...{ left, top, wide, high, px, mark, size }} no={item.orderNo} name={item.name} />
      )}
    </g>
  );
}

function PieceLabel({
  left,
  top,
  wide,
  high,
  px,
  mark,
  size,
  no,
  name,
}: {
  left: number;
  top: number;
  wide: number;
  high: number;
  px: number;
  mark: number;
  size: string;
  no: number;
  name: string;
}) {
  const rows = [`${no}`, name, size];
  const longest = Math.max(name.length, size.length);
  const lines = high >= 58 && wide >= longest * 7.6 + 12 ? rows : high >= 22 && wide >= 58 ? rows.slice(0, 1) : [];
  // A low, long piece says it all on one line.
  const oneLine = lines.length === 1 && wide >= (longest + name.length) * 7.6 + 80 ? `${no} ${name} ${size}` : null;
  const sign = Math.min(16, high - 4, wide - 4);
  if (sign < 6) return null;
  return (
    <g transform={`translate(${left + 6 * px} ${top + 5 * px}) scale(${px})`}>
      <path d={markPath(mark)} transform={`scale(${sign / 20})`} fill="#000" fillRule="evenodd" />
      {(oneLine ? [oneLine] : lines).map((line, i) => (
        <text
          key={i}
          x={i === 0 ? sign + 5 : 0}
          y={i * 17 + 13}
          fontSize={i === 0 && !oneLine ? 15 : NAME_PX}
          fontWeight={i === 1 ? 500 : 700}
          fill="#14241f"
        >
          {`${line} `}
        </text>
      ))}
    </g>
  );
}

/** A strip says whose and what it is along its long edge, in its middle, as much of it as the strip has room for. */
function StripLabel({ item, px, mark }: { item: LayViewItem; px: number; mark: number }) {
  const { middle, angle, length, thick } = alongStrip(item.ring);
  const size = Math.min(NAME_PX, thick / px - 3);
  if (size < 9) return null;
  const sign = size + 4;
  // A slanted end takes as much of the length as the strip is thick.
  const room = (length - thick) / px - 8;
  const words = [`${item.orderNo} ${item.name}`, `${item.orderNo}`].find(
    (line) => sign + line.length * size * WIDEST_LETTER <= room,
  );
  if (words === undefined) return null;
  const half = (sign + words.length * size * WIDEST_LETTER) / 2;
  return (
    <g transform={`translate(${middle[0]} ${middle[1]}) rotate(${angle}) scale(${px})`}>
      <path
        d={markPath(mark)}
        transform={`translate(${-half} ${-size / 2}) scale(${size / 20})`}
        fill="#000"
        fillRule="evenodd"
      />
      <text x={-half + sign} y={size * 0.36} fontSize={size} fontWeight={700} fill="#14241f">
        {words}
      </text>
    </g>
  );
}

/** How wide a letter of the screens' typeface is on average, of its size; bold, with some to spare. */
const WIDEST_LETTER = 0.6;

/** Where words lie on a strip, in millimetres of the picture: its middle, the angle of its long edge in degrees, its length and thickness. */
function alongStrip(ring: LayViewItem['ring']) {
  const points = ring.map(([x, y]) => [y, x] as const);
  const edges = points.map((from, i) => {
    const to = points[(i + 1) % points.length]!;
    return { dx: to[0] - from[0], dy: to[1] - from[1], length: Math.hypot(to[0] - from[0], to[1] - from[1]) };
  });
  const longest = edges.reduce((best, edge) => (edge.length > best.length ? edge : best));
  const [ux, uy] = [longest.dx / longest.length, longest.dy / longest.length];
  const across = points.map(([x, y]) => y * ux - x * uy);
  const degrees = (Math.atan2(longest.dy, longest.dx) * 180) / Math.PI;
  return {
    middle: [0, 1].map((k) => points.reduce((sum, point) => sum + point[k]!, 0) / points.length),
    // Never upside down.
    angle: degrees > 90 ? degrees - 180 : degrees <= -90 ? degrees + 180 : degrees,
    length: longest.length,
    thick: Math.max(...across) - Math.min(...across),
  };
}

function CrossLine({
  x,
  width,
  px,
  label,
  colour,
  dash,
}: {
  x: number;
  width: number;
  px: number;
  label: string;
  colour: string;
  dash: string;
}) {
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={-4 * px}
        y2={width + 4 * px}
        stroke={colour}
        strokeWidth={3 * px}
        strokeDasharray={dash}
      />
      {label && (
        <text
          // On a short lay the words run on to the right, else they would begin outside.
          transform={`translate(${x < WORDS_PX * px ? 0 : x} ${width + 20 * px}) scale(${px})`}
          fontSize="14"
          fontWeight={700}
          textAnchor={x < WORDS_PX * px ? 'start' : 'end'}
          fill="currentColor"
        >
          {label}
        </text>
      )}
    </g>
  );
}

const TAPE_PX = 30;
const WORDS_PX = 190;

/** A tape measure along the upper edge; its steps follow the zoom. */
function Tape({ length, px, units }: { length: number; px: number; units: Units }) {
  const { unitMm: unit, tick, label } = tapeMarks(units, 1 / px);
  const count = Math.floor(length / (tick * unit));
  return (
    <g transform={`translate(0 ${-(TAPE_PX + 6) * px})`}>
      <rect x={0} y={0} width={length} height={TAPE_PX * px} fill="#f4c21f" />
      {Array.from({ length: count + 1 }, (_, i) => {
        const at = i * tick;
        const isLong = at % label === 0;
        return (
          <g key={i} transform={`translate(${at * unit} 0) scale(${px})`}>
            <line x1={0} x2={0} y1={TAPE_PX} y2={isLong ? 6 : 19} stroke="#14241f" strokeWidth={isLong ? 1.6 : 1} />
            {isLong && (length - at * unit) / px > 24 && (
              <text x={4} y={17} fontSize="14" fontWeight={700} fill="#14241f">
                {at}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
