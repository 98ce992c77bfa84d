'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { Camera, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';

const LOOK_EVERY_MS = 200;
/** A camera that sees no code for so long is switched off again. */
const LONGEST_MS = 60_000;
/** The picture that is looked through is so wide (px): enough for a label at arm's length. */
const WIDE = 800;

const REFUSED: Record<string, string> = {
  NotAllowedError: 'The camera was not allowed; allow it in the browser, or type the code.',
  NotFoundError: 'This device has no camera; type the code, or use a reader.',
  NotReadableError: 'Another program uses the camera; close it, or type the code.',
};

/** Reads a label's QR code with the device's camera, and hands on what it says. */
export function ScanCode({ onCode }: { onCode: (text: string) => boolean }) {
  const [isOn, setOn] = useState(false);
  const [problem, setProblem] = useState('');
  const start = () => {
    setProblem('');
    if (typeof navigator.mediaDevices?.getUserMedia === 'function') setOn(true);
    else setProblem('The camera can be used over https or on this machine only; type the code, or use a reader.');
  };
  const stop = (why: string) => {
    setOn(false);
    setProblem(why);
  };
  return (
    <Box>
      {isOn ? (
        <Looking onCode={onCode} onEnd={stop} />
      ) : (
        <Button variant="outline" onClick={start}>
          <Camera size={18} /> With the camera
        </Button>
      )}
      {problem && (
        <Text role="alert" color="fg.error" mt="2">
          {problem}
        </Text>
      )}
    </Box>
  );
}

function Looking({ onCode, onEnd }: { onCode: (text: string) => boolean; onEnd: (why: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const handlers = useRef({ onCode, onEnd });
  useEffect(() => {
    handlers.current = { onCode, onEnd };
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let timer: ReturnType<typeof setInterval> | undefined;
    let isOver = false;
    const begun = Date.now();
    void (async () => {
      try {
        // The reader is fetched when somebody scans.
        const [{ default: read }, opened] = await Promise.all([
          import('jsqr'),
          navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1280 } } }),
        ]);
        stream = opened;
        if (isOver) return opened.getTracks().forEach((track) => track.stop());
        const element = video.current!;
        element.srcObject = opened;
        await element.play();
        const canvas = document.createElement('canvas');
        const context = canvas.getContext('2d', { willReadFrequently: true })!;
        timer = setInterval(() => {
          if (Date.now() - begun > LONGEST_MS)
            return handlers.current.onEnd('No code was seen for a minute; hold the label nearer, or type its code.');
          if (element.videoWidth === 0) return;
          canvas.width = Math.min(WIDE, element.videoWidth);
          canvas.height = Math.round((canvas.width * element.videoHeight) / element.videoWidth);
          context.drawImage(element, 0, 0, canvas.width, canvas.height);
          const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
          const found = read(data, width, height);
          if (found && handlers.current.onCode(found.data)) handlers.current.onEnd('');
        }, LOOK_EVERY_MS);
      } catch (error) {
        if (!isOver)
          handlers.current.onEnd(REFUSED[(error as Error).name] ?? 'The camera can’t be used; type the code.');
      }
    })();
    return () => {
      isOver = true;
      clearInterval(timer);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <Box>
      <Box asChild w="320px" maxW="full" borderWidth="3px" borderColor="tape" borderRadius="sm" bg="#000">
        <video ref={video} muted playsInline aria-label="What the camera sees: hold a label’s code in the middle" />
      </Box>
      <Button mt="2" variant="outline" onClick={() => onEnd('')}>
        <X size={18} /> Switch the camera off
      </Button>
    </Box>
  );
}
