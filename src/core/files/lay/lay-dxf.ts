import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { middleOf, sheetTops, type LaySheet } from './lay-sheets';

const LAYERS = [
  ['CLOTH', Colors.Cyan],
  ['FLAW', Colors.Red],
  ['CUT', Colors.White],
  ['STRIP', Colors.Yellow],
  ['SEAM', Colors.Green],
  ['MARK', Colors.Magenta],
  ['WORDS', Colors.Blue],
] as const;
type Layer = (typeof LAYERS)[number][0];
const WORDS_HIGH = 12;

/** Letters beyond ASCII as DXF writes them, whatever its code page. */
const ascii = (text: string) =>
  text.replace(/[^\x20-\x7e]/g, (sign) => `\\U+${sign.charCodeAt(0).toString(16).padStart(4, '0')}`);

/**
 * A lay as DXF (ASCII, AC1021) at true scale in millimetres: X along the cloth, Y across it from its right edge, so that nothing is
 * mirrored. Every piece is one closed polyline on the layer CUT, every cut of a strip one on STRIP. Several lengths lie one below the other.
 */
export function layDxf(sheets: readonly LaySheet[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [name, colour] of LAYERS) dxf.addLayer(name, colour, 'CONTINUOUS');
  const tops = sheetTops(sheets);
  const closed = (
    layer: Layer,
    ring: readonly (readonly [number, number])[],
    place: (at: readonly [number, number]) => [number, number],
  ) => {
    dxf.setCurrentLayerName(layer);
    dxf.addLWPolyline(
      ring.map((at) => ({ point: point2d(...place(at)) })),
      { flags: LWPolylineFlags.Closed },
    );
  };
  sheets.forEach(({ width, used, outline, selvage, flaws, items }, i) => {
    // DXF counts upward.
    const place = ([along, across]: readonly [number, number]): [number, number] => [along, -tops[i]! - across];
    const box = (x0: number, y0: number, x1: number, y1: number): [number, number][] => [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ];
    closed('CLOTH', outline ?? box(0, 0, used, width), place);
    for (const y of [selvage[0], width - selvage[1]]) {
      const [from, to] = [place([0, y]), place([used, y])];
      dxf.addLine(point3d(...from), point3d(...to));
    }
    for (const flaw of flaws) closed('FLAW', box(...flaw), place);
    for (const { isStrip, ring, seam, marks, orderNo, name, copy } of items) {
      closed(isStrip ? 'STRIP' : 'CUT', ring, place);
      if (seam) closed('SEAM', seam, place);
      dxf.setCurrentLayerName('MARK');
      for (const { points } of marks) {
        const [from, to] = points.map(place);
        if (to) dxf.addLine(point3d(...from!), point3d(...to));
        else dxf.addPoint(...from!, 0);
      }
      dxf.setCurrentLayerName('WORDS');
      dxf.addText(point3d(...place(middleOf(ring))), WORDS_HIGH, ascii(`${orderNo} ${name} ${copy}`));
    }
  });
  return dxf.stringify();
}
