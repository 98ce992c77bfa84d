'use client';

import { Button, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState, type ComponentType } from 'react';
import { Notice } from '../page';

/** Between two tries for a part that nobody waits for (ms), and the most of them. */
const AGAIN_MS = 5_000;
const MOST_TRIES = 100;

type Load<Props> = () => Promise<ComponentType<Props>>;

/**
 * For `dynamic`: a part of a page that is loaded when it is needed. One that does not come, since the server is away, says so in its place
 * and can be asked for again; without this the whole page would give way, with all that was typed.
 */
export const lazyPart =
  <Props extends object>(load: Load<Props>): Load<Props> =>
  () =>
    load().catch(() => askedAgain(load));

/** The same for a part that shows nothing until there is something to say: it is asked for again by itself. */
export const quietLazyPart =
  <Props extends object>(load: Load<Props>): Load<Props> =>
  () =>
    load().catch(() => triedAgain(load));

function askedAgain<Props extends object>(load: Load<Props>): ComponentType<Props> {
  return function AskedAgain(props: Props) {
    const [Part, setPart] = useState<ComponentType<Props> | null>(null);
    const [isAsking, setIsAsking] = useState(false);
    if (Part) return <Part {...props} />;
    const ask = () => {
      setIsAsking(true);
      void load()
        .then(
          (found) => setPart(() => found),
          () => undefined,
        )
        .finally(() => setIsAsking(false));
    };
    return (
      <Notice level="warn">
        <Flex gap="4" align="center" wrap="wrap">
          <Text>This part of the page did not come: the workroom’s computer did not answer.</Text>
          <Button size="sm" variant="outline" onClick={ask} loading={isAsking}>
            Ask for it again
          </Button>
        </Flex>
      </Notice>
    );
  };
}

function triedAgain<Props extends object>(load: Load<Props>): ComponentType<Props> {
  return function TriedAgain(props: Props) {
    const [Part, setPart] = useState<ComponentType<Props> | null>(null);
    const [tries, setTries] = useState(0);
    useEffect(() => {
      if (Part || tries === MOST_TRIES) return;
      const timer = setTimeout(() => {
        void load().then(
          (found) => setPart(() => found),
          () => setTries(tries + 1),
        );
      }, AGAIN_MS);
      return () => clearTimeout(timer);
    }, [Part, tries]);
    return Part && <Part {...props} />;
  };
}
