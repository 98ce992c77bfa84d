// Messages of the scripts: plain lines, and one clear sentence when something is in the way.

/** Ends the command with one sentence for the person who typed it. */
export class Stop extends Error {}

export const say = (text) => console.log(text);

/** Runs a script's main function; a Stop prints its sentence and ends with status 1. */
export async function runMain(main) {
  try {
    await main();
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    console.error(error.message);
    process.exitCode = 1;
  }
}

/** The sentence for a system error that a person can act on, or null. */
export function sentenceFor(error, folder) {
  switch (error.code) {
    case 'ENOSPC':
    case 'EDQUOT':
      return `The disk that holds ${folder} is full: make room and run this again.`;
    case 'EROFS':
    case 'EACCES':
    case 'EPERM':
      return `The folder ${folder} can't be written: give this account the right to write it, or move Jolly Bolt to another folder.`;
    default:
      return null;
  }
}
