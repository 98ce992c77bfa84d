'use client';

import { memo } from 'react';
import { NM, printNumber, STYLES, type Units } from '@/core/length';
import { ClothPattern } from '@/ui/cloth-pattern';
import { withFraction } from '@/ui/fraction';
import { markColour, markPath } from '@/ui/order-mark';
import type { LayView, LayViewItem } from '../lay-view';

interface Props {
  lay: LayView;
  /** Pixels a millimetre: labels keep their size on the screen and hide where they have no room. */
  pxPerMm: number;
  /** Black and white for paper: no cloth, only outlines, signs and words. */
  isPrint?: boolean;
  chosen?: string | null;
  /** The order whose pieces are lit. */
  litOrder?: number | null;
  onPick?: (item: LayViewItem | null) => void;
}

/**
 * The lay to scale, lying along the screen as it lies along the table: x on the screen is along the bolt from its
 * squared end, y is across the cloth. User units are millimetres.
 */
export const LayPicture = memo(function LayPicture({
  lay,
  pxPerMm,
  isPrint = false,
  chosen = null,
  litOrder = null,
  onPick,
}: Props) {
  const used = lay.usedNm / NM.mm;
  const bought = lay.boughtNm / NM.mm;
  const bound = lay.boundNm / NM.mm;
  const { widthMm: width, selvageMm } = lay;
  const px = 1 / pxPerMm; // millimetres in one pixel
  const marks = new Map(lay.orders.map(({ no, mark }) => [no, mark]));
  const id = `lay-${lay.id}${isPrint ? '-print' : ''}`;
  return (
    <g>
      <defs>
        <ClothPattern id={`${id}-cloth`} look={lay.look} lying />
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
      <rect
        x={0}
        y={0}
        width={bought}
        height={width}
        fill={isPrint ? '#fff' : `url(#${id}-cloth)`}
        stroke="#14241f"
        strokeWidth={1.5 * px}
      />
      {!isPrint && <rect x={used} y={0} width={Math.max(0, bought - used)} height={width} fill="#fff" opacity="0.45" />}
      <rect x={0} y={0} width={bought} height={selvageMm[0]} fill={`url(#${id}-selvage)`} />
      <rect x={0} y={width - selvageMm[1]} width={bought} height={selvageMm[1]} fill={`url(#${id}-selvage)`} />
      {lay.items.map((item) => (
        <Item
          key={item.key}
          item={item}
          mark={marks.get(item.orderNo) ?? 0}
          px={px}
          units={lay.units}
          isPrint={isPrint}
          isChosen={chosen === item.key}
          isDim={litOrder !== null && litOrder !== item.orderNo}
          onPick={onPick}
        />
      ))}
      <CrossLine
        x={used}
        width={width}
        px={px}
        label={`cut here ${text(lay.usedNm, lay.units)}`}
        colour="#992d20"
        dash="none"
      />
      {Math.abs(bound - used) * pxPerMm > 6 && (
        <CrossLine x={bound} width={width} px={px} label="" colour="#14241f" dash={`${6 * px} ${5 * px}`} />
      )}
      <Tape length={bought} px={px} units={lay.units} />
    </g>
  );
});

const text = (length: number, units: Units) =>
  withFraction(printNumber(length, units === 'in' ? { unit: 'in', denominator: 8 } : STYLES.mm).text.replace('≈ ', ''));

interface ItemProps {
  item: LayViewItem;
  mark: number;
  px: number;
  units: Units;
  isPrint: boolean;
  isChosen: boolean;
  isDim: boolean;
  onPick?: ((item: LayViewItem | null) => void) | undefined;
}

const NAME_PX = 13;

