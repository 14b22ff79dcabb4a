import { addDays, type Day } from '../../day.js';
import { CLEAR_FROM, type Diagnosis, type DiagnosisResult } from '../engine/diagnose.js';
import { FACTS } from '../facts.js';
import type { Story } from '../story.js';
import { disorderRow } from '../tables/index.js';
import { CAUTIONS, remedyRow, type RemedyCode } from '../tables/remedies.js';
import type { RemedyLink } from '../tables/row.js';
import type { DisorderCode } from '../vocabulary/disorders.js';
import type { DriverCode } from '../vocabulary/drivers.js';
import { dueOn, DOSES, type Dose } from './doses.js';

export interface Remedy {
  remedy: RemedyCode;
  rung: number;
  forDisorder: DisorderCode;
  forDriver: DriverCode | null;
  when: Day;
  dose: Dose | null;
  cautions: string[];
  followUpOn: Day;
  successIs: string;
}

/** A remedy that belongs to this trouble but must not be done now, and why. */
export interface Withheld {
  remedy: RemedyCode;
  because: string;
}

const UNSURE = 'not sure enough yet for something that cannot be taken back: make the check first';

/**
 * Remedies for every disorder that is clear, the leader's first; within one, by rung and then by the weight of the
 * driver they answer. Those that the setting speaks against are withheld with the reason.
 */
export function chooseRemedies(s: Story, result: DiagnosisResult): { remedies: Remedy[]; withheld: Withheld[] } {
  const remedies: Remedy[] = [];
  const withheld: Withheld[] = [];
  const settled = result.list.filter((d) => d.probability >= CLEAR_FROM && d.explains.length > 0);
  const taken = new Set<RemedyCode>();
  for (const d of settled) {
    const row = disorderRow(d.disorder);
    const offered = row.remedies.flatMap((link) => {
      const driver = answered(link, d);
      const byFact = link.facts?.some((fact) => FACTS[fact](s)) ?? false;
      const free = !link.drivers && !link.facts;
      return driver || byFact || free ? [{ link, driver }] : [];
    });
    offered.sort((a, b) => remedyRow(a.link.remedy).rung - remedyRow(b.link.remedy).rung || weightOf(b) - weightOf(a));
    for (const { link, driver } of offered) {
      if (taken.has(link.remedy)) continue;
      taken.add(link.remedy);
      const r = remedyRow(link.remedy);
      const against = r.notWhile.find(([fact]) => FACTS[fact](s));
      if (against) {
        withheld.push({ remedy: r.code, because: against[1] });
        continue;
      }
      if (d.probability < (r.sureFrom ?? 0)) {
        withheld.push({ remedy: r.code, because: UNSURE });
        continue;
      }
      remedies.push({
        remedy: r.code,
        rung: r.rung,
        forDisorder: d.disorder,
        forDriver: driver?.driver ?? null,
        when: r.when === 'next-watering' ? wateringDay(s) : dueOn(s, r.when),
        dose: r.dose ? DOSES[r.dose](s) : null,
        cautions: r.cautions.map((c) => CAUTIONS[c]),
        followUpOn: addDays(s.c.asOf, row.followUpDays),
        successIs: row.successIs,
      });
    }
  }
  return { remedies, withheld };
}

/** A remedy that answers the trouble itself, whatever drove it, stands with the heaviest driver. */
const weightOf = (o: { driver: { weight: number } | undefined }): number => o.driver?.weight ?? 1;

/** The heaviest found driver that a remedy answers. */
const answered = (link: RemedyLink, d: Diagnosis) => d.drivers.find((f) => link.drivers?.includes(f.driver));

/** The next watering, tomorrow morning at the latest reckoning unless the balance says later. */
const wateringDay = (s: Story): Day => s.upcoming.next?.date ?? addDays(s.c.asOf, 1);
