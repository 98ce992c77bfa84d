// npm run stand-in -- NAME [options]: a simulated device or service, a program of its own.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, ensureBundles, ensurePackages, ROOT, run } from './lib/project.mjs';
import { runMain, Stop } from './lib/say.mjs';

const NAMES = ['cutter', 'label-printer', 'digital-tape', 'supplier'];

await runMain(async () => {
  checkNode();
  const [name, ...rest] = process.argv.slice(2);
  if (!NAMES.includes(name))
    throw new Stop(
      `usage: npm run stand-in -- NAME [options], where NAME is one of ${NAMES.join(', ')}; --help after it says more`,
    );
  await ensurePackages();
  await ensureBundles();
  const program = join(ROOT, 'dist', `stand-in-${name}.mjs`);
  if (!existsSync(program)) throw new Stop(`${program} was not built.`);
  process.exitCode = await run(process.execPath, [program, ...rest]);
});
