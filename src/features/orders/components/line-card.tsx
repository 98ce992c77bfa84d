'use client';

import { Box, Button, Flex, Grid, HStack, NativeSelect, Stack, Text } from '@chakra-ui/react';
import { Lock, Rows3, Trash2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { lazyPart } from '@/ui/parts/lazy-part';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useController, useWatch, type Control, type UseFormGetValues } from 'react-hook-form';
import { takeOff, unknownKind, type CoverKind, type TakeOff } from '@/core/covers';
import { slipsText } from '@/core/making';
import { cutList, type CutList } from '@/core/cutlist';
import type { OrderUnits } from '@/core/length';
import type { Fault } from '@/core/result';
import { Notice } from '@/ui/page';
import { emptyLine, readLineForm, toFormField, type LineForm, type OrderForm } from '../form';
import { LineFields } from './line-fields';
import { LinePreview, MeasureFirst } from './line-preview';
import { useOrder } from './order-context';

const QuickRows = dynamic(
  lazyPart(() => import('./quick-rows').then((file) => file.QuickRows)),
  { ssr: false },
);

interface Props {
  control: Control<OrderForm>;
  getValues: UseFormGetValues<OrderForm>;
  index: number;
  units: OrderUnits;
  /** Faults of this line from the last attempt to save. */
  saved: Fault[];
  /** True once saving was tried: then open fields are named too. */
  isTried: boolean;
  onRemove?: (() => void) | undefined;
  onMore: (lines: LineForm[]) => void;
}

/** One line of an order: what is asked for at the left, the cover and its cut list, live, at the right. */
/** A line of an order: its kind, sizes, cloth and choices. One whose kind is not known here says so, and can be removed. */
export const LineCard = memo(function LineCard(props: Props) {
  const line = useWatch({ control: props.control, name: `lines.${props.index}` });
  const { kinds } = useOrder();
  if (kinds.find(line.kind, line.kindVersion)) return <KnownLine {...props} />;
  return (
    <Stack gap="2" align="flex-start">
      <Notice level="stop">{unknownKind(kinds, line.kind, line.kindVersion).message}</Notice>
      {props.onRemove && (
        <Button variant="outline" onClick={props.onRemove}>
          Remove this line
        </Button>
      )}
    </Stack>
  );
});

