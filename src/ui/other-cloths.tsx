'use client';

import { NativeSelect } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';

/** The cloths of a batch as one choice, however many there are; choosing one opens the same page of it. */
export function OtherCloths({
  current,
  others,
  hrefOf,
}: {
  current: { id: number; name: string };
  others: readonly { id: number; name: string }[];
  hrefOf: (id: number) => string;
}) {
  const router = useRouter();
  if (others.length === 0) return null;
  const all = [current, ...others].sort((a, b) => a.name.localeCompare(b.name, 'en'));
  return (
    <NativeSelect.Root w="190px">
      <NativeSelect.Field
        aria-label="Another cloth of this batch"
        value={current.id}
        onChange={(event) => router.push(hrefOf(Number(event.target.value)))}
      >
        {all.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}
