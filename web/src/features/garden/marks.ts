import type { GardenView, PlantOnView, TaskDto } from '@candid-leaf/contract';
import { DRY_LEFT, FULL_LEFT } from '@candid-leaf/core/water';

/** What a plant needs, most urgent first; each has its own shape and word. */
const MARKS = ['sick', 'unclear', 'dry', 'ripe', 'look', 'wet'] as const;
export type Mark = (typeof MARKS)[number];

const isFor = (task: TaskDto, plantId: string, placeId: string): boolean =>
  task.plantId !== null
    ? task.plantId === plantId
    : task.placeId === placeId && (task.plantIds?.includes(plantId) ?? true);

/**
 * Returns the marks of a plant from its view and today's tasks.
 * @param tasks those of the garden; tasks on hold do not count
 */
export function marksOf(view: PlantOnView, placeId: string, tasks: readonly TaskDto[], today: string): Mark[] {
  const due = tasks.filter((t) => !t.held && t.dueOn <= today && isFor(t, view.plant.id, placeId));
  const left = view.fractionAvailable;
  const has: Record<Mark, boolean> = {
    sick: view.finding !== null && !view.finding.harmless,
    unclear: view.unclear,
    dry: left !== null && left < DRY_LEFT,
    ripe: due.some((t) => t.picks),
    look: view.lastLook !== today && due.some((t) => t.walk || t.see || t.source === 'look-again'),
    wet: left !== null && left >= FULL_LEFT,
  };
  return MARKS.filter((m) => has[m]);
}

/** Returns plants with a mark that asks for action today. */
export function inNeed({ places, today, garden }: GardenView): ReadonlySet<string> {
  const asks = (m: Mark): boolean => m !== 'wet';
  return new Set(
    places.flatMap((p) =>
      p.plants.filter((x) => marksOf(x, p.place.id, today, garden.today).some(asks)).map((x) => x.plant.id),
    ),
  );
}
