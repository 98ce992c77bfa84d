/** Colours of people, dark enough for white letters (WCAG 2.2, 4.5:1); the initials stand in them, so that nobody is told by colour alone. */
export const PERSON_COLOURS = ['#0f5c4a', '#7a3b12', '#3c3f8f', '#8a1f4b', '#4d5a14', '#146078', '#6b2f86', '#5a4a3a'];

/** The initials of a name: the first letters of its first two words, or of its only one. */
export function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/).filter(Boolean);
  const letters = words.length > 1 ? words.slice(0, 2).map((word) => [...word][0]!) : [...(words[0] ?? '')].slice(0, 2);
  return letters.join('').toUpperCase();
}
