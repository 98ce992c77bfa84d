/** A drop as people write it: a fraction of the repeat along, like 1/2. */
export const dropText = (part: number): string => {
  if (part === 0) return '0';
  for (let under = 2; under <= 12; under++) {
    const over = Math.round(part * under);
    if (Math.abs(over / under - part) < 1e-9) return `${over}/${under}`;
  }
  return String(part);
};
