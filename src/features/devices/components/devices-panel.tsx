'use client';

import { Box, Button, Flex, HStack, QrCode, Stack, Text } from '@chakra-ui/react';
import { Tablet, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition } from 'react';
import { withNetworkFault, type Answer } from '@/features/commands/answer';
import { send } from '@/features/commands/send';
import { Notice, Panel } from '@/ui/page';
import { revokeDevice, showPairingCode } from '../actions';
import type { Device, WrongCodes } from '../queries';

const when = (at: string) =>
  new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
const inFours = (code: string) => code.replace(/(\d{4})(?=\d)/g, '$1 ');

interface Props {
  devices: Device[];
  addresses: string[];
  /** Who has been typing wrong codes. */
  tries: WrongCodes[];
}

/** While a code is shown the page is asked this often who has paired and who has tried. */
const LOOK_EVERY_MS = 3_000;
/** A code holds for ten minutes. */
const SHOWN_MS = 600_000;

/** Tablets on the workroom's network: paired with a code that is shown here once, listed, and revoked. */
export function DevicesPanel({ devices, addresses, tries }: Props) {
  const router = useRouter();
  const [code, setCode] = useState('');
  const [problem, setProblem] = useState('');
  const [isBusy, start] = useTransition();
  useEffect(() => {
    if (!code) return;
    const look = setInterval(() => router.refresh(), LOOK_EVERY_MS);
    const end = setTimeout(() => setCode(''), SHOWN_MS);
    return () => {
      clearInterval(look);
      clearTimeout(end);
    };
  }, [code, router]);
  const act = <T,>(work: () => Promise<Answer<T>>, then: (value: T) => void) =>
    start(async () => {
      const answer = await withNetworkFault(work());
      if (!answer.ok) return setProblem(answer.faults[0]!.message);
      setProblem('');
      then(answer.value);
      router.refresh();
    });
  return (
    <Panel
      title={<span id="devices">Devices</span>}
      aside={
        addresses.length > 0 && (
          <Button
            variant="outline"
            loading={isBusy}
            onClick={() => act(showPairingCode, (value) => setCode(value.code))}
          >
            <Tablet size={18} /> Pair a device
          </Button>
        )
      }
    >
      <Stack gap="4">
        {problem && <Notice level="stop">{problem}</Notice>}
        {tries.length > 0 && (
          <Notice level="warn">
            Somebody has been typing wrong codes in the last ten minutes:{' '}
            {tries.map(({ address, wrong }) => `${wrong} from ${address}`).join(', ')}. They are slowed; your own code
            still works.
          </Notice>
        )}
        {addresses.length === 0 ? (
          <Text color="fg.muted">
            Jolly Bolt answers on this machine alone. To use tablets on the workroom’s own network, start it with a name
            or an address of this machine: npm start -- --host workroom.lan
          </Text>
        ) : (
          <Text color="fg.muted">
            Tablets on the workroom’s network open {addresses.join(' or ')} and type the code that is shown here.
            Nothing answers a device that is not paired.
          </Text>
        )}
        {code && (
          <Flex gap="6" align="center" p="4" bg="bottle.muted" borderRadius="sm" wrap="wrap">
            <Box w="120px" bg="#fff" p="2">
              <QrCode.Root value={addresses[0]!} size="full">
                <QrCode.Frame fill="#000">
                  <QrCode.Pattern />
                </QrCode.Frame>
              </QrCode.Root>
            </Box>
            <Box flex="1" minW="260px">
              <Text fontSize="4xl" fontWeight="800" letterSpacing="0.06em" lineHeight="1.2" data-pairing-code={code}>
                {inFours(code)}
              </Text>
              <Text>
                It works once and holds for ten minutes. Open {addresses[0]} on the device, by hand or with its camera,
                and type it there.
              </Text>
            </Box>
            <Button variant="outline" onClick={() => setCode('')}>
              Hide it
            </Button>
          </Flex>
        )}
        {devices.length > 0 && (
          <table className="rows" aria-label="Paired devices">
            <tbody>
              {devices.map(({ id, name, pairedAt, seenAt }) => (
                <tr key={id}>
                  <td className="strong">{name}</td>
                  <td>paired {when(pairedAt)}</td>
                  <td>{seenAt ? `last seen ${when(seenAt)}` : 'not seen yet'}</td>
                  <td className="number">
                    <HStack justify="flex-end">
                      <Button
                        size="sm"
                        variant="outline"
                        disabled={isBusy}
                        onClick={() =>
                          act(
                            () => send(revokeDevice, id),
                            () => undefined,
                          )
                        }
                      >
                        <X size={16} /> Revoke
                      </Button>
                    </HStack>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Stack>
    </Panel>
  );
}
