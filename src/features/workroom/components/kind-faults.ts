/** The one fault that does not keep a kind from being tried out. */
export const NAMELESS = 'name-none';
