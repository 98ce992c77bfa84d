'use client';

import { Button, HStack, Input, InputGroup } from '@chakra-ui/react';
import { Search } from 'lucide-react';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';

const PAUSE_MS = 200;

/** Searches while typing, and narrows to one state; both live in the address, so that a view can be kept and shared. */
export function OrderSearch({
  search,
  only,
  states,
}: {
  search: string;
  only: string;
  states: { id: string; label: string }[];
}) {
  const [text, setText] = useState(search);
  const router = useRouter();
  const path = usePathname();
  const address = (q: string, status: string) => {
    const query = new URLSearchParams({ ...(q && { q }), ...(status && { status }) }).toString();
    return query ? `${path}?${query}` : path;
  };
  useEffect(() => {
    if (text === search) return;
    const timer = setTimeout(() => router.replace(address(text, only)), PAUSE_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only what is typed starts a search
  }, [text]);
  return (
    <HStack gap="3" mb="4" wrap="wrap">
      <InputGroup startElement={<Search size={18} />} maxW="360px">
        <Input
          type="search"
          aria-label="Search orders"
          placeholder="Number, customer or cover"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </InputGroup>
      <HStack gap="1" role="group" aria-label="Where orders are">
        {[{ id: '', label: 'All' }, ...states].map(({ id, label }) => (
          <Button
            key={id}
            size="sm"
            variant={only === id ? 'solid' : 'ghost'}
            aria-pressed={only === id}
            onClick={() => router.replace(address(text, id))}
          >
            {label}
          </Button>
        ))}
      </HStack>
    </HStack>
  );
}
