import type { RecutOffer } from '../recut-offers';

interface Props {
  item: NonNullable<RecutOffer['item']>;
  place: NonNullable<RecutOffer['place']>;
  name: string;
}

/** Most of a length that is drawn, in widths of it: a bolt goes on. */
const MOST_WIDTHS = 1.6;

/** A length of cloth, its cut end at the left, with the piece where it is to be cut again. */
export function RecutPicture({ item, place, name }: Props) {
  const { width, length, outline } = item;
  const shown = Math.min(length, Math.max(width * MOST_WIDTHS, place.length * 1.15));
  const scale = 84 / width;
  // Along the cloth runs to the right; across it runs upwards.
  const at = ([x, y]: readonly [number, number]) => `${(y * scale).toFixed(1)},${((width - x) * scale).toFixed(1)}`;
  const ring = outline ?? [
    [0, 0],
    [width, 0],
    [width, shown],
    [0, shown],
  ];
  return (
    <svg
      className="recut-picture"
      viewBox={`-2 -2 ${(shown * scale + 4).toFixed(0)} 88`}
      height="88"
      width={(shown * scale + 4).toFixed(0)}
      role="img"
      aria-label={`Where ${name} lies on it`}
    >
      <polygon points={(ring as [number, number][]).map(at).join(' ')} className="recut-cloth" />
      <rect
        x={(place.y * scale).toFixed(1)}
        y={((width - place.x - place.width) * scale).toFixed(1)}
        width={(place.height * scale).toFixed(1)}
        height={(place.width * scale).toFixed(1)}
        className="recut-piece"
      />
    </svg>
  );
}
