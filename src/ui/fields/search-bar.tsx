'use client';

import { Button, HStack, Input, InputGroup } from '@chakra-ui/react';
import { Search } from 'lucide-react';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';

const PAUSE_MS = 200;

interface Props {
  /** Name of the search for a screen reader, and the empty field's text. */
  label: string;
  placeholder: string;
  search: string;
  /** The name of the narrowing in the address, the one that is on, and what it is called. */
  name: string;
  only: string;
  group: string;
  choices: { id: string; label: string }[];
}

/** Searches while typing, and narrows to one sort; both live in the address, so that a view can be kept and shared. */
export function SearchBar({ label, placeholder, search, name, only, group, choices }: Props) {
  const [text, setText] = useState(search);
  const router = useRouter();
  const path = usePathname();
  const address = (q: string, value: string) => {
    const query = new URLSearchParams({ ...(q && { q }), ...(value && { [name]: value }) }).toString();
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
          aria-label={label}
          placeholder={placeholder}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </InputGroup>
      <HStack gap="1" wrap="wrap" role="group" aria-label={group}>
        {[{ id: '', label: 'All' }, ...choices].map((choice) => (
          <Button
            key={choice.id}
            size="sm"
            variant={only === choice.id ? 'solid' : 'ghost'}
            aria-pressed={only === choice.id}
            onClick={() => router.replace(address(text, choice.id))}
          >
            {choice.label}
          </Button>
        ))}
      </HStack>
    </HStack>
  );
}
