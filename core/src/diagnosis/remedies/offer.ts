import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import type { CaseContext } from '../context.js';
import { CLEAR_FROM, type Diagnosis, type DiagnosisResult, type FoundDriver } from '../engine/diagnose.js';
import { FACTS } from '../facts.js';
import { disorderRow } from '../tables/disorders.js';
import { type RemedyCode, remedyRow, type RemedyRow } from '../tables/remedies.js';
import type { DisorderRow, RemedyLink } from '../tables/row.js';

/** A remedy that belongs to a trouble but must not be done now, and why. */
export interface Withheld {
  remedy: RemedyCode;
  forDisorder: DisorderCode;
  because: string;
}

/** A remedy that is to be done, before its amount and day are known. */
export interface Offer {
  remedy: RemedyRow & { code: RemedyCode };
  disorder: DisorderRow;
  driver: FoundDriver | undefined;
}

const UNSURE = 'not sure enough yet for something that cannot be taken back: make the check first';

/**
 * Which remedies are to be done for every disorder that is clear, the leader's first; within one, by rung and then by the weight
 * of the driver they answer. Those that the setting speaks against are withheld with the reason. No amounts yet: those of water
 * follow from the plan, and the plan follows from whether one of these asks to hold the water back.
 */
export function offeredRemedies(ctx: CaseContext, result: DiagnosisResult): { offers: Offer[]; withheld: Withheld[] } {
  const offers: Offer[] = [];
  const withheld: Withheld[] = [];
  const taken = new Set<RemedyCode>();
  for (const d of result.list.filter((x) => x.probability >= CLEAR_FROM && x.explains.length > 0)) {
    const disorder = disorderRow(d.disorder);
    for (const { link, driver } of answering(ctx, disorder, d)) {
      if (taken.has(link.remedy)) continue;
      taken.add(link.remedy);
      const remedy = remedyRow(link.remedy);
      const because = heldBack(ctx, remedy, d.probability);
      if (because) withheld.push({ remedy: remedy.code, forDisorder: d.disorder, because });
      else offers.push({ remedy, disorder, driver });
    }
  }
  return { offers, withheld };
}

/** The disorder's remedies whose driver was found, whose fact holds, or that are offered always; in the order to do them. */
function answering(ctx: CaseContext, row: DisorderRow, d: Diagnosis) {
  const found = row.remedies.flatMap((link) => {
    const driver = heaviest(link, d);
    const byFact = link.facts?.some((fact) => FACTS[fact](ctx)) ?? false;
    return driver || byFact || (!link.drivers && !link.facts) ? [{ link, driver }] : [];
  });
  // a remedy that answers the trouble itself, whatever drove it, stands with the heaviest driver
  const weight = (o: (typeof found)[number]): number => o.driver?.weight ?? 1;
  return found.sort((a, b) => remedyRow(a.link.remedy).rung - remedyRow(b.link.remedy).rung || weight(b) - weight(a));
}

/** The heaviest found driver that a remedy answers. */
const heaviest = (link: RemedyLink, d: Diagnosis): FoundDriver | undefined =>
  d.drivers.find((f) => link.drivers?.includes(f.driver));

/** Why a remedy must wait; undefined where nothing speaks against it. */
function heldBack(ctx: CaseContext, remedy: RemedyRow, probability: number): string | undefined {
  const against = remedy.notWhile.find(([fact]) => FACTS[fact](ctx));
  if (against) return against[1];
  return probability < (remedy.sureFrom ?? 0) ? UNSURE : undefined;
}

/** One of the remedies asks to hold the water back: the plan gives this plant none before its soil is dry. */
export const asksToHoldWater = (offers: readonly Offer[]): boolean =>
  offers.some((o) => o.remedy.acts === 'hold-water');
