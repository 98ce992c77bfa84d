/** A person's initials in their colour; the initials tell people apart in black and white. */
export function PersonSign({ initials, colour, size = 32 }: { initials: string; colour: string; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <rect width="32" height="32" rx="4" fill={colour} />
      <text
        x="16"
        y="21.500"
        textAnchor="middle"
        fontSize={initials.length > 2 ? 11 : 14}
        fontWeight="700"
        fill="#ffffff"
      >
        {initials}
      </text>
    </svg>
  );
}
