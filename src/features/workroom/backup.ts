import { spawn } from 'node:child_process';
import {
  createReadStream,
  existsSync,
  mkdirSync,
  openSync,
  closeSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { databaseUrl } from '@/db';
import { refuse, ok, type Result } from '@/core/result';

/** Backups made from the screen that are kept; those in files of the person's own are never touched. */
const KEPT = 5;
const MOST_MS = 10 * 60_000;
const NAME = /^workroom-[0-9T-]+\.dump$/;

/** Where the starter keeps backups and PostgreSQL's programs, or null where it was not the starter that began this process. */
function places(): { folder: string; program: string } | null {
  const { JOLLY_BOLT_BACKUPS: folder, JOLLY_BOLT_PG_BIN: bin } = process.env;
  return folder && bin ? { folder, program: join(/*turbopackIgnore: true*/ bin, 'pg_dump') } : null;
}

/** Writes the whole workroom into a file of its own (pg_dump's format, as `npm run restore` reads it). */
export async function backUp(now: Date): Promise<Result<{ file: string; bytes: number }>> {
  const where = places();
  if (!where)
    return refuse(
      'backup',
      '',
      'This application was not begun with npm start, so it does not know where its database’s programs are; use npm run backup.',
    );
  mkdirSync(where.folder, { recursive: true });
  const file = `workroom-${now.toISOString().slice(0, 19).replaceAll(':', '-')}.dump`;
  const path = join(/*turbopackIgnore: true*/ where.folder, file);
  const out = openSync(`${path}.partial`, 'w', 0o600);
  const failure = await new Promise<string | null>((resolve) => {
    const child = spawn(where.program, ['--dbname', databaseUrl(), '-Fc', '--no-owner', '--no-privileges'], {
      stdio: ['ignore', out, 'pipe'],
      timeout: MOST_MS,
    });
    let said = '';
    child.stderr!.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-500)));
    child.once('error', (error) => resolve(error.message));
    child.once('close', (code) => resolve(code === 0 ? null : said || `pg_dump ended with ${code}`));
  });
  closeSync(out);
  if (failure !== null) {
    console.error(failure);
    rmSync(`${path}.partial`, { force: true });
    return refuse(
      'backup',
      '',
      /No space left/i.test(failure)
        ? 'The disk is full, so no backup was made: make room on it and try again.'
        : 'The backup could not be made; what the workroom holds is as it was.',
    );
  }
  renameSync(`${path}.partial`, path);
  for (const old of backups(where.folder).slice(KEPT)) rmSync(join(/*turbopackIgnore: true*/ where.folder, old));
  return ok({ file, bytes: statSync(path).size });
}

/** The names of the backups in a folder, the newest first. */
const backups = (folder: string): string[] =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => NAME.test(name))
        .sort()
        .reverse()
    : [];

/** The newest backup made from the screen, to be taken along; null where there is none. */
export function newestBackup(): { file: string; bytes: number; stream: () => NodeJS.ReadableStream } | null {
  const where = places();
  const [file] = where ? backups(where.folder) : [];
  if (!where || !file) return null;
  const path = join(/*turbopackIgnore: true*/ where.folder, file);
  return { file, bytes: statSync(path).size, stream: () => createReadStream(path) };
}
