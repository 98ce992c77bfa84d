// npm run bench: speeds and lengths of the core, then how fast the screens of a large workroom answer.
import { join } from 'node:path';
import { ROOT, run } from './lib/project.mjs';
import { runMain } from './lib/say.mjs';

await runMain(async () => {
  const args = process.argv.slice(2);
  const core = await run(process.execPath, [join(ROOT, 'scripts', 'cli.mjs'), 'bench', ...args]);
  const load =
    core !== 0 || args.length > 0 ? core : await run(process.execPath, [join(ROOT, 'scripts', 'bench-load.mjs')]);
  process.exitCode = load;
});
