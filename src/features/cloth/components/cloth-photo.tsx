'use client';

import { Box, Button, Grid, Stack, Text } from '@chakra-ui/react';
import { Camera } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { readPhoto, type PhotoMarks, type Pixel } from '@/core/cloth/photo';
import { parseLength, printLength, STYLES, type Units } from '@/core/length';
import type { Answer, Saved } from '@/features/commands/answer';
import { TextField } from '@/ui/fields/choice';
import { FileDrop } from '@/ui/fields/file-drop';
import { Fractions } from '@/ui/fraction';
import { LengthField } from '@/ui/fields/length-field';
import { typingUnit } from '@/core/length';
import { Notice, PageHead, Panel } from '@/ui/page';
import { toaster } from '@/ui/toaster';
import { useUnsaved } from '@/ui/unsaved/unsaved';
import { laysAgain } from '@/ui/words';
import { dropText } from '../drop-text';

const MOST_BYTES = 16_000_000;

type MarkId = 'a1' | 'a2' | 'b1' | 'b2' | 'e1' | 'e2';
const MARKS: { id: MarkId; label: string; colour: string; ask: string }[] = [
  { id: 'a1', label: 'across, 1', colour: '#b9472b', ask: 'A point of the pattern that is easy to find again.' },
  { id: 'a2', label: 'across, 2', colour: '#b9472b', ask: 'The same point further to the right across the cloth.' },
  { id: 'b1', label: 'along, 1', colour: '#1d5fb8', ask: 'A point of the pattern, nearer to the squared end.' },
  { id: 'b2', label: 'along, 2', colour: '#1d5fb8', ask: 'The same point further along the cloth.' },
  { id: 'e1', label: 'left edge', colour: '#3c7d2c', ask: 'The left edge of the cloth, if it is on the picture.' },
  { id: 'e2', label: 'right edge', colour: '#3c7d2c', ask: 'The right edge of the cloth.' },
];
const STEP_PX = 1;

