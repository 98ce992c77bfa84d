import { printLength, STYLES, type OrderUnits } from '../length';
import type { CoverStep } from './cover';
import { NEEDLES, STITCHES, TENSIONS } from './kind';

/** The allowance or the hem of a step and the setting of the machine, each in words. */
export function settingsOf({ seam, hem, stitch, foot, needle, tension }: CoverStep, units: OrderUnits): string[] {
  const say = (length: number) => printLength(length, STYLES[units]);
  return [
    seam !== undefined && `Seam ${say(seam)}`,
    hem && `Hem ${hem.map(say).join(' + ')}`,
    stitch && `Stitch ${STITCHES[stitch]}`,
    foot,
    needle && NEEDLES[needle],
    tension && TENSIONS[tension],
  ].filter((one) => typeof one === 'string');
}

/** Tools to lay out before the first step: the machine with its feet and needles, and those of all steps. */
export function toolsOf(steps: readonly CoverStep[]): string[] {
  const feet = steps.flatMap(({ foot }) => foot ?? []);
  const needles = steps.flatMap(({ needle }) => (needle ? [NEEDLES[needle]] : []));
  const tools = steps.flatMap((step) => step.tools ?? []);
  return [...new Set([...feet, ...needles, ...tools])];
}

/** Lets each sentence through once: nobody reads the same ten times, so it stands where it is needed first. */
export function onlyOnce(): (text: string | undefined) => string | undefined {
  const seen = new Set<string>();
  return (text) => {
    if (text === undefined || seen.has(text)) return undefined;
    seen.add(text);
    return text;
  };
}
