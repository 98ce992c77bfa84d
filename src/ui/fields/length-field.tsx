'use client';

import { Field, Input } from '@chakra-ui/react';
import { forwardRef, type ComponentProps } from 'react';
import { parseLength, printBoth, type OrderUnits, typingUnit } from '@/core/length';
import { Fractions } from '../fraction';

interface Props extends Omit<ComponentProps<typeof Input>, 'value' | 'onChange'> {
  label: string;
  units: OrderUnits;
  value: string;
  onChange: (text: string) => void;
  hint?: string;
  error?: string;
  required?: boolean;
  /** How the text is understood, in place of one length: a hem is read turn by turn. */
  reads?: (text: string) => string | null;
}

const readOne = (text: string, units: OrderUnits) => {
  const length = parseLength(text, typingUnit(units));
  return length.ok ? printBoth(length.value, units) : null;
};

/** A field that takes a length as people write it, and says below how it was understood, in both systems. */
export const LengthField = forwardRef<HTMLInputElement, Props>(function LengthField(
  { label, units, value, onChange, hint, error, required, reads, ...rest },
  ref,
) {
  const understood = value.trim() === '' ? null : reads ? reads(value) : readOne(value, units);
  return (
    <Field.Root invalid={error !== undefined} required={required}>
      <Field.Label fontWeight="600">{label}</Field.Label>
      <Input
        ref={ref}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        data-length={units}
        inputMode="text"
        autoComplete="off"
        placeholder={units === 'in' ? 'e.g. 18 1/2' : units === 'mm' ? 'e.g. 45 cm' : 'e.g. 450 mm'}
        fontSize="lg"
        fontWeight="600"
        {...rest}
      />
      {error ? (
        <Field.ErrorText>{error}</Field.ErrorText>
      ) : (
        <Field.HelperText minH="5">{understood ? <Fractions>{`= ${understood}`}</Fractions> : hint}</Field.HelperText>
      )}
    </Field.Root>
  );
});
