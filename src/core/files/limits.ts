/** The largest document that is read: 10 MB of text. */
export const MOST_BYTES = 10_000_000;
