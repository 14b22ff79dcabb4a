import type { TaskDto } from '@candid-leaf/contract';
import { groupTasks } from '../src/features/garden/today/group-tasks';

const task = (source: TaskDto['source'], title: string, more: Partial<TaskDto> = {}): TaskDto => ({
  key: `${source}:${title}`,
  source,
  plantId: null,
  placeId: null,
  title,
  where: '',
  why: '',
  dueOn: '2026-07-18',
  minutes: 1,
  estimatedMinutes: 1,
  litres: null,
  remedy: null,
  dose: null,
  cautions: [],
  ...more,
});
const pot = (name: string, litres: number): TaskDto =>
  task('water', `Water ${name}`, {
    plantId: name,
    placeId: 'pots',
    litres,
    dose: { litres },
    made: { of: {} as never, plants: 1 },
  });
const shown = (tasks: TaskDto[]) =>
  groupTasks(tasks).map((l) => (l.kind === 'one' ? l.task.title : `${l.title} × ${l.tasks.length}`));

test('heat is one line for the garden, frost another, in the place of the first', () => {
  expect(
    shown([
      task('protect', 'Heat: Tunnel'),
      task('water', 'Water Bed'),
      task('protect', 'Heat: Long bed'),
      task('protect', 'Frost: Pots'),
    ]),
  ).toEqual(['Heat: Tunnel, Long bed × 2', 'Water Bed', 'Frost: Pots']);
});

test('pots that need the same are one line; others keep their own', () => {
  expect(shown([pot('One', 2), pot('Two', 2), pot('Three', 5)])).toEqual(['Water One, Two × 2', 'Water Three']);
});

test('questions and walks of many beds are one line, and every task is in exactly one', () => {
  const tasks = [
    ...['A', 'B'].map((n) => task('so-far', `What was done so far: ${n}`)),
    ...['A', 'B', 'C'].map((n) => task('walk', `Check ${n}`)),
    task('cut', '3 cuts: A'),
  ];
  const lines = groupTasks(tasks);
  expect(lines).toHaveLength(3);
  expect(lines.flatMap((l) => (l.kind === 'one' ? [l.task.key] : l.tasks.map((t) => t.key))).sort()).toEqual(
    tasks.map((t) => t.key).sort(),
  );
});

test('what nobody answered for ten days stands in one line at the end, whatever it is', () => {
  const old = { unansweredSince: '2026-07-01' };
  expect(
    shown([task('feed', 'Feed: Bed', old), pot('Pot 1', 2), task('tie', 'Tie: Ada'), task('so-far', 'Bed', old)]),
  ).toEqual(['Water Pot 1', 'Tie: Ada', 'Open for over ten days: 2 tasks × 2']);
});
