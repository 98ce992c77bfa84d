/** Reads an answer of JSON objects, one a line, as they come; ends quietly when it is called off or breaks. */
export async function readJsonLines<T>(url: string, signal: AbortSignal, tell: (value: T) => void): Promise<void> {
  const response = await fetch(url, { signal }).catch(() => null);
  if (!response?.ok || !response.body) return;
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read().catch(() => ({ done: true as const, value: undefined }));
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    for (const line of lines) if (line) tell(JSON.parse(line) as T);
  }
}
