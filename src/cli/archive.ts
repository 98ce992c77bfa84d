import { statSync } from 'node:fs';
import { ArchiveFault, readArchive } from '@/archive/read-archive';
import { writeArchive } from '@/archive/write-archive';

// node dist/archive.mjs out|in FILE: the whole workroom of DATABASE_URL as one open archive.

const [way, file] = process.argv.slice(2) as ['out' | 'in', string];
try {
  const { rows } = await (way === 'out' ? writeArchive : readArchive)(process.env.DATABASE_URL!, file);
  console.log(
    way === 'out'
      ? `${rows.toLocaleString('en')} rows are in ${file} (${(statSync(file).size / 1e6).toFixed(1)} MB).`
      : `${rows.toLocaleString('en')} rows of ${file} are in the workroom.`,
  );
} catch (error) {
  if (!(error instanceof ArchiveFault)) throw error;
  console.error(error.message);
  process.exitCode = 1;
}
