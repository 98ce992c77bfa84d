'use client';

import { Box, Button, Flex, HStack, Link as TextLink, Spinner, Stack, Text, Textarea } from '@chakra-ui/react';
import { FileSpreadsheet } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import Papa from 'papaparse';
import { useEffect, useMemo, useRef, useState } from 'react';
import { kindBook } from '@/core/covers';
import {
  MOST_SHEET_BYTES,
  MOST_SHEET_ROWS,
  proposeFields,
  sheetFields,
  type Sheet,
  type SheetField,
} from '@/core/files/order-sheet';
import type { Answer } from '@/features/commands/answer';
import { answered, requestFor } from '@/features/commands/send';
import { FileDrop } from '@/ui/fields/file-drop';
import { Notice, PageHead, Panel } from '@/ui/page';
import { pageWorker, whyBroken, type PageWorker } from '@/ui/page-worker';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { counted } from '@/ui/words';
import type { OrderProviderProps } from './order-context';
import { SheetOutcome } from './sheet-outcome';
import type { SheetAnswer, SheetQuestion, SheetWork } from './sheet-check';

const IMPORT = '/api/orders/import';

/** Orders from a table: taken in, its columns told, its faults put right at the cell, then the good rows brought in or none. */
// eslint-disable-next-line max-lines-per-function -- one page in three steps that share the sheet
export function SheetImport({ usualDue, ...room }: OrderProviderProps & { usualDue: string }) {
  const router = useRouter();
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const [fields, setFields] = useState<string[]>([]);
  const [pasted, setPasted] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState<'reading' | 'importing' | null>(null);
  const abort = useRef<AbortController>(null);
  const kinds = useMemo(() => kindBook(room.own, room.withdrawn).current, [room.own, room.withdrawn]);
  const known = useMemo(() => sheetFields(kinds), [kinds]);
  const [isPartial, setPartial] = useState(false);
  const [isMeant, setMeant] = useState(false);
  const [isIn, setIn] = useState(false);
  useUnsaved(sheet !== null && !isIn);
  const checked = useCheck(sheet, fields, room, usualDue, isPartial, setProblem);

  const take = (next: Sheet) => {
    setProblem('');
    setSheet(next);
    setMeant(false);
    setFields(proposeFields(next.columns, known));
  };
  const takeFile = async (file: File) => {
    if (file.size > MOST_SHEET_BYTES)
      return setProblem(`“${file.name}” is larger than ${MOST_SHEET_BYTES / 1e6} MB; split it.`);
    setBusy('reading');
    const answer = await send<Sheet>('/api/orders/sheet', 'application/octet-stream', file);
    setBusy(null);
    if (answer.ok) take(answer.value);
    else setProblem(`“${file.name}” was not taken in. ${answer.faults[0]!.message}`);
  };
  const takeText = () => {
    const { data } = Papa.parse<string[]>(pasted.trim(), { skipEmptyLines: 'greedy' });
    const [columns, ...rows] = data;
    if (!columns || rows.length === 0)
      return setProblem('Paste the row with the columns’ names and at least one row below it.');
    if (rows.length > MOST_SHEET_ROWS)
      return setProblem(`That is more than ${MOST_SHEET_ROWS.toLocaleString('en')} rows; paste fewer at a time.`);
    take({ columns, rows: rows.map((row) => columns.map((_, i) => row[i] ?? '')) });
  };
  const bringIn = async () => {
    abort.current = new AbortController();
    setBusy('importing');
    const answer = await send<{ orders: number; lines: number }>(
      IMPORT,
      'application/json',
      JSON.stringify({ sheet, fields, isPartial, isMeant }),
      abort.current.signal,
      requestFor(IMPORT, [sheet, fields, isPartial, isMeant]),
    );
    setBusy(null);
    if (answer.ok || answer.faults[0]!.code !== 'offline') answered(IMPORT);
    if (!answer.ok) return setProblem(answer.faults[0]!.message);
    setIn(true);
    toaster.create({
      title: `${counted(answer.value.orders, 'order')} with ${counted(answer.value.lines, 'line')} are brought in.`,
      type: 'success',
    });
    router.push('/orders');
  };
  const setCell = (row: number, column: number, text: string) => {
    setMeant(false);
    setSheet(
      (old) =>
        old && {
          ...old,
          rows: old.rows.map((cells, r) => (r === row ? cells.map((cell, c) => (c === column ? text : cell)) : cells)),
        },
    );
  };

  return (
    <>
      <PageHead title="Orders from a sheet" about="A row a cover; rows of one order reference make one order">
        <Button asChild variant="ghost">
          <Link href="/orders">Back to orders</Link>
        </Button>
        {sheet && (
          <>
            <Button variant="outline" onClick={() => setSheet(null)} disabled={busy !== null}>
              Another sheet
            </Button>
            {busy === 'importing' ? (
              <Button onClick={() => abort.current?.abort()}>Cancel</Button>
            ) : (
              <Button
                onClick={bringIn}
                disabled={!checked || checked.goodRows === 0 || (checked.questions.length > 0 && !isMeant)}
              >
                {checked ? `Bring in ${counted(checked.orders, 'order')}` : 'Checking …'}
              </Button>
            )}
          </>
        )}
      </PageHead>
      <Stack gap="5">
        {problem && <Notice level="stop">{problem}</Notice>}
        {busy && (
          <HStack gap="3" role="status">
            <Spinner size="sm" /> <Text>{busy === 'reading' ? 'Reading the file …' : 'Bringing the orders in …'}</Text>
          </HStack>
        )}
        {!sheet ? (
          <Source pasted={pasted} onPaste={setPasted} onText={takeText} onFile={takeFile} isBusy={busy !== null} />
        ) : (
          <>
            <Columns sheet={sheet} fields={fields} known={known} onChange={setFields} />
            <SheetOutcome
              sheet={sheet}
              fields={fields}
              checked={checked}
              isPartial={isPartial}
              onPartial={setPartial}
              isMeant={isMeant}
              onMeant={setMeant}
              onCell={setCell}
            />
            <datalist id="sheet-kinds">
              {kinds.map(({ id, name }) => (
                <option key={id} value={name} />
              ))}
            </datalist>
            <datalist id="sheet-cloths">
              {room.cloths.map(({ id, name }) => (
                <option key={id} value={name} />
              ))}
            </datalist>
          </>
        )}
      </Stack>
    </>
  );
}

