import { Button, HStack, IconButton, NativeSelect } from '@chakra-ui/react';
import { Lock, LockOpen, Redo2, RotateCw, Undo2 } from 'lucide-react';
import type { Units } from '@/core/length';
import { STEPS } from '../hands/steps';

/** A button's action, and whether it can be done now. */
interface HandAct {
  run: () => void;
  can: boolean;
}

/** Everything that hands do with the picked piece and with the lay, as buttons; each has a key too. */
export function HandsBar({
  units,
  step,
  onStep,
  isLocked,
  isSaving,
  acts,
}: {
  units: Units;
  /** The chosen one of the steps of the arrow keys. */
  step: number;
  onStep: (step: number) => void;
  /** Tells whether the picked piece is locked. */
  isLocked: boolean;
  isSaving: boolean;
  acts: Record<'undo' | 'redo' | 'turn' | 'lock' | 'takeOff' | 'layAgain' | 'save', HandAct> & { next: HandAct | null };
}) {
  const lockSign = isLocked ? <LockOpen size={17} /> : <Lock size={17} />;
  return (
    <HStack gap="1.5" wrap="wrap">
      {(
        [
          ['undo', 'Undo', 'Undo (Ctrl+Z)', Undo2],
          ['redo', 'Redo', 'Redo (Ctrl+Y)', Redo2],
        ] as const
      ).map(([id, label, title, Sign]) => (
        <IconButton
          key={id}
          size="sm"
          variant="ghost"
          aria-label={label}
          title={title}
          onClick={acts[id].run}
          disabled={!acts[id].can}
        >
          <Sign size={19} />
        </IconButton>
      ))}
      <NativeSelect.Root size="sm" w="104px">
        <NativeSelect.Field
          aria-label="Step of the arrow keys"
          value={step}
          onChange={(event) => onStep(Number(event.target.value))}
        >
          {STEPS[units].map(({ label }, i) => (
            <option key={label} value={i}>
              {label}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <Act act={acts.turn} title="Turn it (R)">
        <RotateCw size={17} /> Turn
      </Act>
      <Act act={acts.lock} title="Lock or free it (L)">
        {lockSign} {isLocked ? 'Free' : 'Lock'}
      </Act>
      <Act act={acts.takeOff} title="Take it off the cloth (Delete)">
        Take off
      </Act>
      {acts.next && (
        <Act act={acts.next} title="Move it to the next length of cloth (N)">
          Next length
        </Act>
      )}
      <Act act={acts.layAgain} title="Lay all that is not locked again (G)">
        Lay the rest again
      </Act>
      <Button size="sm" onClick={acts.save.run} disabled={!acts.save.can} loading={isSaving}>
        Save this lay
      </Button>
    </HStack>
  );
}

function Act({ act: { run, can }, title, children }: { act: HandAct; title: string; children: React.ReactNode }) {
  return (
    <Button size="sm" variant="outline" onClick={run} disabled={!can} title={title}>
      {children}
    </Button>
  );
}
