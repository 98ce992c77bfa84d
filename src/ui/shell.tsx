'use client';

import { Box, Flex, HStack, IconButton, Text } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import { Link } from '@/ui/link';
import { usePathname } from 'next/navigation';
import { useTheme } from 'next-themes';
import type { ReactNode } from 'react';
import { PersonSign } from './person-sign';

const ROOMS = [
  { href: '/room', label: 'Room' },
  { href: '/orders', label: 'Orders' },
  { href: '/cloth', label: 'Cloth' },
  { href: '/stock', label: 'Shelf' },
  { href: '/batches', label: 'Batches' },
  { href: '/figures', label: 'Figures' },
  { href: '/workroom', label: 'Workroom' },
];

/** Who is at the device, with their colour as CSS has it. */
interface PersonHere {
  name: string;
  initials: string;
  colour: string;
}

/** The frame of every page: name, features, who is here, and a tape measure along the edge. */
export function Shell({
  person,
  aside,
  children,
}: {
  person: PersonHere | null;
  aside?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Flex direction="column" minH="100vh">
      <Header person={person} aside={aside} />
      <Box as="main" id="main" flex="1" px={{ base: '4', lg: '8' }} py="6" maxW="1600px" w="full" mx="auto">
        {children}
      </Box>
    </Flex>
  );
}

function Header({ person, aside }: { person: PersonHere | null; aside: ReactNode }) {
  const path = usePathname();
  return (
    <Box as="header" className="no-print" bg="bg.panel">
      <Flex
        align="center"
        px={{ base: '4', lg: '8' }}
        minH="16"
        columnGap={{ base: '3', lg: '3', xl: '8' }}
        wrap={{ base: 'wrap', lg: 'nowrap' }}
        maxW="1600px"
        mx="auto"
      >
        <Link href="/room" aria-label="Jolly Bolt, to the room" style={{ marginRight: 'auto' }}>
          <HStack gap="3" minH="14">
            <BoltSign />
            <Text fontFamily="heading" fontWeight="800" fontSize="xl" whiteSpace="nowrap">
              Jolly Bolt
            </Text>
          </HStack>
        </Link>
        <HStack
          as="nav"
          gap={{ base: '0', md: '1' }}
          flex={{ base: '1 0 100%', lg: '1' }}
          order={{ base: 1, lg: 0 }}
          justify={{ base: 'space-between', md: 'flex-start' }}
          aria-label="Main"
        >
          {ROOMS.map(({ href, label }) => {
            const isHere = path.startsWith(href);
            return (
              <Box
                key={href}
                asChild
                px={{ base: '1', md: '4', lg: '2.5', xl: '4' }}
                h={{ base: '12', lg: '16' }}
                display="flex"
                alignItems="center"
                fontSize={{ base: '12px', sm: 'sm', md: 'lg' }}
                fontWeight={isHere ? '700' : '500'}
                color={isHere ? 'fg' : 'fg.muted'}
                boxShadow={isHere ? 'inset 0 -5px 0 var(--jb-colors-tape, #f4c21f)' : 'none'}
                _hover={{ color: 'fg' }}
              >
                <Link href={href} aria-current={isHere ? 'page' : undefined}>
                  {label}
                </Link>
              </Box>
            );
          })}
        </HStack>
        {aside}
        <Link
          href="/workroom#people"
          aria-label={person ? `${person.name} is here; choose somebody else` : 'Choose who is here'}
        >
          {person ? (
            <PersonSign initials={person.initials} colour={person.colour} />
          ) : (
            <Text color="fg.muted" whiteSpace="nowrap">
              Who is here?
            </Text>
          )}
        </Link>
        <LightSwitch />
      </Flex>
      <Tape />
    </Box>
  );
}

/** A bolt of cloth seen from its end, with its free end hanging down. */
function BoltSign() {
  return (
    <svg width="34" height="34" viewBox="0 0 34 34" aria-hidden>
      <path d="M3 15a11 11 0 0 1 22 0v16h-5V15" fill="#0f5c4a" />
      <circle cx="14" cy="15" r="11" fill="#1f7d62" />
      <path
        d="M14 8a7 7 0 1 1-7 7 5.5 5.5 0 0 1 5.5-5.5A4.500 4.500 0 0 1 17 14a3 3 0 0 1-3 3"
        fill="none"
        stroke="#f4c21f"
        strokeWidth="2"
        strokeLinecap="round"
      />
      <path d="M20 27h5M20 23h5" stroke="#f4c21f" strokeWidth="1.500" />
    </svg>
  );
}

/** A strip of tape measure with eighths. */
function Tape() {
  return (
    <Box h="10px" bg="tape" aria-hidden>
      <svg width="100%" height="10">
        <defs>
          <pattern id="shell-tape" width="80" height="10" patternUnits="userSpaceOnUse">
            {Array.from({ length: 8 }, (_, i) => (
              <line
                key={i}
                x1={i * 10 + 0.5}
                x2={i * 10 + 0.5}
                y1={10}
                y2={i === 0 ? 0 : i === 4 ? 4 : 7}
                stroke="#14241f"
                strokeWidth="1"
              />
            ))}
          </pattern>
        </defs>
        <rect width="100%" height="10" fill="url(#shell-tape)" />
      </svg>
    </Box>
  );
}

function LightSwitch() {
  const { resolvedTheme, setTheme } = useTheme();
  const next = resolvedTheme === 'dark' ? 'light' : 'dark';
  return (
    <IconButton variant="ghost" aria-label="Switch between light and dark" onClick={() => setTheme(next)}>
      <Box asChild display="inline" _dark={{ display: 'none' }}>
        <Moon />
      </Box>
      <Box asChild display="none" _dark={{ display: 'inline' }}>
        <Sun />
      </Box>
    </IconButton>
  );
}
