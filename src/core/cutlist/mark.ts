/** An order keeps one colour and one sign everywhere it appears, so that neither is ever told by colour alone. */
export const MARK_COLOURS = 10;
const MARK_SIGNS = 8;
export const MARKS = MARK_COLOURS * MARK_SIGNS;

/** The mark of an order number. Neighbouring numbers differ in both colour and sign. */
export const markOf = (no: number): number => (no * 31) % MARKS;

export const colourOf = (mark: number): number => mark % MARK_COLOURS;
export const signOf = (mark: number): number => Math.floor(mark / MARK_COLOURS) % MARK_SIGNS;
