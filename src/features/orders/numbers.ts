/** The number of a workroom's first order. */
export const FIRST_NO = 201;
/** The advisory lock under which order numbers are given. */
export const NUMBER_LOCK = 4201;
