import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { press, seen, show } from '@/ui/testing/screen';
import { PriceProposals } from './price-proposals';

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

describe('the supplier’s prices', () => {
  const proposal = {
    id: 9,
    supplier: 'Loom Lane Mill',
    article: 'T-14',
    of: 'Towpath ticking',
    priceMinor: 1520,
    currency: 'GBP',
    pricePer: 'yd',
    asOf: '2027-01-02',
    inStock: '38 yd',
    ownMinor: 1450,
    ownCurrency: 'GBP',
    ownPer: 'yd',
  };
  const open = (today = '2027-01-05', proposals = [proposal]) =>
    show(<PriceProposals proposals={proposals} today={today} />);

  test('stand beside ours; an old list says how old it is', () => {
    const { again } = open();
    expect(seen(document.querySelector<HTMLElement>('tbody tr')!)).toContain(
      'Towpath ticking£14.50 a yd£15.20 a yd38 yd',
    );
    expect(seen()).not.toContain('days old');
    again(<PriceProposals proposals={[proposal]} today="2027-03-05" />);
    expect(seen()).toContain('the list is 62 days old');
  });

  test.each([
    ['Take', true, 'Towpath ticking costs £15.20 from today; quotes that were sent stay as they are.'],
    ['Leave', false, 'Towpath ticking stays as it is.'],
  ])('%s', async (name, isTaken, words) => {
    const { me } = open();
    await press(me, name);
    await waitFor(() => expect(seen()).toContain(words));
    expect(server.asked).toMatchObject([{ action: 'decideProposal', args: [9, isTaken] }]);
    expect(gone).toEqual(['again']);
  });

  test.each([
    [
      { made: 0, known: 0, supplier: 'Loom Lane Mill', asOf: '2027-01-02' },
      'Loom Lane Mill lists nothing under a name that the workroom has.',
    ],
    [
      { made: 0, known: 3, supplier: 'Loom Lane Mill', asOf: '2027-01-02' },
      'All prices of Loom Lane Mill are as the workroom has them.',
    ],
    [
      { made: 2, known: 3, supplier: 'Loom Lane Mill', asOf: '2027-01-02' },
      'Loom Lane Mill has 2 other prices, of 2027-01-02.',
    ],
  ])('asked for the list: %o', async (value, words) => {
    server.gives(value);
    const { me } = open('2027-01-05', []);
    expect(seen()).toContain('No price waits to be decided on.');
    await press(me, 'Ask for the list');
    await waitFor(() => expect(seen()).toContain(words));
  });
});
