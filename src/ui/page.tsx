import { Box, Flex, Heading, HStack, Stack, Text } from '@chakra-ui/react';
import { OctagonAlert, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { Fractions } from './fraction';

/** A page's head: what it is, a line on it, and at the right the one next step. */
export function PageHead({ title, about, children }: { title: ReactNode; about?: ReactNode; children?: ReactNode }) {
  return (
    <Flex align="flex-end" justify="space-between" gap={{ base: '3', lg: '6' }} mb="5" wrap="wrap">
      <Box>
        <Heading
          as="h1"
          fontSize={{ base: '2xl', md: '3xl' }}
          fontWeight="800"
          lineHeight="1.15"
          overflowWrap="anywhere"
        >
          {title}
        </Heading>
        {about && (
          <Text color="fg.muted" mt="1">
            {about}
          </Text>
        )}
      </Box>
      <HStack gap="3" rowGap="2" wrap="wrap" className="no-print">
        {children}
      </HStack>
    </Flex>
  );
}

export function Panel({ title, children, aside }: { title?: ReactNode; children: ReactNode; aside?: ReactNode }) {
  return (
    <Box as="section" bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" p="5">
      {(title || aside) && (
        <Flex justify="space-between" align="center" mb="4" gap="4">
          <Heading as="h2" fontSize="lg" fontWeight="700">
            {title}
          </Heading>
          {aside}
        </Flex>
      )}
      {children}
    </Box>
  );
}

/** An empty list's text, and the step that leads on. */
export function EmptyState({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <Stack
      align="center"
      textAlign="center"
      py="16"
      gap="3"
      borderWidth="2px"
      borderStyle="dashed"
      borderColor="border"
      borderRadius="sm"
    >
      <Heading as="h2" fontSize="xl">
        {title}
      </Heading>
      <Text color="fg.muted" maxW="52ch">
        {children}
      </Text>
      {action}
    </Stack>
  );
}

/** A warning, or (level stop) what prevents the next step. */
export function Notice({ level, children }: { level: 'warn' | 'stop'; children: ReactNode }) {
  const Sign = level === 'stop' ? OctagonAlert : TriangleAlert;
  return (
    <Flex
      role={level === 'stop' ? 'alert' : 'status'}
      gap="3"
      px="4"
      py="3"
      bg={`${level}.bg`}
      borderLeftWidth="5px"
      borderColor={`${level}.line`}
      align="flex-start"
    >
      <Box flex="none" mt="0.5">
        <Sign size={20} aria-hidden />
      </Box>
      <Box>{typeof children === 'string' ? <Fractions>{children}</Fractions> : children}</Box>
    </Flex>
  );
}

/** A large figure with its name above. */
export function Figure({ label, children, note }: { label: string; children: ReactNode; note?: ReactNode }) {
  return (
    <Box>
      <Text fontSize="sm" color="fg.muted">
        {label}
      </Text>
      <Text fontSize="xl" fontWeight="700" lineHeight="1.3">
        {children}
      </Text>
      {note && (
        <Text fontSize="sm" color="fg.muted">
          {note}
        </Text>
      )}
    </Box>
  );
}