/** A cloth from a photograph: two points across and two along are marked, and its repeat, drop and width are read from them. */
// eslint-disable-next-line max-lines-per-function -- one page from top to bottom; marks, sizes and picture share all of its state
export function ClothPhotoPage({ cloth }: { cloth: { id: number; version: number; name: string; units: Units } }) {
  const { units } = cloth;
  const router = useRouter();
  const [file, setFile] = useState<{ file: File; url: string; width: number; height: number } | null>(null);
  const [marks, setMarks] = useState<Partial<Record<MarkId, Pixel>>>({});
  const [active, setActive] = useState<MarkId>('a1');
  const [apart, setApart] = useState('');
  const [counts, setCounts] = useState({ across: '1', along: '1' });
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  useUnsaved(Object.keys(marks).length > 0 && !isBusy);
  const picture = useRef<HTMLDivElement>(null);

  const take = (given: File) => {
    setProblem('');
    if (given.size > MOST_BYTES) return setProblem('A picture may have at most 16 MB; make it smaller.');
    const url = URL.createObjectURL(given);
    const image = new Image();
    image.onload = () => {
      setMarks({});
      setActive('a1');
      setFile({ file: given, url, width: image.naturalWidth, height: image.naturalHeight });
    };
    image.onerror = () => setProblem('This is no picture that can be shown; take a JPEG, PNG or WebP.');
    image.src = url;
  };

  const place = (id: MarkId, [x, y]: Pixel) => {
    if (!file) return;
    const within: Pixel = [Math.min(Math.max(x, 0), file.width), Math.min(Math.max(y, 0), file.height)];
    setMarks((all) => ({ ...all, [id]: within }));
  };
  const pointOf = (event: React.PointerEvent): Pixel => {
    const { left, top, width, height } = picture.current!.getBoundingClientRect();
    return [((event.clientX - left) / width) * file!.width, ((event.clientY - top) / height) * file!.height];
  };
  const onDown = (event: React.PointerEvent) => {
    if (!file) return;
    place(active, pointOf(event));
    const next = MARKS[MARKS.findIndex(({ id }) => id === active) + 1];
    if (next && !marks[active]) setActive(next.id);
  };
  const nudge = (id: MarkId, dx: number, dy: number) => {
    const at = marks[id];
    if (at) place(id, [at[0] + dx, at[1] + dy]);
  };

  const length = parseLength(apart, typingUnit(units));
  const count = (text: string) => (/^[1-9]\d?$/.test(text.trim()) ? Number(text) : null);
  const [acrossRepeats, alongRepeats] = [count(counts.across), count(counts.along)];
  const { a1, a2, b1, b2, e1, e2 } = marks;
  const whole: PhotoMarks | null =
    a1 && a2 && b1 && b2 && length.ok && acrossRepeats && alongRepeats
      ? {
          across: [a1, a2],
          along: [b1, b2],
          acrossRepeats,
          alongRepeats,
          apart: length.value,
          edges: e1 && e2 ? [e1, e2] : null,
        }
      : null;
  const reading = whole && readPhoto(whole);

  const save = async () => {
    if (!file || !whole) return;
    setBusy(true);
    setProblem('');
    const body = new FormData();
    body.set('photo', file.file);
    body.set('marks', JSON.stringify(whole));
    body.set('version', String(cloth.version));
    try {
      const response = await fetch(`/api/cloths/${cloth.id}/photo`, { method: 'POST', body });
      const answer = (await response.json()) as Answer<Saved>;
      if (answer.ok) {
        toaster.create({
          title: `${cloth.name} is drawn from its photograph.`,
          description: laysAgain(answer.value.reopened),
          type: 'success',
        });
        return router.push(`/cloth/${cloth.id}`);
      }
      setProblem(answer.faults[0]!.message);
    } catch {
      setProblem('The workroom’s computer did not answer; try again.');
    }
    setBusy(false);
  };

  const say = (nm: number) => printLength(nm, units === 'in' ? { unit: 'in', denominator: 16 } : STYLES.mm);
  return (
    <>
      <PageHead title={`${cloth.name} from a photograph`}>
        <Button asChild variant="ghost">
          <Link href={`/cloth/${cloth.id}`}>Back to the cloth</Link>
        </Button>
        <Button onClick={() => void save()} disabled={!reading} loading={isBusy} loadingText="Saving">
          Use these sizes and this picture
        </Button>
      </PageHead>
      {problem && (
        <Box mb="4">
          <Notice level="stop">{problem}</Notice>
        </Box>
      )}
      {!file ? (
        <Panel>
          <FileDrop
            label="Photograph"
            accept="image/jpeg,image/png,image/webp"
            sign={<Camera size={40} aria-hidden />}
            button="Choose a photograph"
            about="Taken from straight above, the cloth lying flat, at least two repeats each way. JPEG, PNG or WebP, at most 16 MB; where and when it was taken is not kept."
            onFile={take}
          />
        </Panel>
      ) : (
        <Grid templateColumns="minmax(0, 1fr) 320px" gap="5" alignItems="start">
          <Box
            borderWidth="1px"
            borderColor="border"
            borderRadius="sm"
            overflow="auto"
            maxH="calc(100vh - 230px)"
            bg="bg.muted"
          >
            <Box
              ref={picture}
              position="relative"
              onPointerDown={onDown}
              cursor="crosshair"
              css={{ touchAction: 'none' }}
            >
              {/* eslint-disable-next-line @next/next/no-img-element -- a file of the person's own, shown as it is */}
              <img src={file.url} alt="The cloth" style={{ display: 'block', width: '100%' }} draggable={false} />
              <svg
                viewBox={`0 0 ${file.width} ${file.height}`}
                style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
              >
                {[
                  ['a1', 'a2'],
                  ['b1', 'b2'],
                  ['e1', 'e2'],
                ].map(([from, to]) => {
                  const [p, q] = [marks[from as MarkId], marks[to as MarkId]];
                  const { colour } = MARKS.find(({ id }) => id === from)!;
                  return (
                    p &&
                    q && (
                      <line
                        key={from}
                        x1={p[0]}
                        y1={p[1]}
                        x2={q[0]}
                        y2={q[1]}
                        stroke={colour}
                        strokeWidth={file.width / 300}
                        strokeDasharray={`${file.width / 80}`}
                      />
                    )
                  );
                })}
                {MARKS.map(({ id, colour }) => {
                  const at = marks[id];
                  const r = file.width / 70;
                  return (
                    at && (
                      <g key={id} stroke={colour} strokeWidth={file.width / 350} fill="none">
                        <circle
                          cx={at[0]}
                          cy={at[1]}
                          r={r}
                          fill="rgba(255,255,255,0.6)"
                          strokeWidth={id === active ? file.width / 200 : file.width / 350}
                        />
                        <path d={`M${at[0] - 1.6 * r} ${at[1]}h${3.2 * r}M${at[0]} ${at[1] - 1.6 * r}v${3.2 * r}`} />
                      </g>
                    )
                  );
                })}
              </svg>
            </Box>
          </Box>
          <Stack gap="4">
            <Panel title="Marks">
              <Stack
                gap="1.5"
                role="group"
                aria-label="Marks: choose one, then point at the picture; the arrow keys move it"
              >
                {MARKS.map(({ id, label, colour }) => (
                  <Button
                    key={id}
                    size="sm"
                    variant={active === id ? 'solid' : 'outline'}
                    justifyContent="flex-start"
                    aria-pressed={active === id}
                    onClick={() => setActive(id)}
                    onKeyDown={(event) => {
                      const by: Record<string, Pixel> = {
                        ArrowLeft: [-STEP_PX, 0],
                        ArrowRight: [STEP_PX, 0],
                        ArrowUp: [0, -STEP_PX],
                        ArrowDown: [0, STEP_PX],
                      };
                      const way = by[event.key];
                      if (!way) return;
                      event.preventDefault();
                      if (marks[id]) nudge(id, way[0] * (event.shiftKey ? 20 : 1), way[1] * (event.shiftKey ? 20 : 1));
                      else place(id, [file.width / 2, file.height / 2]);
                    }}
                  >
                    <Box
                      as="span"
                      w="10px"
                      h="10px"
                      borderRadius="full"
                      bg={colour}
                      borderWidth="1px"
                      borderColor="white"
                    />
                    {label}
                    {marks[id] ? ' ✓' : ''}
                  </Button>
                ))}
              </Stack>
              <Text color="fg.muted" mt="2" minH="12">
                {MARKS.find(({ id }) => id === active)!.ask}
              </Text>
            </Panel>
            <Panel title="By the tape">
              <Stack gap="3">
                <LengthField
                  label="The two points across are apart"
                  units={units}
                  value={apart}
                  onChange={setApart}
                  hint="measured on the cloth"
                  {...(apart !== '' && !length.ok && { error: length.faults[0]!.message })}
                />
                <Grid templateColumns="1fr 1fr" gap="3">
                  <TextField
                    label="Repeats across"
                    isCount
                    value={counts.across}
                    onChange={(across) => setCounts({ ...counts, across })}
                    error={acrossRepeats ? undefined : 'From 1 to 99.'}
                  />
                  <TextField
                    label="Repeats along"
                    isCount
                    value={counts.along}
                    onChange={(along) => setCounts({ ...counts, along })}
                    error={alongRepeats ? undefined : 'From 1 to 99.'}
                  />
                </Grid>
              </Stack>
            </Panel>
            <Panel title="What it tells">
              {reading ? (
                <Text fontSize="lg" fontWeight="600">
                  <Fractions>{`Repeat ${say(reading.across)} across, ${say(reading.along)} along${reading.drop > 0 ? `, drop ${dropText(Number(reading.drop.toFixed(4)))}` : ''}${reading.width === null ? '' : `; ${say(reading.width)} wide`}.`}</Fractions>
                </Text>
              ) : (
                <Text color="fg.muted">
                  {whole
                    ? 'The marks lie too near together, or the two ways are nearly one.'
                    : 'Mark two points across and two along, and write how far the first two are apart.'}
                </Text>
              )}
            </Panel>
          </Stack>
        </Grid>
      )}
    </>
  );
}
