import { NM } from '../../length';
import type { Marker } from '../../marker';
import { laySheets } from './lay-sheets';

/** A lay as a table: a row for each piece and each cut of a strip, in the order in which they lie, its head first. Millimetres. */
export function layRows(marker: Omit<Marker, 'version'>): (string | number)[][] {
  const round = (value: number) => Math.round(value * 100) / 100;
  const rows = laySheets(marker, 'mm').flatMap(({ code, items }) =>
    items
      .map((item) => {
        const [xs, ys] = [item.ring.map(([x]) => x), item.ring.map(([, y]) => y)];
        return {
          item,
          along: Math.min(...xs),
          across: Math.min(...ys),
          long: Math.max(...xs) - Math.min(...xs),
          wide: Math.max(...ys) - Math.min(...ys),
        };
      })
      .sort((a, b) => a.along - b.along || a.across - b.across)
      .map(({ item, along, across, long, wide }) => [
        code,
        Number(item.orderNo) || item.orderNo,
        item.name,
        item.copy,
        item.isStrip ? 'strip' : 'piece',
        round(along),
        round(across),
        round(long),
        round(wide),
        item.turn,
      ]),
  );
  const head = [
    'Length of cloth',
    'Order',
    'Part',
    'Number',
    'It is',
    'From the squared end (mm)',
    'From the left edge (mm)',
    'Along (mm)',
    'Across (mm)',
    'Turned (degrees)',
  ];
  const ends = marker.plan.lays.map(({ stock, used }) => [
    stock,
    '',
    'cut off here',
    '',
    '',
    round(used / NM.mm),
    '',
    '',
    '',
    '',
  ]);
  return [head, ...rows, ...ends];
}
