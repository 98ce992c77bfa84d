import { encode } from 'uqr';

/** A QR code (ISO/IEC 18004) as one path of unit squares, a stroke for each run of dark ones, with its quiet zone in `size`. */
export function qrPath(text: string): { d: string; size: number } {
  const { data, size } = encode(text, { ecc: 'M', border: 2 });
  let d = '';
  data.forEach((row, y) => {
    for (let x = 0; x < size;) {
      if (!row[x]) {
        x++;
        continue;
      }
      let end = x;
      while (end < size && row[end]) end++;
      d += `M${x} ${y}h${end - x}v1H${x}z`;
      x = end;
    }
  });
  return { d, size };
}
