import type { PlaceEntity } from '../../places/place.entity.js';
import type { Task } from '../../today/task-source.js';
import type { PlantingEntity } from '../planting.entity.js';

type TaskBasics = Pick<Task, 'title' | 'why' | 'dueOn' | 'minutes'>;
/** Builds a task of one raising step. */
export type Make = (step: string, more: TaskBasics & Partial<Task>) => Task;

/** Builds the tasks of one planting, one per step. */
export const makerOf =
  (p: PlantingEntity, place: PlaceEntity): Make =>
  (step, more) => ({
    id: `${p.id}:${step}`,
    plantId: null,
    placeId: null,
    where: `for ${place.name}`,
    litres: null,
    remedy: null,
    dose: null,
    cautions: [],
    ...more,
  });
