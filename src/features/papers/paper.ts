/** A row of a paper: so many covers of one line, as the customer knows them. */
export interface PaperRow {
  kind: string;
  /** Sizes as they were ordered, in the order's units. */
  sizes: string;
  cloths: string;
  qty: string;
  /** Prices, where the paper has any. */
  each?: string;
  together?: string;
}

/** A paper for a customer, as it is shown, printed and made a PDF of: the same words in all three. */
export interface Paper {
  title: string;
  /** Name of its file without the ending. */
  file: string;
  /** Its day, like 2026-12-15. */
  day: string;
  from: { name: string; address: string; contact: string; taxNumber: string; logo: string };
  to: { name: string; contact: string };
  /** Sentence under the title. */
  about: string;
  rows: PaperRow[];
  sums: { label: string; amount: string; isTotal: boolean }[];
  /** Sentences below the rows. */
  notes: string[];
  /** Small print. */
  cautions: string[];
  /** The line to sign on; empty where there is none. */
  sign: string;
}
