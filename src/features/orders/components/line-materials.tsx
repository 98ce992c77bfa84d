'use client';

import { Grid } from '@chakra-ui/react';
import { PROVIDED, type CoverKind, type Provided, type TakeOff } from '@/core/covers';
import { sortOfNotion } from '@/core/stock';
import { Choice } from '@/ui/fields/choice';
import { materialRolesOf, PROVIDED_LABELS, ROLE_LABELS, type Change, type LineForm } from '../form';
import { useOrder } from './order-context';

/** Tells whether a line takes something else than the workroom's usual materials and notions. */
export const hasOwnMaterials = (kind: CoverKind, { cloth, notions, provided }: LineForm): boolean =>
  materialRolesOf(kind).some((role) => cloth[role]) ||
  Object.values(notions).some(Boolean) ||
  Object.keys(provided).length > 0;

const NOT_BOUGHT = PROVIDED.map((id) => ({ id, label: PROVIDED_LABELS[id] }));
const isProvided = (id: string): id is Provided => (PROVIDED as readonly string[]).includes(id);

/** The line without or with a note of who brings a material. */
function providedBy(provided: LineForm['provided'], name: string, id: string): LineForm['provided'] {
  const { [name]: _, ...others } = provided;
  return isProvided(id) ? { ...others, [name]: id } : others;
}

/** Hidden materials and notions: the workroom's usual ones, or for this line others. */
export function LineMaterials({
  kind,
  cover,
  line,
  change,
  errorAt,
}: {
  kind: CoverKind;
  cover: TakeOff | null;
  line: LineForm;
  change: Change;
  errorAt: (name: string) => string | undefined;
}) {
  const { cloths, notions } = useOrder();
  // Foam that is bought cut to size is no laid material, but a notion.
  const isCut = (role: string) => cover === null || cover.pieces.some((piece) => piece.role === role);
  const roles = materialRolesOf(kind)
    .filter(isCut)
    .map((role) => ({ role, choices: cloths.filter(({ sort }) => sort === role) }));
  const ofRoles = new Set<string>(roles.map(({ role }) => role));
  const names = [...new Set((cover?.notions ?? []).map(({ name }) => name))].filter((name) => !ofRoles.has(name));
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
      {roles.map(({ role, choices }) => (
        <Choice
          key={role}
          label={ROLE_LABELS[role]}
          value={line.provided[role] ?? line.cloth[role] ?? ''}
          error={errorAt(`cloth.${role}`)}
          choices={[
            { id: '', label: 'the usual one' },
            ...choices.map(({ id, name }) => ({ id, label: name })),
            ...NOT_BOUGHT,
          ]}
          onChange={(id) =>
            change((now) => ({
              cloth: { ...now.cloth, [role]: isProvided(id) ? '' : id },
              provided: providedBy(now.provided, role, id),
            }))
          }
        />
      ))}
      {names.map((name) => {
        const isMeant = ({ usualFor }: { usualFor: string[] }) => usualFor.includes(name);
        // The usual one stands first, then what else can be that part.
        const others = notions.filter((one) => !isMeant(one) && one.sort === sortOfNotion(name));
        const choices = [...notions.filter(isMeant), ...others];
        return (
          <Choice
            key={name}
            label={name.charAt(0).toUpperCase() + name.slice(1)}
            value={line.provided[name] ?? line.notions[name] ?? ''}
            error={errorAt(`notions.${name}`)}
            choices={[
              { id: '', label: 'the usual one' },
              ...choices.map(({ id, name: label }) => ({ id, label })),
              ...NOT_BOUGHT,
            ]}
            onChange={(id) =>
              change((now) => ({
                notions: { ...now.notions, [name]: isProvided(id) ? '' : id },
                provided: providedBy(now.provided, name, id),
              }))
            }
          />
        );
      })}
    </Grid>
  );
}
