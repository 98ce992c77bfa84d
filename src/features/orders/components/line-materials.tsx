'use client';

import { Grid } from '@chakra-ui/react';
import type { CoverKind, TakeOff } from '@/core/covers';
import { Choice } from '@/ui/fields/choice';
import { materialRolesOf, ROLE_LABELS, type Change, type LineForm } from '../form';
import { useOrder } from './order-context';

/** Tells whether a line takes something else than the workroom's usual materials and notions. */
export const hasOwnMaterials = (kind: CoverKind, { cloth, notions }: LineForm): boolean =>
  materialRolesOf(kind).some((role) => cloth[role]) || Object.values(notions).some(Boolean);

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
  const roles = materialRolesOf(kind).map((role) => ({ role, choices: cloths.filter(({ sort }) => sort === role) }));
  const names = [...new Set((cover?.notions ?? []).map(({ name }) => name))];
  const first = notions.length > 0 ? names : [];
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: 'repeat(3, minmax(0, 1fr))' }} gap="4">
      {roles.map(({ role, choices }) => (
        <Choice
          key={role}
          label={ROLE_LABELS[role]}
          value={line.cloth[role] ?? ''}
          error={errorAt(`cloth.${role}`)}
          choices={[{ id: '', label: 'the usual one' }, ...choices.map(({ id, name }) => ({ id, label: name }))]}
          onChange={(id) => change((now) => ({ cloth: { ...now.cloth, [role]: id } }))}
        />
      ))}
      {first.map((name) => {
        const isMeant = ({ usualFor }: { usualFor: string[] }) => usualFor.includes(name);
        // The usual one stands first; anything else of the catalogue may be taken.
        const choices = [...notions.filter(isMeant), ...notions.filter((one) => !isMeant(one))];
        return (
          <Choice
            key={name}
            label={name.charAt(0).toUpperCase() + name.slice(1)}
            value={line.notions[name] ?? ''}
            error={errorAt(`notions.${name}`)}
            choices={[{ id: '', label: 'the usual one' }, ...choices.map(({ id, name: label }) => ({ id, label }))]}
            onChange={(id) => change((now) => ({ notions: { ...now.notions, [name]: id } }))}
          />
        );
      })}
    </Grid>
  );
}
