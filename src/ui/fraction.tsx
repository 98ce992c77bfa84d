import { Fragment } from 'react';

/** A fraction: two numbers with one stroke between them, and not a part of a day like 03/04/2027. */
const FRACTION = /(?<![\d/.])(\d{1,3}\/\d{1,2})(?![\d/])/;

/** Text in which every fraction is set as one: `13 5/8` with a raised 5, a bar and a lowered 8. */
export function Fractions({ children }: { children: string }) {
  const parts = children.replaceAll('≈ ', '≈\u00a0').split(FRACTION);
  return (
    <>
      {parts.map((part, i) => {
        // Every second part is a fraction.
        const fraction = i % 2 === 1 ? part.split('/') : null;
        if (!fraction)
          return <Fragment key={i}>{i < parts.length - 1 ? part.replace(/(\d) $/, '$1\u202f') : part}</Fragment>;
        return (
          <span key={i} className="frac">
            <sup>{fraction[0]}</sup>
            <i>⁄</i>
            <sub>{fraction[1]}</sub>
          </span>
        );
      })}
    </>
  );
}

const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';
const LOWERED = '₀₁₂₃₄₅₆₇₈₉';
const set = (digits: string, glyphs: string) => [...digits].map((digit) => glyphs[Number(digit)]).join('');

/** The same in characters alone, for text inside a drawing. */
export const withFraction = (text: string): string =>
  text.replace(
    / ?(?<![\d/.])(\d{1,3})\/(\d{1,2})(?![\d/])/g,
    (_, over: string, under: string) => `\u202f${set(over, RAISED)}⁄${set(under, LOWERED)}`,
  );