// eslint-disable-next-line max-lines-per-function -- one card; its parts share the line
function KnownLine({ control, getValues, index, units, saved, isTried, onRemove, onMore }: Props) {
  const { field } = useController({ control, name: `lines.${index}` });
  const line = useWatch({ control, name: `lines.${index}` });
  const { cloths, kinds, workroom, room, takes, slips } = useOrder();
  const [focused, setFocused] = useState<string>();
  const [several, setSeveral] = useState<boolean | null>(null);
  const kind = kinds.find(line.kind, line.kindVersion)!;
  const known = slipsText(slips, line.kind);
  // The letters appear at once; the cover and its cut list follow as soon as there is time.
  const settled = useDeferredValue(line);
  const settledKind = kinds.find(settled.kind, settled.kindVersion)!;
  const read = useMemo(() => {
    const { line: typed, ...rest } = readLineForm(settled, units, '1', kinds);
    return { ...rest, line: { ...typed, cloth: takes(typed) } };
  }, [settled, units, kinds, takes]);
  const live = useMemo(() => seen(read, settledKind, units, room), [read, settledKind, units, room]);
  // While a size is being typed again the last cover stays to be seen, fainter.
  const [kept, setKept] = useState<{ kind: CoverKind; cover: TakeOff; list: CutList } | null>(null);
  if (live.cover && live.list && kept?.list !== live.list)
    setKept({ kind: settledKind, cover: live.cover, list: live.list });
  const shown = kept?.kind === kind ? kept : null;
  const isStale = live.cover === null || live.list === null;
  const errorAt = (name: string) => {
    const found = [...saved, ...live.faults].find((fault) => fault.field === name);
    // A field that is merely still empty is not scolded while somebody is typing.
    return found && (isTried || !/-missing$/.test(found.code)) ? found.message : undefined;
  };
  const { onChange } = field;
  const change = useCallback(
    (part: (line: LineForm) => Partial<LineForm>) => {
      const now = getValues(`lines.${index}`);
      onChange({ ...now, ...part(now) });
    },
    [onChange, getValues, index],
  );
  const cloth = cloths.find(({ id }) => id === line.cloth.face);
  const isFrozen = line.frozenBy !== undefined;
  const newest = kinds.find(line.kind);
  const choose = (id: string) =>
    change(({ id: lineId, qty, cloth: cloths }) => ({
      ...emptyLine(kinds.find(id)!, workroom, units),
      id: lineId,
      qty,
      cloth: cloths,
    }));

  return (
    <Box asChild bg="bg.panel" borderWidth="1px" borderColor="border" borderRadius="sm" minW="0">
      <fieldset disabled={isFrozen} aria-label={`Line ${index + 1}`}>
        <Flex
          px={{ base: '4', md: '5' }}
          py="3"
          borderBottomWidth="1px"
          borderColor="border.muted"
          align="center"
          gap={{ base: '2', md: '4' }}
          wrap={{ base: 'wrap', md: 'nowrap' }}
          bg="bg.subtle"
        >
          <Text fontFamily="heading" fontWeight="800" fontSize="xl" minW="8">
            {index + 1}
          </Text>
          <NativeSelect.Root
            width={{ base: '280px', md: '360px' }}
            maxW={{ base: '80%', md: '50%' }}
            disabled={isFrozen}
          >
            <NativeSelect.Field
              aria-label="Kind of cover"
              value={line.kind}
              fontWeight="700"
              bg="bg.panel"
              onChange={(event) => choose(event.target.value)}
            >
              <KindOptions chosen={kind} />
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <Text color="fg.muted" fontSize="sm" flex="1" display={{ base: 'none', xl: 'block' }}>
            {kind.about}
          </Text>
          {isFrozen ? (
            <HStack gap="2" color="fg.muted" fontSize="sm">
              <Lock size={16} /> <Text>approved in “{line.frozenBy}”; copy the order to change it</Text>
            </HStack>
          ) : (
            <HStack gap="1" ml="auto">
              <Button variant="ghost" size="sm" aria-haspopup="dialog" onClick={() => setSeveral(true)}>
                <Rows3 size={16} /> Several like this
              </Button>
              {several !== null && (
                <QuickRows
                  key={kind.id}
                  {...{ kind, line, units }}
                  isOpen={several}
                  onOpen={setSeveral}
                  onAdd={onMore}
                />
              )}
              {onRemove && (
                <Button variant="ghost" size="sm" onClick={onRemove}>
                  <Trash2 size={16} /> Remove
                </Button>
              )}
            </HStack>
          )}
        </Flex>
        {known && (
          <Text className="late" fontSize="sm" px="5" pt="3">
            {known}
          </Text>
        )}
        {newest && newest.version > kind.version && !isFrozen && (units !== 'in' || kind.id.startsWith('own-')) && (
          <Box px="5" pt="4">
            <Notice level="warn">
              <HStack gap="4" wrap="wrap">
                <Text>
                  This line is made with version {kind.version} of “{kind.name}”; version {newest.version} is the
                  newest.
                </Text>
                <Button size="sm" variant="outline" onClick={() => change(() => ({ kindVersion: newest.version }))}>
                  Use version {newest.version}
                </Button>
              </HStack>
            </Notice>
          </Box>
        )}
        <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: '1.1fr 1fr' }} gap="6" p={{ base: '4', md: '5' }}>
          <LineFields
            kind={kind}
            line={line}
            units={units}
            cover={live.cover}
            cloth={cloth}
            change={change}
            errorAt={errorAt}
            onFocusMeasure={setFocused}
          />
          <Stack gap="4" aria-live="polite" minW="0" opacity={shown && isStale ? 0.45 : 1}>
            {shown ? (
              <LinePreview
                kind={kind}
                cover={shown.cover}
                list={shown.list}
                line={settled}
                units={units}
                cloth={cloth}
                index={index}
                focused={focused}
                change={change}
              />
            ) : (
              <MeasureFirst kind={kind} focused={focused} />
            )}
          </Stack>
        </Grid>
      </fieldset>
    </Box>
  );
}

/** The kinds to choose from, the workroom's own apart; a withdrawn one only where it is chosen already. */
export function KindOptions({ chosen }: { chosen?: CoverKind }) {
  const { kinds } = useOrder();
  const isOwn = ({ id }: CoverKind) => id.startsWith('own-');
  const own = kinds.current.filter(isOwn);
  if (chosen && isOwn(chosen) && !own.some(({ id }) => id === chosen.id)) own.push(chosen);
  const options = (some: readonly CoverKind[]) =>
    some.map(({ id, name }) => (
      <option key={id} value={id}>
        {name}
      </option>
    ));
  return (
    <>
      {options(kinds.current.filter((kind) => !isOwn(kind)))}
      {own.length > 0 && <optgroup label="Our own kinds">{options(own)}</optgroup>}
    </>
  );
}

interface Live {
  faults: Fault[];
  cover: TakeOff | null;
  list: CutList | null;
}

/** State of a line while it is typed: its faults, and as soon as the measures suffice its take-off and cut list. */
function seen(
  { line, faults }: ReturnType<typeof readLineForm>,
  kind: CoverKind,
  units: OrderUnits,
  room: Parameters<typeof cutList>[2],
): Live {
  const cover = takeOff(kind, { ...line, units });
  const isComplete = faults.every(({ code }) => code === 'cloth-missing');
  const list = cutList([line], units, { ...room, covers: new Map([[line.id, cover]]) });
  return {
    faults: isComplete && !list.ok ? [...faults, ...list.faults.map((fault) => toFormField(fault, kind))] : faults,
    cover: cover.ok ? cover.value : null,
    list: list.ok ? list.value : null,
  };
}
