import { diseaseVisit } from '../../src/care/index.js';

const visit = (more: Partial<Parameters<typeof diseaseVisit>[0]> = {}): string[] =>
  diseaseVisit({
    place: { kind: 'ground' },
    training: 'one-stem',
    supported: true,
    mulched: false,
    plants: 3,
    ...more,
  });
/** The first words of each step. */
const order = (steps: readonly string[]): string[] => steps.map((s) => s.split(/[ ,]/).slice(0, 2).join(' '));

test('a cordon in a bare bed: clean to sick, up before down, the soil last', () => {
  expect(order(visit())).toEqual(['Go when', 'Tie up', 'Take a', 'Pinch out', 'Cover the', 'Bin or']);
  expect(visit()[0]).toMatch(/healthy plants first and to the sickest last/);
});

test('only what this plant and this soil need', () => {
  expect(visit({ training: 'two-stems' }).join()).toMatch(/suckers/);
  expect(visit({ training: 'keep-suckers' }).join()).not.toMatch(/suckers/);
  expect(visit({ training: 'leave-alone' }).join()).not.toMatch(/suckers/);
  expect(visit({ mulched: true }).join()).not.toMatch(/paper/);
  expect(visit({ place: { kind: 'container' } }).join()).not.toMatch(/paper/);
  expect(visit({ heightM: 0.4 }).join()).not.toMatch(/Tie up what/);
  expect(visit({ supported: false }).join()).not.toMatch(/Tie up what/);
  expect(visit({ plants: 1 })[0]).toBe('Go when the leaves are dry.');
});
