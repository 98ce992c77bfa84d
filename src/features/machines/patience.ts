/** How long (ms) the workroom waits for what stands around it, before it says that it does not answer. */
export const patience = {
  /** For the cutter to take a lay, and to say how far it is. */
  cutterTakes: 8_000,
  cutterTells: 2_000,
  /** For the label printer to take the labels. */
  printer: 5_000,
  /** For a supplier’s list of prices. */
  supplier: 6_000,
};
