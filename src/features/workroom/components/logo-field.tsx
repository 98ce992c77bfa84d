'use client';

import { Button, HStack } from '@chakra-ui/react';
import { ImageUp, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { toaster } from '@/ui/toaster';

/** The logo on the workroom's papers: chosen, shown, taken off. */
export function LogoField({ initial }: { initial: string }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [isBusy, setIsBusy] = useState(false);
  const ask = async (init: RequestInit) => {
    setIsBusy(true);
    try {
      const response = await fetch('/api/workroom/logo', { ...init, signal: AbortSignal.timeout(20_000) });
      const answer = (await response.json()) as { ok: boolean; faults?: { message: string }[] };
      if (answer.ok) router.refresh();
      else toaster.create({ title: answer.faults?.[0]?.message ?? 'The logo was not taken.', type: 'error' });
    } catch {
      toaster.create({ title: 'The logo was not sent: try again.', type: 'error' });
    } finally {
      setIsBusy(false);
    }
  };
  return (
    <div role="group" aria-label="Logo">
      <p className="strong">Logo</p>
      <HStack gap="3" wrap="wrap" mt="1.5">
        {initial && (
          // eslint-disable-next-line @next/next/no-img-element -- a setting of the workroom, as small as it is shown
          <img className="logo-shown" src={`data:image/png;base64,${initial}`} alt="The logo on papers" />
        )}
        <Button variant="outline" loading={isBusy} onClick={() => input.current?.click()}>
          <ImageUp size={18} /> {initial ? 'Another' : 'Choose'}
        </Button>
        {initial && (
          <Button variant="ghost" disabled={isBusy} onClick={() => void ask({ method: 'DELETE' })}>
            <X size={18} /> Take it off
          </Button>
        )}
      </HStack>
      <p className="small muted">PNG or SVG, at most 2 MB</p>
      <input
        ref={input}
        type="file"
        accept="image/png,image/svg+xml"
        hidden
        aria-label="File of the logo"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void ask({ method: 'POST', headers: { 'content-type': file.type || 'image/png' }, body: file });
        }}
      />
    </div>
  );
}
