/**
 * The arithmetic of the workroom, one stage a folder, in the order in which the work goes:
 * measure (length) -> cloth -> cover -> cut list -> lay -> cost -> batch, with the open formats in `files`.
 * Each stage takes what the one before returned; nothing reaches back.
 */
export * as length from './length';
export * as cloth from './cloth';
export * as covers from './covers';
export * as cutlist from './cutlist';
export * as lay from './lay';
export * as cost from './cost';
export * as batch from './batch';
export * as files from './files';
