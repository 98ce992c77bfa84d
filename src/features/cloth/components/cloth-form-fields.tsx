'use client';

import { Field, NativeSelect } from '@chakra-ui/react';
import { type ReactNode } from 'react';
import { useController, type Control } from 'react-hook-form';
import { LengthField } from '@/ui/fields/length-field';
import { type ClothForm, type TextOfCloth } from '../form';

/** A choice of yes or no. */
export function Tick({
  control,
  name,
  label,
}: {
  control: Control<ClothForm>;
  name: 'isWashed' | 'isUsual';
  label: string;
}) {
  const { field } = useController({ control, name });
  return (
    <label className="inline tick-line">
      <input
        type="checkbox"
        className="tick"
        checked={field.value}
        onChange={(event) => field.onChange(event.target.checked)}
      />
      <span>{label}</span>
    </label>
  );
}

/** A field with its label, and its fault or hint below. */
export function Labelled({
  label,
  error,
  hint,
  children,
}: {
  label: string;
  error?: string | undefined;
  hint?: string;
  children: ReactNode;
}) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontWeight="600">{label}</Field.Label>
      {children}
      {error ? <Field.ErrorText>{error}</Field.ErrorText> : hint && <Field.HelperText>{hint}</Field.HelperText>}
    </Field.Root>
  );
}

/** A length of the cloth, as it is typed. */
export function FormLength({
  control,
  name,
  ...rest
}: {
  control: Control<ClothForm>;
  name: TextOfCloth;
  label: string;
  hint: string;
  units: 'in' | 'mm';
  error: string | undefined;
}) {
  const { field } = useController({ control, name });
  return <LengthField {...rest} {...field} />;
}

/** A choice of one of several words. */
export function Select({
  control,
  name,
  choices,
  onChange,
}: {
  control: Control<ClothForm>;
  name: TextOfCloth;
  choices: Record<string, string>;
  /** Hears of another choice before it is made. */
  onChange?: (id: string) => void;
}) {
  const { field } = useController({ control, name });
  return (
    <NativeSelect.Root>
      <NativeSelect.Field
        {...field}
        onChange={(event) => {
          onChange?.(event.target.value);
          field.onChange(event);
        }}
      >
        {Object.entries(choices).map(([id, label]) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}
