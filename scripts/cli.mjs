// npm run nest | takeoff | bench: runs a bundled command, after making sure that it is there and current.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureBundles, ensurePackages, ROOT } from './lib/project.mjs';
import { runMain } from './lib/say.mjs';

await runMain(async () => {
  checkNode();
  const [command, ...args] = process.argv.slice(2);
  await ensurePackages((text) => console.error(text));
  await ensureBundles();
  // The command's files are named from where it was typed; npm moves into the project folder.
  const cwd = process.env.INIT_CWD ?? process.cwd();
  const child = spawn(process.execPath, [join(ROOT, 'dist', `${command}.mjs`), ...args], {
    cwd,
    stdio: 'inherit',
    env: { ...process.env, JOLLY_BOLT_HOME: ROOT },
  });
  process.exitCode = await new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1)));
});
