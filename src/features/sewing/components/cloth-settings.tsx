'use client';

import { Button, HStack } from '@chakra-ui/react';
import { format } from 'date-fns';
import { useState } from 'react';
import { TextField } from '@/ui/fields/choice';
import type { ClothSetting } from '../run-entries';

interface Props {
  cloths: readonly { id: number; name: string }[];
  settings: ReadonlyMap<number, ClothSetting>;
  isClosed: boolean;
  onNote: (setting: { clothId: number; tension: string; stitch: string; note: string }) => void;
}

/** Settings that were found good on a scrap of each cloth of the run: shown at its next run, and noted here. */
export function ClothSettings({ cloths, settings, isClosed, onNote }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  if (cloths.length === 0) return null;
  return (
    <section className="cloth-settings" aria-label="Settings found on a scrap">
      {cloths.map(({ id, name }) => {
        const found = settings.get(id);
        return (
          <div key={id}>
            <p>
              <strong>{name}</strong>
              {found ? ` ${settingText(found)}` : ': no setting noted yet'}
              {found && (
                <span className="muted">
                  {' '}
                  ({[found.by, format(new Date(found.at), 'd MMM')].filter(Boolean).join(', ')})
                </span>
              )}{' '}
              {open !== id && (
                <Button size="sm" variant="outline" disabled={isClosed} onClick={() => setOpen(id)}>
                  Note a setting
                </Button>
              )}
            </p>
            {open === id && (
              <SettingForm
                found={found}
                onNote={(setting) => {
                  onNote({ clothId: id, ...setting });
                  setOpen(null);
                }}
                onClose={() => setOpen(null)}
              />
            )}
          </div>
        );
      })}
    </section>
  );
}

const settingText = ({ tension, stitch, note }: ClothSetting): string =>
  [tension && `tension ${tension}`, stitch && `stitch ${stitch}`, note].filter(Boolean).join(', ');

interface FormProps {
  found: ClothSetting | undefined;
  onNote: (setting: { tension: string; stitch: string; note: string }) => void;
  onClose: () => void;
}

function SettingForm({ found, onNote, onClose }: FormProps) {
  const [tension, setTension] = useState(found?.tension ?? '');
  const [stitch, setStitch] = useState(found?.stitch ?? '');
  const [note, setNote] = useState('');
  return (
    <HStack gap="3" wrap="wrap" align="flex-end" mt="2">
      <TextField label="Tension" value={tension} placeholder="8" onChange={setTension} />
      <TextField label="Stitch" value={stitch} placeholder="3.5" onChange={setStitch} />
      <TextField label="Else" value={note} placeholder="foot, needle, thread" onChange={setNote} />
      <Button
        onClick={() => onNote({ tension: tension.trim(), stitch: stitch.trim(), note: note.trim() })}
        disabled={[tension, stitch, note].every((text) => text.trim() === '')}
      >
        Keep it with the cloth
      </Button>
      <Button variant="ghost" onClick={onClose}>
        Not now
      </Button>
    </HStack>
  );
}
