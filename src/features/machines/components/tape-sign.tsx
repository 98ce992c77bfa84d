'use client';

import { HStack, Text } from '@chakra-ui/react';
import { BatteryLow, Ruler } from 'lucide-react';
import { toaster } from '@/ui/toaster';
import { putIntoField, useTape, useTapeAddress, type TapeWord } from '../device-tape';

const LOW = 15;

/** The digital tape of this device, if it has one: its measures go into the field that has the focus. */
export function TapeSign() {
  const [address] = useTapeAddress();
  const { isThere, battery } = useTape(address, take);
  if (!address) return null;
  const isLow = battery !== null && battery < LOW;
  const Sign = isLow ? BatteryLow : Ruler;
  return (
    <HStack gap="1.5" color={isThere && !isLow ? 'fg.muted' : 'fg.error'} data-tape={isThere ? 'there' : 'away'}>
      <Sign size={18} aria-hidden />
      <Text fontSize="sm" whiteSpace="nowrap">
        {!isThere ? 'Tape does not answer' : battery === null ? 'Tape' : `Tape ${battery} %`}
      </Text>
    </HStack>
  );
}

function take(word: TapeWord) {
  if (word.sort === 'fault') {
    toaster.create(
      word.what === 'battery low'
        ? { title: 'The tape’s battery is low; change it before it measures wrongly.', type: 'warning' }
        : { title: 'The tape read nothing; measure again.', type: 'warning' },
    );
    return;
  }
  if (!putIntoField(word.text))
    toaster.create({
      title: `The tape measured ${word.text}.`,
      description: 'Tap the field that it is for, then measure again.',
      type: 'info',
    });
}
