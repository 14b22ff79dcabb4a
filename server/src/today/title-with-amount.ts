import type { TaskDto } from '@candid-leaf/contract';
import type { Formatter } from '@candid-leaf/core/units';

/** Returns a task's title with its amount, for places that show nothing beside it: "Water Wall bed: 16 L". */
export function titleWithAmount(t: Pick<TaskDto, 'title' | 'amount' | 'litres'>, format: Formatter): string {
  const amount = t.amount ?? (t.litres === null ? null : format.litres(t.litres));
  return amount ? `${t.title}: ${amount}` : t.title;
}
