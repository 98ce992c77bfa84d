import { NM } from '@/core/length';
import { ClothPattern } from '@/ui/cloth/cloth-pattern';
import type { ItemView } from '../queries';

/**
 * A bolt or remnant lying along the screen, its squared end to the left: what is gone, what is reserved, what is free, with its flaws
 * and its shape. User units are millimetres.
 */
export function ItemPicture({ item }: { item: ItemView }) {
  if (!item.isLength || item.widthNm === null || item.lengthNm === null || !item.look) return null;
  const [long, wide] = [item.lengthNm / NM.mm, item.widthNm / NM.mm];
  const gone = Math.max(0, (item.lengthNm - item.onHand) / NM.mm);
  const reserved = item.reserved / NM.mm;
  const px = long / 1100;
  const shape = item.outline?.map(([x, y]) => `${y / NM.mm},${x / NM.mm}`).join(' ');
  return (
    <svg
      viewBox={`${-4 * px} ${-4 * px} ${long + 8 * px} ${wide + 8 * px}`}
      style={{ display: 'block', width: '100%', maxHeight: 230 }}
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={`${item.code} as it lies: what is gone, reserved and free`}
    >
      <defs>
        <ClothPattern id={`item-${item.id}`} look={{ ...item.look, motif: item.motifNm }} lying />
        <pattern
          id={`gone-${item.id}`}
          width={10 * px}
          height={10 * px}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={10 * px} height={10 * px} fill="#fffdf6" />
          <rect width={2.5 * px} height={10 * px} fill="#a7b0aa" />
        </pattern>
      </defs>
      {shape ? (
        <polygon points={shape} fill={`url(#item-${item.id})`} stroke="#14241f" strokeWidth={1.5 * px} />
      ) : (
        <rect width={long} height={wide} fill={`url(#item-${item.id})`} stroke="#14241f" strokeWidth={1.5 * px} />
      )}
      {gone > 0 && (
        <rect
          width={Math.min(gone, long)}
          height={wide}
          fill={`url(#gone-${item.id})`}
          stroke="#14241f"
          strokeWidth={px}
        />
      )}
      {reserved > 0 && (
        <rect
          x={gone}
          width={Math.min(reserved, long - gone)}
          height={wide}
          fill="#f4c21f"
          fillOpacity={0.55}
          stroke="#14241f"
          strokeWidth={px}
        />
      )}
      {item.flaws.map(([x0, y0, x1, y1], i) => (
        <rect
          key={i}
          x={y0 / NM.mm}
          y={x0 / NM.mm}
          width={Math.max((y1 - y0) / NM.mm, 4 * px)}
          height={Math.max((x1 - x0) / NM.mm, 4 * px)}
          fill="none"
          stroke="#992d20"
          strokeWidth={3 * px}
        />
      ))}
    </svg>
  );
}
