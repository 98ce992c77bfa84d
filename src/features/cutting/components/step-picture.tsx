'use client';

import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { CutStep } from '@/core/cutting';
import { NM, printNumber, STYLES, type Nm, type Units } from '@/core/length';
import { ClothPattern } from '@/ui/cloth/cloth-pattern';
import { withFraction } from '@/ui/fraction';
import { markColour, markPath } from '@/ui/order-mark';
import { tapeMarks } from '@/ui/shape/tape';
import { lengthOf, type SheetItem, type SheetView } from '../sheet-view';

interface Props {
  view: SheetView;
  step: CutStep;
  /** Items that ticked steps have freed, by their keys. */
  freed: ReadonlySet<string>;
}

const TAPE_PX = 34;
const EDGE_PX = 14;
const CUT = '#c1121f';
const INK = '#14241f';
/** Cloth (mm) that is seen around a step. */
const AROUND_MM = 80;

/**
 * The cloth as it lies before the cutter, its squared end at the left: what the step frees is lit, what is cut already is gone pale, and
 * the knife's way is drawn where it runs. It shows the section that the step is in; across the whole width for steps before the sections.
 */
export function StepPicture({ view, step, freed }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 960, height: 330 });
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const watch = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const length = lengthOf(view, step);
  const room = { width: size.width - 2 * EDGE_PX, height: size.height - TAPE_PX - 2 * EDGE_PX };
  const wish = windowOf(view, step);
  const scale = Math.max(0.01, Math.min(room.width / (wish[1] - wish[0]), room.height / length.widthMm));
  const [from, to] = filled(wish, room.width / scale, Math.max(length.shownMm, length.usedNm / NM.mm));
  const lit = new Set(step.items.map((i) => length.items[i]!.key));
  const marks = new Map(view.orders.map(({ no, mark }) => [no, mark]));
  const px = 1 / scale;
  const place = `translate(${EDGE_PX - from * scale} ${TAPE_PX + EDGE_PX}) scale(${scale})`;
  const seen = (item: SheetItem) => item.ring.some(([, y]) => y > from - 1 && y < to + 1);
  return (
    <Box
      ref={frame}
      h="full"
      w="full"
      overflow="hidden"
      bg="bg.muted"
      borderWidth="1px"
      borderColor="border"
      borderRadius="sm"
    >
      <svg
        width={size.width}
        height={size.height}
        role="img"
        aria-label={`Step ${step.n} on the cloth`}
        style={{ display: 'block' }}
      >
        <defs>
          <ClothPattern
            id="cut-cloth"
            look={{ ...view.look, motif: length.motifMm.map((one) => one * NM.mm) as [Nm, Nm] }}
            lying
          />
        </defs>
        <g transform={place}>
          <ClothShape length={length} />
          {length.items.filter(seen).map((item) => (
            <Item
              key={item.key}
              item={item}
              mark={marks.get(item.orderNo) ?? 0}
              px={px}
              isLit={lit.has(item.key)}
              isFreed={freed.has(item.key)}
            />
          ))}
          <Knife step={step} px={px} width={length.widthMm} />
        </g>
        <Tape
          from={from}
          to={Math.min(to, Math.max(length.shownMm, length.usedNm / NM.mm))}
          scale={scale}
          units={view.units}
          step={step}
          width={size.width}
        />
      </svg>
    </Box>
  );
}

/** The visible part of the length, mm from its squared end. */
function windowOf(view: SheetView, step: CutStep): [number, number] {
  const length = lengthOf(view, step);
  const used = length.usedNm / NM.mm;
  const wide = length.widthMm;
  if (step.do === 'square') return [-AROUND_MM / 2, Math.min(length.shownMm, Math.max(wide * 1.6, 600))];
  const section = view.steps.find(
    (one) => one.stock === step.stock && one.do === 'across' && one.section === step.section,
  );
  // The last section of a length that is used up has no cut of its own.
  const [begin, end] = section
    ? (section.along.map((at) => at / NM.mm) as [number, number])
    : [step.along[0] / NM.mm, used];
  return [Math.max(-AROUND_MM / 2, begin - AROUND_MM), Math.min(Math.max(length.shownMm, used), end + AROUND_MM)];
}

/** A window as wide as there is room for, about the same middle and as far as the cloth reaches. */
function filled([from, to]: readonly [number, number], wide: number, end: number): [number, number] {
  if (to - from >= wide) return [from, to];
  const middle = (from + to) / 2;
  const begin = Math.max(-AROUND_MM / 2, Math.min(middle - wide / 2, end + AROUND_MM / 2 - wide));
  return [begin, begin + wide];
}

