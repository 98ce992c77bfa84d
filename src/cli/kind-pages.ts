import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { KINDS } from '@/core/covers';
import { kindPage, kindPicture } from '@/core/files/kind-page';

// npm run kind-pages: writes a page and a picture of each built-in kind into docs/kinds.

const FOLDER = join(process.env.JOLLY_BOLT_HOME ?? process.cwd(), 'docs', 'kinds');

parseArgs();
mkdirSync(FOLDER, { recursive: true });
for (const name of readdirSync(FOLDER)) rmSync(join(FOLDER, name));
for (const kind of KINDS) {
  writeFileSync(join(FOLDER, `${kind.id}.md`), kindPage(kind));
  const picture = kindPicture(kind);
  if (picture) writeFileSync(join(FOLDER, `${kind.id}.svg`), picture);
}
writeFileSync(
  join(FOLDER, 'README.md'),
  `# The kinds of covers\n\nEach on a sample of its sizes, in inches and in centimetres. Written by \`npm run kind-pages\`.\n\n${KINDS.map(({ id, letter, name }) => `- [${letter ? `${letter}. ` : ''}${name}](${id}.md)`).join('\n')}\n`,
);
console.log(`${KINDS.length} kinds are written into docs/kinds.`);
