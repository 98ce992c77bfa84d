'use client';

import { Field, Input, NativeSelect } from '@chakra-ui/react';
import { useSyncExternalStore } from 'react';

const LONG = 30;
const nothingToHear = () => () => undefined;
const isInBrowser = () => true;
const isOnServer = () => false;

/** One of a few, from a list. */
export function Choice({
  label,
  value,
  choices,
  onChange,
  error,
  hint,
}: {
  label: string;
  value: string;
  choices: readonly { id: string; label: string }[];
  onChange: (id: string) => void;
  error?: string | undefined;
  hint?: string | undefined;
}) {
  // A long list comes once the page is there: the server sends only what is chosen.
  const isHere = useSyncExternalStore(nothingToHear, isInBrowser, isOnServer);
  const shown = isHere || choices.length <= LONG ? choices : choices.filter(({ id }, i) => id === value || i === 0);
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontWeight="600">{label}</Field.Label>
      <NativeSelect.Root>
        <NativeSelect.Field value={value} onChange={(event) => onChange(event.target.value)}>
          {shown.map(({ id, label: name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      {error ? <Field.ErrorText>{error}</Field.ErrorText> : hint && <Field.HelperText>{hint}</Field.HelperText>}
    </Field.Root>
  );
}

/** A short text, or a whole number where `isCount`. */
export function TextField({
  label,
  value,
  onChange,
  error,
  hint,
  placeholder,
  isCount = false,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  error?: string | undefined;
  hint?: string | undefined;
  placeholder?: string | undefined;
  isCount?: boolean;
}) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontWeight="600">{label}</Field.Label>
      <Input
        value={value}
        placeholder={placeholder}
        onChange={(event) => onChange(event.target.value)}
        autoComplete="off"
        {...(isCount && { inputMode: 'numeric', fontSize: 'lg', fontWeight: '600' })}
      />
      {error ? <Field.ErrorText>{error}</Field.ErrorText> : hint && <Field.HelperText>{hint}</Field.HelperText>}
    </Field.Root>
  );
}
