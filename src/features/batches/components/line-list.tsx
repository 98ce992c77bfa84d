'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { X } from 'lucide-react';
import { Link } from '@/ui/link';
import { ClothSwatch } from '@/ui/cloth/cloth-pattern';
import { Fractions } from '@/ui/fraction';
import { OrderMark } from '@/ui/order-mark';
import { dueDistance, dueText } from '@/ui/days';
import { counted } from '@/ui/words';
import type { ClothOfBatch, BatchLine } from '../queries';

interface Props {
  lines: BatchLine[];
  cloths: ClothOfBatch[];
  today: string;
  /** With these, lines are chosen by ticking. */
  chosen?: ReadonlySet<number>;
  onChoose?: (ids: number[], isChosen: boolean) => void;
  onChooseCloth?: (clothId: number, isChosen: boolean) => void;
  /** Sends for the lines of a cloth that are not shown yet. */
  onShowAll: (clothId: number) => void;
  /** With this, a line can be taken out. */
  onRemove?: ((id: number) => void) | undefined;
}

/** Order lines grouped by the cloth of their faces; further cloths of a line are named on it. */
export function LineList({ lines, cloths, today, chosen, onChoose, onChooseCloth, onShowAll, onRemove }: Props) {
  const ofCloth = new Map<number, BatchLine[]>();
  for (const line of lines) ofCloth.set(line.clothIds[0]!, [...(ofCloth.get(line.clothIds[0]!) ?? []), line]);
  const groups = cloths.flatMap((cloth) => (ofCloth.has(cloth.id) ? [{ cloth, own: ofCloth.get(cloth.id)! }] : []));
  const shut = cloths.filter((cloth) => cloth.lines > 0 && !ofCloth.has(cloth.id));
  const nameOf = new Map(cloths.map(({ id, name }) => [id, name]));
  const day = new Date(today);
  return (
    <Flex direction="column" gap="5">
      {groups.map(({ cloth, own }) => (
        <Box
          key={cloth.id}
          as="section"
          aria-label={cloth.name}
          bg="bg.panel"
          borderWidth="1px"
          borderColor="border"
          borderRadius="sm"
        >
          <Flex align="center" gap="4" px="4" py="3" bg="bg.subtle" borderBottomWidth="1px" borderColor="border.muted">
            <ClothSwatch id={`lines-${cloth.id}`} look={cloth.look} size={44} />
            <Text fontFamily="heading" fontWeight="700" fontSize="lg" flex="1">
              {cloth.name}
            </Text>
            <Text color="fg.muted">{counted(cloth.covers, 'cover')}</Text>
            {onChoose && (
              <Tick
                label={`All on ${cloth.name}`}
                isOn={own.every(({ id }) => chosen!.has(id))}
                isPart={own.some(({ id }) => chosen!.has(id))}
                onChange={(isOn) => onChooseCloth!(cloth.id, isOn)}
              />
            )}
          </Flex>
          {own.map((line) => {
            const { text, isLate } = dueDistance(line.due, day);
            return (
              <div key={line.id} className={chosen?.has(line.id) ? 'line line-chosen' : 'line'}>
                {onChoose && (
                  <Tick
                    label={`Order ${line.orderNo}, ${line.qty} ${line.kind}`}
                    isOn={chosen!.has(line.id)}
                    onChange={(isOn) => onChoose([line.id], isOn)}
                  />
                )}
                <Link href={`/orders/${line.orderId}`} className="inline line-no">
                  <OrderMark mark={line.mark} />
                  <span className="bold large">{line.orderNo}</span>
                </Link>
                <span className="line-customer two-lines">{line.customer}</span>
                <span className="line-qty bold large">{line.qty}</span>
                <span className="line-kind two-lines">{line.kind}</span>
                <span className="line-sizes strong nowrap">
                  <Fractions>{line.sizes}</Fractions>
                </span>
                <span className="line-further two-lines small muted">
                  {line.clothIds.length > 1
                    ? `with ${line.clothIds
                        .slice(1)
                        .map((id) => nameOf.get(id))
                        .join(', ')}`
                    : ''}
                </span>
                <span className="line-due small nowrap">
                  {dueText(line.due, day)}
                  <span className={`block ${isLate ? 'late' : 'muted'}`}>{text}</span>
                </span>
                {onRemove && (
                  <button
                    type="button"
                    className="icon-button"
                    aria-label={`Take order ${line.orderNo}’s ${line.kind} out of the batch`}
                    onClick={() => onRemove(line.id)}
                  >
                    <X size={18} />
                  </button>
                )}
              </div>
            );
          })}
          {own.length < cloth.lines && (
            <Flex px="4" py="2" borderTopWidth="1px" borderColor="border.muted" align="center" gap="4">
              <Text color="fg.muted">The {own.length} soonest due</Text>
              <Button variant="ghost" size="sm" onClick={() => onShowAll(cloth.id)}>
                Show all {cloth.lines.toLocaleString('en')}
              </Button>
            </Flex>
          )}
        </Box>
      ))}
      {shut.length > 0 && (
        <Box
          as="section"
          aria-label="Further cloths"
          bg="bg.panel"
          borderWidth="1px"
          borderColor="border"
          borderRadius="sm"
        >
          <Text px="4" py="3" bg="bg.subtle" fontWeight="700">
            Further cloths, whose lines are due later
          </Text>
          {shut.map(({ id, name, look, lines: count, covers }) => (
            <div key={id} className="line">
              {onChoose && <Tick label={`All on ${name}`} isOn={false} onChange={(isOn) => onChooseCloth!(id, isOn)} />}
              <span className="chip" style={{ background: look.ground, borderColor: look.figure }} />
              <span className="line-kind strong">{name}</span>
              <span className="muted nowrap">
                {counted(count, 'line')}, {counted(covers, 'cover')}
              </span>
              <button type="button" className="text-button" onClick={() => onShowAll(id)}>
                Show
              </button>
            </div>
          ))}
        </Box>
      )}
    </Flex>
  );
}

function Tick({
  label,
  isOn,
  isPart = false,
  onChange,
}: {
  label: string;
  isOn: boolean;
  isPart?: boolean;
  onChange: (isOn: boolean) => void;
}) {
  return (
    <label className="tick-room">
      <input
        type="checkbox"
        className="tick"
        aria-label={label}
        checked={isOn}
        ref={(box) => {
          if (box) box.indeterminate = isPart && !isOn;
        }}
        onChange={(event) => onChange(event.target.checked)}
      />
    </label>
  );
}
