/**
 * The tables of an archive in the order in which they are read back: each after those that it names. A test holds this list against
 * the schema.
 */
export const ARCHIVED = [
  'settings',
  'people',
  'audit_entries',
  'customers',
  'cloths',
  'cloth_photos',
  'materials',
  'kinds',
  'kind_versions',
  'orders',
  'batches',
  'lay_runs',
  'order_lines',
  'line_values',
  'line_cloths',
  'line_parts',
  'lays',
  'lay_versions',
  'alone_lays',
  'lay_shares',
  'lay_ways',
  'prices',
  'stock_items',
  'movements',
  'stock_choices',
  'lay_events',
  'cut_ticks',
  'cut_troubles',
  'cutter_jobs',
  'price_proposals',
  'line_materials',
  'approvals',
  'quotes',
  'covers',
  'cover_events',
  'deliveries',
  'delivery_covers',
  'runs',
  'run_covers',
  'run_ticks',
  'run_clocks',
] as const;
export type ArchivedTable = (typeof ARCHIVED)[number];

export const ARCHIVE_FORMAT = 'jolly-bolt/archive';
export const ARCHIVE_VERSION = 1;