function Source({
  pasted,
  onPaste,
  onText,
  onFile,
  isBusy,
}: {
  pasted: string;
  onPaste: (text: string) => void;
  onText: () => void;
  onFile: (file: File) => void;
  isBusy: boolean;
}) {
  return (
    <Flex gap="5" direction={{ base: 'column', lg: 'row' }}>
      <Box flex="1">
        <Panel title="A file">
          <FileDrop
            label="Sheet with orders"
            accept=".csv,.tsv,.txt,.xlsx"
            sign={<FileSpreadsheet size={36} aria-hidden />}
            button="Choose a file"
            about="CSV or XLSX, up to 10,000 rows; or drop it here"
            isBusy={isBusy}
            onFile={onFile}
          />
          <Text mt="4">
            A sheet to fill in:{' '}
            <TextLink href="/api/orders/template?as=xlsx" fontWeight="600" download>
              workbook
            </TextLink>{' '}
            or{' '}
            <TextLink href="/api/orders/template?as=csv" fontWeight="600" download>
              CSV
            </TextLink>
          </Text>
        </Panel>
      </Box>
      <Box flex="1">
        <Panel title="Or pasted">
          <Textarea
            aria-label="Pasted rows"
            value={pasted}
            onChange={(event) => onPaste(event.target.value)}
            rows={8}
            placeholder={'Customer\tKind\tHow many\tWidth\tHeight\tCloth'}
          />
          <Button mt="3" variant="outline" onClick={onText} disabled={pasted.trim() === ''}>
            Take these rows
          </Button>
        </Panel>
      </Box>
    </Flex>
  );
}

