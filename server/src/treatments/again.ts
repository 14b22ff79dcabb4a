import { remedyRow } from '@candid-leaf/core/diagnosis';
import type { Inspection } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { countFell } from '@candid-leaf/core/walks';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { partOf } from '../records/records.service.js';
import type { TreatmentTaskEntity } from './treatment-task.entity.js';
import type { TreatmentEntity } from './treatment.entity.js';

/** Days between two sprays whose label is not known. */
const SPRAY_DAYS = 7;

/** Returns whether fewer of them are there since the treatment began. */
export function hasFallen(s: GardenSnapshot, treatment: TreatmentEntity): boolean {
  const seen = s
    .recordsOf(treatment.plantId)
    .filter((r) => r.type === 'inspection' && r.day <= s.today)
    .flatMap((r) => {
      const { date, signs } = r.data as Inspection;
      return signs.map((sign) => ({ ...sign, date }));
    });
  return countFell(treatment.report.finding.explains, treatment.openedOn, seen);
}

/** Days until a remedy is due again, or null if once is enough. */
function againDays(task: TreatmentTaskEntity, everyDays: number | null | undefined): number | null {
  const row = remedyRow(task.remedy);
  return row.sprays ? (everyDays ?? SPRAY_DAYS) : (row.againDays ?? null);
}

/** The id of the task that follows this one: the same however often it is asked for. */
export const nextId = (task: TreatmentTaskEntity): string => partOf(task.id, task.plantId);

/**
 * Returns the task that follows one done today: picking by hand and sprays are done again until the follow-up asks whether
 * they helped. It is not shown once fewer are there.
 * @param everyDays of the product sprayed
 */
export function nextOf(
  s: GardenSnapshot,
  task: TreatmentTaskEntity,
  treatment: TreatmentEntity,
  everyDays?: number | null,
): TreatmentTaskEntity | null {
  const days = againDays(task, everyDays);
  if (days === null || task.seasonal || treatment.closedOn !== null) return null;
  const dueOn = addDays(s.today, days);
  if (dueOn >= treatment.followUpOn) return null;
  return { ...task, id: nextId(task), dueOn, why: 'again, until you count fewer of them', doneOn: null };
}
