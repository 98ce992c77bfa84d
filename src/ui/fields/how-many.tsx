'use client';

import { Input } from '@chakra-ui/react';
import { useState } from 'react';

interface Props {
  label: string;
  /** There are so many; it begins with all of them. */
  most: number;
  onChange: (count: number) => void;
}

/** How many of some things: a whole number from 1 to all of them. What is none of these counts as the nearest that is. */
export function HowMany({ label, most, onChange }: Props) {
  const [typed, setTyped] = useState(String(most));
  const change = (text: string) => {
    setTyped(text);
    onChange(Math.max(1, Math.min(most, Math.trunc(Number(text)) || 1)));
  };
  return (
    <label className="inline">
      {label}
      <Input
        type="number"
        width="20"
        min={1}
        max={most}
        value={typed}
        onChange={({ target }) => change(target.value)}
        onBlur={() => setTyped((text) => String(Math.max(1, Math.min(most, Math.trunc(Number(text)) || 1))))}
      />
      of {most}
    </label>
  );
}