function Columns({
  sheet,
  fields,
  known,
  onChange,
}: {
  sheet: Sheet;
  fields: string[];
  known: SheetField[];
  onChange: (fields: string[]) => void;
}) {
  return (
    <Panel title="What the columns mean">
      <Box
        overflowX="auto"
        css={{
          '& th, & td': { padding: '6px 10px', textAlign: 'left', whiteSpace: 'nowrap' },
          '& td': { maxWidth: '220px', overflow: 'hidden', textOverflow: 'ellipsis' },
          '& select': {
            minHeight: '40px',
            border: '1px solid var(--chakra-colors-border)',
            borderRadius: '2px',
            padding: '0 8px',
            fontWeight: 600,
            background: 'var(--chakra-colors-bg-panel)',
            color: 'inherit',
          },
        }}
      >
        <table>
          <thead>
            <tr>
              {sheet.columns.map((column, i) => (
                <th key={i}>{column || `Column ${i + 1}`}</th>
              ))}
            </tr>
            <tr>
              {fields.map((field, i) => (
                <th key={i}>
                  <select
                    aria-label={`${sheet.columns[i] || `Column ${i + 1}`} means`}
                    value={field}
                    onChange={(event) =>
                      onChange(
                        fields.map((one, k) => (k === i ? event.target.value : one === event.target.value ? '' : one)),
                      )
                    }
                  >
                    <option value="">left out</option>
                    {known.map(({ id, label }) => (
                      <option key={id} value={id}>
                        {label}
                      </option>
                    ))}
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.rows.slice(0, 3).map((row, r) => (
              <Box as="tr" key={r} color="fg.muted">
                {row.map((cell, c) => (
                  <td key={c}>{cell}</td>
                ))}
              </Box>
            ))}
          </tbody>
        </table>
      </Box>
    </Panel>
  );
}

/** The sheet's check, worked out beside the page; the last one stays to be seen while the next is made. */
function useCheck(
  sheet: Sheet | null,
  fields: string[],
  room: OrderProviderProps,
  usualDue: string,
  isPartial: boolean,
  onBroken: (why: string) => void,
): SheetAnswer | null {
  const worker = useRef<PageWorker<SheetWork>>(null);
  const [answer, setAnswer] = useState<SheetAnswer | null>(null);
  const { cloths, own, withdrawn, workroom } = room;
  useEffect(() => {
    const made = pageWorker<SheetWork>(
      new Worker(new URL('./sheet-check.worker.ts', import.meta.url), { type: 'module' }),
    );
    worker.current = made;
    return () => made.end();
  }, []);
  useEffect(() => {
    if (!sheet) return;
    let isCurrent = true;
    const question: SheetQuestion = { sheet, fields, room: { cloths, own, withdrawn, workroom }, usualDue, isPartial };
    void worker.current
      ?.ask((work) => work.check(question))
      .then(
        (found) => isCurrent && setAnswer(found),
        (error: unknown) =>
          isCurrent && onBroken(`The sheet could not be checked (${whyBroken(error)}); open the page again.`),
      );
    return () => {
      isCurrent = false;
    };
  }, [sheet, fields, cloths, own, withdrawn, workroom, usualDue, isPartial, onBroken]);
  return sheet ? answer : null;
}

async function send<T>(
  path: string,
  type: string,
  body: BodyInit,
  signal?: AbortSignal,
  requestId?: string,
): Promise<Answer<T>> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': type, ...(requestId && { 'x-request-id': requestId }) },
      body,
      ...(signal && { signal }),
    });
    return (await response.json()) as Answer<T>;
  } catch {
    const message = signal?.aborted
      ? 'The import was cancelled; nothing was brought in.'
      : 'The workroom’s computer did not answer. Nothing was brought in; try again.';
    return { ok: false, faults: [{ code: 'offline', field: '', message }] };
  }
}
