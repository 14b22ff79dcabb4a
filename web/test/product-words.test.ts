import { formatterFor, METRIC } from '@candid-leaf/core/units';
import { asPrinted, fromPrinted, labelInWords } from '../src/features/shed/product-words';

const US = { ...METRIC, volume: 'gal-us' } as const;
const feed = { id: 'x', name: 'Fish', kind: 'feed', form: 'liquid', n: 5, p2o5: 1, k2o: 1 } as const;

test('a label in spoons is kept in millilitres or grams, and shown as it is printed', () => {
  // 2 tablespoons to the US gallon, typed per litre as the field gives it
  const typed = { ...feed, dose: { per: 'litre', amount: 2 / 3.785411784, unit: 'tbsp' } } as const;
  const kept = fromPrinted(typed, US);
  expect(kept.dose!.amount).toBeCloseTo(7.81, 2);
  expect(asPrinted(kept, US).dose!.amount).toBeCloseTo(typed.dose.amount, 5);
  expect(labelInWords(kept, formatterFor(US))).toContain('2 tablespoons a US gallon of water');
  // a powder by its weight
  const powder = { ...feed, form: 'dry', gPerMl: 0.8, dose: { per: 'plant', amount: 1, unit: 'tsp' } } as const;
  expect(fromPrinted(powder, METRIC).dose!.amount).toBeCloseTo(4, 6);
  expect(labelInWords(fromPrinted(powder, METRIC), formatterFor(METRIC))).toContain('1 teaspoons a plant');
  // grams stay grams
  const plain = { ...feed, dose: { per: 'plant', amount: 3 } } as const;
  expect([fromPrinted(plain, US), asPrinted(plain, US)]).toEqual([plain, plain]);
});
