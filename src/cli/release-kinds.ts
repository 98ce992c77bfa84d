import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { isDeepStrictEqual, parseArgs } from 'node:util';
import { join } from 'node:path';
import { format } from 'prettier';
import { KINDS, type CoverKind } from '@/core/covers';

// npm run release-kinds: writes each built-in kind whose version is new into its file of released versions.

const FOLDER = join(process.env.JOLLY_BOLT_HOME ?? process.cwd(), 'src', 'core', 'covers', 'released');

parseArgs();
for (const kind of KINDS) {
  const file = join(FOLDER, `${kind.id}.json`);
  const released: CoverKind[] = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : [];
  const same = released.find(({ version }) => version === kind.version);
  // Fields that are undefined are not in a file.
  const asWritten = JSON.parse(JSON.stringify(kind)) as CoverKind;
  if (same && !isDeepStrictEqual(same, asWritten)) {
    console.error(`${kind.id} has changed since its version ${kind.version} was released: raise its version first.`);
    process.exitCode = 1;
  } else if (!same) {
    writeFileSync(
      file,
      await format(JSON.stringify([...released, asWritten], null, 2), { parser: 'json', printWidth: 120 }),
    );
    console.log(`${kind.id}: version ${kind.version} is released.`);
    if (released.length === 0) console.log(`Name ${kind.id}.json in released/index.ts.`);
  }
}
