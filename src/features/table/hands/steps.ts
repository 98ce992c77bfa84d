import { inches, NM, type Nm, type Units } from '@/core/length';

/** How far an arrow key moves a piece. */
export const STEPS: Record<Units, { label: string; step: Nm }[]> = {
  in: [
    { label: '1/16 in', step: inches(1 / 16) },
    { label: '1/4 in', step: inches(1 / 4) },
    { label: '1 in', step: inches(1) },
    { label: '6 in', step: inches(6) },
  ],
  mm: [
    { label: '1 mm', step: NM.mm },
    { label: '5 mm', step: 5 * NM.mm },
    { label: '2 cm', step: 20 * NM.mm },
    { label: '15 cm', step: 150 * NM.mm },
  ],
};
