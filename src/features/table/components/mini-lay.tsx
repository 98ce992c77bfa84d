import { NM } from '@/core/length';
import type { SceneLay } from '../scene/scene-types';
import { markColour } from '@/ui/order-mark';

/** A lay in small: its lengths one below the other, every piece in its order's colour. `longestMm` keeps several to one scale. */
export function MiniLay({ scene, longestMm, label }: { scene: SceneLay; longestMm: number; label: string }) {
  const lengths = scene.lengths.filter(({ usedNm }) => usedNm > 0);
  const gap = longestMm / 40;
  const tops = lengths.map((_, i) => lengths.slice(0, i).reduce((sum, { widthMm }) => sum + widthMm + gap, 0));
  const height = lengths.reduce((sum, { widthMm }) => sum + widthMm + gap, -gap);
  const line = longestMm / 300;
  return (
    <svg
      viewBox={`${-line} ${-line} ${longestMm + 2 * line} ${height + 2 * line}`}
      role="img"
      aria-label={label}
      style={{ display: 'block', width: '100%', maxHeight: 200 }}
      preserveAspectRatio="xMinYMid meet"
    >
      {lengths.map((length, i) => (
        <g key={length.code} transform={`translate(0 ${tops[i]})`}>
          <rect
            width={Math.max(length.usedNm / NM.mm, 1)}
            height={length.widthMm}
            fill={scene.look.ground}
            stroke="#14241f"
            strokeWidth={line}
          />
          {scene.items
            .filter(({ stock }) => stock === length.code)
            .map(({ key, ring, tone }) => (
              <polygon
                key={key}
                points={ring.map(([x, y]) => `${y},${x}`).join(' ')}
                fill={markColour(tone)}
                fillOpacity="0.55"
                stroke="#fff"
                strokeWidth={line}
              />
            ))}
        </g>
      ))}
    </svg>
  );
}
