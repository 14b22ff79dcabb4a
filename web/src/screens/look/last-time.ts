import type { Inspection, PlantView } from '@candid-leaf/contract';
import type { SignCode, SignSeen } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** What was seen of this plant the last time before today, to compare with: "4 of 11 on 11 July". */
export function lastTime(view: PlantView): Map<SignCode, { day: Day; seen: SignSeen }> {
  const before = view.records.filter((r) => r.type === 'inspection' && r.day < view.garden.today);
  const newest = before.reduce<Day>((d, r) => (r.day > d ? r.day : d), '');
  const out = new Map<SignCode, { day: Day; seen: SignSeen }>();
  for (const r of before)
    if (r.day === newest)
      for (const seen of (r.data as Inspection).signs) if (seen.present) out.set(seen.sign, { day: r.day, seen });
  return out;
}

export const inNumbers = (s: SignSeen): string =>
  s.affected != null ? `${s.affected}${s.of != null ? ` of ${s.of}` : ''}` : 'seen';
