import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import type { SignCode, SignSeen } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** Returns what was seen on this plant before today: "4 of 11 on 11 July". */
export function lastTime(view: Pick<PlantView, 'records' | 'garden'>): Map<SignCode, { day: Day; seen: SignSeen }> {
  const before = view.records.filter((r) => isRecordOf(r, 'inspection')).filter((r) => r.day < view.garden.today);
  const newest = before.reduce<Day>((d, r) => (r.day > d ? r.day : d), '');
  const out = new Map<SignCode, { day: Day; seen: SignSeen }>();
  for (const r of before)
    if (r.day === newest) for (const seen of r.data.signs) if (seen.present) out.set(seen.sign, { day: r.day, seen });
  return out;
}

export const numbersOf = (s: SignSeen): string =>
  s.affected != null ? `${s.affected}${s.of != null ? ` of ${s.of}` : ''}` : 'seen';
