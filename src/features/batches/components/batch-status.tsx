import { Badge } from '@chakra-ui/react';
import type { BatchRow } from '@/db/rows';

const LOOK: Record<BatchRow['status'], { label: string; bg: string; color: string }> = {
  draft: { label: 'Choosing', bg: 'warn.bg', color: 'fg' },
  queued: { label: 'Waiting to be laid', bg: 'bottle.muted', color: 'bottle.fg' },
  laying: { label: 'Being laid', bg: 'bottle.muted', color: 'bottle.fg' },
  laid: { label: 'Laid, to approve', bg: 'bottle.emphasized', color: 'bottle.fg' },
  failed: { label: 'Could not be laid', bg: 'stop.bg', color: 'fg.error' },
  approved: { label: 'Approved, to cut', bg: 'bottle.solid', color: 'bottle.contrast' },
  cut: { label: 'Cut', bg: 'bg.muted', color: 'fg.muted' },
};

export function BatchStatus({ status }: { status: BatchRow['status'] }) {
  const { label, ...look } = LOOK[status];
  return (
    <Badge {...look} fontSize="sm" px="2.5" py="1" borderRadius="sm" fontWeight="600">
      {label}
    </Badge>
  );
}