const Item = memo(function Item({ item, mark, px, units, isPrint, isChosen, isDim, onPick }: ItemProps) {
  // Screen x is along (y of the lay), screen y is across (x of the lay).
  const points = item.ring.map(([x, y]) => `${y},${x}`).join(' ');
  const xs = item.ring.map(([, y]) => y);
  const ys = item.ring.map(([x]) => x);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [wide, high] = [(right - left) / px, (bottom - top) / px];
  const colour = isPrint ? '#000' : markColour(mark);
  const size = `${text(item.sizeNm[0], units)} × ${text(item.sizeNm[1], units)}`;
  const label = `Order ${item.orderNo}, ${item.name}, ${size}`;
  return (
    <g
      role={onPick ? 'button' : undefined}
      tabIndex={onPick ? 0 : undefined}
      aria-label={onPick && label}
      data-piece={item.key}
      opacity={isDim ? 0.35 : 1}
      style={{ cursor: onPick ? 'pointer' : undefined, outline: 'none' }}
      onMouseEnter={onPick && (() => onPick(item))}
      onFocus={onPick && (() => onPick(item))}
      onClick={onPick && (() => onPick(item))}
    >
      <polygon
        points={points}
        fill="#fff"
        fillOpacity={isPrint ? 1 : isChosen ? 0.95 : 0.72}
        stroke={colour}
        strokeWidth={(isChosen ? 5 : 2) * px}
        strokeLinejoin="round"
      />
      {!isPrint && <polygon points={points} fill={colour} fillOpacity={isChosen ? 0.3 : 0.14} pointerEvents="none" />}
      {item.isStrip ? (
        <StripLabel
          item={item}
          wide={wide}
          high={high}
          x={(left + right) / 2}
          y={(top + bottom) / 2}
          px={px}
          colour={colour}
          mark={mark}
        />
      ) : (
        <PieceLabel {...{ left, top, wide, high, px, colour, mark, size }} no={item.orderNo} name={item.name} />
      )}
    </g>
  );
});

function PieceLabel({
  left,
  top,
  wide,
  high,
  px,
  colour,
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
  colour: string;
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
    <g transform={`translate(${left + 6 * px} ${top + 5 * px}) scale(${px})`} pointerEvents="none">
      <path d={markPath(mark)} transform={`scale(${sign / 20})`} fill={colour} fillRule="evenodd" />
      {(oneLine ? [oneLine] : lines).map((line, i) => (
        <text
          key={i}
          x={i === 0 ? sign + 5 : 0}
          y={i * 17 + 13}
          fontSize={i === 0 && !oneLine ? 15 : NAME_PX}
          fontWeight={i === 1 ? 500 : 700}
          fill="#14241f"
        >
          {line}
        </text>
      ))}
    </g>
  );
}

/** A strip says its order's number along itself where there is room. */
function StripLabel({
  item,
  wide,
  high,
  x,
  y,
  px,
  colour,
  mark,
}: {
  item: LayViewItem;
  wide: number;
  high: number;
  x: number;
  y: number;
  px: number;
  colour: string;
  mark: number;
}) {
  const [a, b] = [item.ring[0]!, item.ring[1]!];
  const angle = (Math.atan2(b[0] - a[0], b[1] - a[1]) * 180) / Math.PI;
  const thick = item.sizeNm[0] / NM.mm / px;
  if (thick < 12 || Math.max(wide, high) < 60) return null;
  const size = Math.min(13, thick - 3);
  return (
    <g transform={`translate(${x} ${y}) rotate(${angle}) scale(${px})`} pointerEvents="none">
      <path
        d={markPath(mark)}
        transform={`translate(-34 ${-size / 2}) scale(${size / 20})`}
        fill={colour}
        fillRule="evenodd"
      />
      <text x={-34 + size + 4} y={size * 0.36} fontSize={size} fontWeight={700} fill="#14241f">
        {item.orderNo} {item.name}
      </text>
    </g>
  );
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
const WORDS_PX = 130;

/** A tape measure along the upper edge; its steps follow the zoom. */
function Tape({ length, px, units }: { length: number; px: number; units: Units }) {
  const unit = units === 'in' ? 25.4 : 10;
  const steps = units === 'in' ? [1, 3, 6, 12, 36, 72] : [1, 5, 10, 20, 50, 100, 200];
  const labelStep = steps.find((step) => (step * unit) / px >= 46) ?? steps.at(-1)!;
  const tickStep = steps.find((step) => (step * unit) / px >= 7) ?? labelStep;
  const count = Math.floor(length / (tickStep * unit));
  return (
    <g transform={`translate(0 ${-(TAPE_PX + 6) * px})`}>
      <rect x={0} y={0} width={length} height={TAPE_PX * px} fill="#f4c21f" />
      {Array.from({ length: count + 1 }, (_, i) => {
        const at = i * tickStep;
        const isLong = at % labelStep === 0;
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
