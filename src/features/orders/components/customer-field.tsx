'use client';

import { Field, Input } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useController, type Control } from 'react-hook-form';
import type { OrderForm } from '../form';

const PAUSE_MS = 150;

/** Who the order is for: customers are proposed as their names are typed. */
export function CustomerField({ control, error }: { control: Control<OrderForm>; error: string | undefined }) {
  const { field } = useController({ control, name: 'customer' });
  const [names, setNames] = useState<string[]>([]);
  const typed = field.value;
  useEffect(() => {
    const asked = new AbortController();
    const timer = setTimeout(() => {
      fetch(`/api/customers?q=${encodeURIComponent(typed)}`, { signal: asked.signal })
        .then((response) => (response.ok ? response.json() : []))
        .then((found: string[]) => setNames(found))
        .catch(() => undefined);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      asked.abort();
    };
  }, [typed]);
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontWeight="600">Customer</Field.Label>
      <Input {...field} list="customers" autoComplete="off" placeholder="Who it is for" />
      <datalist id="customers">
        {names.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Field.ErrorText>{error}</Field.ErrorText>
    </Field.Root>
  );
}
