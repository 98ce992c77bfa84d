// Care and cautions for customers, by their cloths. Common practice, no source.
import { describe, expect, test } from 'vitest';
import { FIBRES } from '../cloth';
import { careOf, customerCautions, KINDS } from './index';

describe('care', () => {
  const cloth = (name: string, fibre: (typeof FIBRES)[number]) => ({
    name,
    nature: { fibre, weight: 'medium' as const, give: 'little' as const },
  });

  test('every fibre has a way; cloths that are cared for alike stand together', () => {
    for (const fibre of FIBRES) expect(careOf([cloth('A', fibre)])[0], fibre).toMatch(/^A: .+\.$/);
    expect(careOf([cloth('Ticking', 'cotton'), cloth('Sprig', 'cotton'), { name: 'Unknown' }])).toEqual([
      'Ticking, Sprig: cool wash, dry flat, press from the back.',
    ]);
  });

  test('vinyl, leather and neoprene never meet an iron', () => {
    for (const fibre of ['vinyl', 'leather', 'neoprene'] as const)
      expect(careOf([cloth('A', fibre)])[0]).toContain('no iron');
  });
});

test('cautions that go on to customers: fire rules with foam, small parts, belts; none of the workroom’s own', () => {
  const of = (id: string) =>
    customerCautions(KINDS.find((kind) => kind.id === id)!.steps.map(({ caution }) => caution)).join(' ');
  expect(of('boxed-cushion')).toContain('fire-safety');
  expect(of('strap-pad')).toContain('belt');
  for (const { id } of KINDS) expect(of(id), id).not.toMatch(/cutter|staple gun|hot knife/i);
});
