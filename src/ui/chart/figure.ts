/** A figure that is drawn: categories along one axis, one or more series over them. */
export interface ChartFigure {
  id: string;
  title: string;
  about: string;
  /** Unit of the values: metres, money of a currency. */
  unit: string;
  isStacked: boolean;
  /** The first column names the category, the others the series. */
  columns: string[];
  /** `label` is how a category is shown to people, where that is another way than in a file. */
  rows: { category: string; label?: string; values: number[] }[];
  /** The sentence where there is nothing yet. */
  empty: string;
}