function ClothShape({
  length: { outline, shownMm, widthMm, selvageMm, flaws },
}: {
  length: SheetView['lengths'][number];
}) {
  return (
    <g>
      {outline ? (
        <polygon points={outline.map(([x, y]) => `${y},${x}`).join(' ')} fill="url(#cut-cloth)" opacity={0.6} />
      ) : (
        <rect width={shownMm} height={widthMm} fill="url(#cut-cloth)" opacity={0.6} />
      )}
      <rect width={shownMm} height={selvageMm[0]} fill={INK} opacity={0.25} />
      <rect y={widthMm - selvageMm[1]} width={shownMm} height={selvageMm[1]} fill={INK} opacity={0.25} />
      {flaws.map(([x0, y0, x1, y1], i) => (
        <path
          key={i}
          d={`M${y0} ${x0}H${y1}V${x1}H${y0}ZL${y1} ${x1}M${y1} ${x0}L${y0} ${x1}`}
          fill="none"
          stroke={CUT}
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
}

function Item({
  item,
  mark,
  px,
  isLit,
  isFreed,
}: {
  item: SheetItem;
  mark: number;
  px: number;
  isLit: boolean;
  isFreed: boolean;
}) {
  const points = item.ring.map(([x, y]) => `${y},${x}`).join(' ');
  const [ys, xs] = [item.ring.map(([x]) => x), item.ring.map(([, y]) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [wide, high] = [(right - left) / px, (bottom - top) / px];
  const colour = markColour(mark);
  const sign = Math.min(isLit ? 30 : 18, wide - 6, high - 6);
  return (
    <g opacity={isFreed && !isLit ? 0.35 : 1}>
      <polygon points={points} fill="#fff" fillOpacity={isLit ? 0.96 : isFreed ? 0.8 : 0.6} />
      <polygon
        points={points}
        fill={colour}
        fillOpacity={isLit ? 0.3 : 0.06}
        stroke={isLit ? INK : colour}
        strokeWidth={(isLit ? 4 : 1.5) * px}
        strokeLinejoin="round"
      />
      {isLit &&
        item.marks.map(({ n, points: [a, b] }, i) => (
          <path
            key={`${n} ${i}`}
            d={
              b
                ? `M${a![1]} ${a![0]}L${b[1]} ${b[0]}`
                : `M${a![1] - 5 * px} ${a![0]}h${10 * px}m${-5 * px} ${-5 * px}v${10 * px}`
            }
            stroke={INK}
            strokeWidth={1.5 * px}
            strokeDasharray={b ? `${5 * px} ${4 * px}` : undefined}
            fill="none"
          />
        ))}
      {sign >= 8 && (
        <g transform={`translate(${(left + right) / 2} ${(top + bottom) / 2}) scale(${px})`}>
          <path
            d={markPath(mark)}
            transform={`translate(${-sign / 2} ${-sign / 2 - (isLit && high > 74 && wide > 60 ? 12 : 0)}) scale(${sign / 20})`}
            fill={isLit ? INK : colour}
            fillRule="evenodd"
          />
          {isLit && high > 74 && wide > 60 && (
            <text y={26} textAnchor="middle" fontSize={20} fontWeight={800} fill={INK}>
              {wide > item.name.length * 11 + 90 ? `${item.orderNo} ${item.name}` : item.orderNo}
            </text>
          )}
        </g>
      )}
    </g>
  );
}

/** The cuts of a step: straight ones from edge to edge of what is cut, the outlines of what is cut around. */
function Knife({ step, px, width }: { step: CutStep; px: number; width: number }) {
  const mm = (nm: Nm) => nm / NM.mm;
  const stroke = { stroke: CUT, strokeWidth: 5 * px, strokeLinecap: 'round' as const };
  if (step.do === 'square') return <line x1={0} y1={0} x2={0} y2={width} {...stroke} />;
  if (step.do === 'across') return <line x1={mm(step.cuts[0]!)} y1={0} x2={mm(step.cuts[0]!)} y2={width} {...stroke} />;
  if (step.do === 'fold') {
    const middle = (mm(step.across[0]) + mm(step.across[1])) / 2;
    return (
      <line
        x1={mm(step.along[0])}
        y1={middle}
        x2={mm(step.along[1])}
        y2={middle}
        {...stroke}
        strokeDasharray={`${14 * px} ${10 * px}`}
      />
    );
  }
  if (!step.line || step.run === 'bias') return null;
  const [[ax, ay], [bx, by]] = step.line;
  return (
    <g>
      {step.cuts.map((at, i) =>
        step.run === 'along' ? (
          <line key={i} x1={mm(ay)} y1={mm(at)} x2={mm(by)} y2={mm(at)} {...stroke} />
        ) : (
          <line key={i} x1={mm(at)} y1={mm(ax)} x2={mm(at)} y2={mm(bx)} {...stroke} />
        ),
      )}
    </g>
  );
}

/** The tape along the picture's upper edge, with the step's cuts from the squared end marked on it. */
function Tape({
  from,
  to,
  scale,
  units,
  step,
  width,
}: {
  from: number;
  to: number;
  scale: number;
  units: Units;
  step: CutStep;
  width: number;
}) {
  const { unitMm: unit, tick: tickStep, label: labelStep } = tapeMarks(units, scale, 50);
  const first = Math.max(0, Math.ceil(from / (tickStep * unit)));
  const last = Math.floor(to / (tickStep * unit));
  const x = (mm: number) => EDGE_PX + (mm - from) * scale;
  const shown = step.run === 'across' ? step.cuts : [];
  const text = (nm: Nm) => withFraction(printNumber(nm, STYLES[units]).text.replace('≈ ', ''));
  return (
    <g>
      <rect
        x={Math.max(0, x(0))}
        y={0}
        width={Math.max(0, Math.min(width, x(to)) - Math.max(0, x(0)))}
        height={TAPE_PX}
        fill="#f4c21f"
      />
      {Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => {
        const at = (first + i) * tickStep;
        const isLong = at % labelStep === 0;
        return (
          <g key={at} transform={`translate(${x(at * unit)} 0)`}>
            <line y1={TAPE_PX} y2={isLong ? 8 : 22} stroke={INK} strokeWidth={isLong ? 1.6 : 1} />
            {isLong && (
              <text x={4} y={19} fontSize={15} fontWeight={700} fill={INK}>
                {at}
              </text>
            )}
          </g>
        );
      })}
      {shown.map((at) => (
        <g key={at} transform={`translate(${x(at / NM.mm)} 0)`}>
          <line y1={0} y2={TAPE_PX + EDGE_PX} stroke={CUT} strokeWidth={3} />
          <rect x={-36} y={2} width={72} height={22} rx={2} fill={CUT} />
          <text y={18} textAnchor="middle" fontSize={15} fontWeight={700} fill="#fff">
            {text(at)}
          </text>
        </g>
      ))}
    </g>
  );
}
