import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import type { CaseContext } from '../context.js';
import { CLEAR_FROM, type Diagnosis, type DiagnosisResult, type FoundDriver } from '../engine/diagnose.js';
import { FACTS } from '../facts.js';
import { isWetByHand } from '../wetness.js';
import { numbersOf } from './numbers.js';
import { ofNextSeason } from './steps.js';
import { disorderRow } from '../tables/disorders.js';
import { type RemedyCode, remedyRow, type RemedyRow } from '../tables/remedies.js';
import type { DisorderRow, RemedyLink } from '../tables/row.js';

/** A remedy for a problem that must not be done now, and why. */
export interface Withheld {
  remedy: RemedyCode;
  forDisorder: DisorderCode;
  because: string;
  /** comes by itself when gentler steps were not enough */
  afterMilder?: true;
}

/** A remedy to be done, before its amount and day are known. */
export interface Offer {
  remedy: RemedyRow & { code: RemedyCode };
  disorder: DisorderRow;
  driver: FoundDriver | undefined;
  link: RemedyLink;
  /** general advice: the records point to no cause */
  general: boolean;
  /** nothing is clear, but whatever it is of several, this is the act */
  either?: true;
}

/** What to do now, what must wait, and the act that ought to come first if it must wait. */
export interface Offered {
  offers: Offer[];
  withheld: Withheld[];
  heldBack: Withheld | null;
}

const WET_ONLY_BY_MODEL = 'nobody has felt the soil lately: put a finger in before you stop watering';
const UNSURE = 'not certain enough for something you can’t undo: do the check first';
const AFTER_MILDER = 'only if the gentler steps have had their follow-up and were not enough';
const oneSpray = (first: RemedyRow): string => `one spray at a time: first see what ${first.label.toLowerCase()} does`;

/**
 * Returns the remedies for every clear problem, the leader's first; within one, by rung and then by the weight of the
 * driver they answer. Those the setting rules out are held back with the reason. No amounts yet: water amounts come
 * from the plan, and the plan depends on whether one of these pauses watering.
 */
export function offeredRemedies(ctx: CaseContext, result: DiagnosisResult): Offered {
  const offers: Offer[] = [];
  const withheld: Withheld[] = [];
  let heldBack: Withheld | null = null;
  const taken = new Set<RemedyCode>();
  const clear = result.list.filter((x) => x.probability >= CLEAR_FROM && x.explains.length > 0);
  if (clear.length === 0) return { offers: eitherWay(ctx, result), withheld, heldBack };
  for (const d of clear) {
    const disorder = disorderRow(d.disorder);
    for (const { link, driver, general } of answering(ctx, disorder, d)) {
      const remedy = remedyRow(link.remedy);
      if (taken.has(link.remedy) || !fits(ctx, remedy)) continue;
      taken.add(link.remedy);
      const because = againstIt(ctx, remedy, link, d.probability);
      const hold = (why: string, later?: true): void => {
        withheld.push({
          remedy: remedy.code,
          forDisorder: d.disorder,
          because: why,
          ...(later ? { afterMilder: later } : {}),
        });
      };
      const sprayed = remedy.sprays && offers.find((o) => o.remedy.sprays);
      if (because) {
        hold(because);
        // it stands before everything that is offered
        if (d === clear[0] && offers.length === 0) heldBack ??= withheld.at(-1) ?? null;
      }
      if (because) continue;
      // within one problem its own steps follow each other
      const opposed = offers.find((o) => o.disorder !== disorder && areOpposed(o.remedy.code, remedy.code));
      if (opposed) hold(opposite(opposed.remedy));
      else if (remedy.afterMilder) hold(AFTER_MILDER, true);
      else if (sprayed) hold(oneSpray(sprayed.remedy), true);
      else offers.push({ remedy, disorder, driver, link, general });
    }
  }
  return { offers: offers.filter((o) => !isReplaced(o, offers)), withheld, heldBack };
}

/** From this rung on an act is not gentle enough to be done on a guess. */
const GENTLE_RUNGS = 2;

/**
 * Returns the gentlest act that most of what it could be calls for, where nothing is clear: at most one. Watering, cuts
 * and what can't be undone are left out, and so is what one of them would be harmed by.
 */
function eitherWay(ctx: CaseContext, result: DiagnosisResult): Offer[] {
  const rivals = result.list.filter((x) => x.explains.length > 0 && x.probability >= RIVAL_FROM);
  const calls = new Map<RemedyCode, { offer: Offer; miss: number }>();
  for (const d of rivals) {
    const disorder = disorderRow(d.disorder);
    for (const { link, driver } of answering(ctx, disorder, d)) {
      const remedy = remedyRow(link.remedy);
      const isGentle = remedy.rung <= GENTLE_RUNGS && !remedy.acts && !remedy.cuts && !remedy.sureFrom && !remedy.note;
      if (!isGentle || link.provenBy || ofNextSeason(remedy) || !fits(ctx, remedy)) continue;
      if (againstIt(ctx, remedy, link, d.probability)) continue;
      const known = calls.get(link.remedy);
      calls.set(link.remedy, {
        offer: known?.offer ?? { remedy, disorder, driver, link, general: true, either: true },
        miss: (known?.miss ?? 1) * (1 - d.probability),
      });
    }
  }
  // each rival alone is under that, so at least two ask for it
  const shared = [...calls.values()].filter((c) => 1 - c.miss >= CLEAR_FROM);
  return shared
    .sort((a, b) => a.offer.remedy.rung - b.offer.remedy.rung || a.miss - b.miss)
    .slice(0, 1)
    .map((c) => c.offer);
}
/** A problem less likely than this is no reason to act (judgement). */
const RIVAL_FROM = 0.1;

/** Acts that undo each other: of two problems that ask for both, the likelier decides. */
const OPPOSED: readonly (readonly [readonly RemedyCode[], readonly RemedyCode[]])[] = [
  [
    ['water-now', 'even-watering', 'deep-soak', 'flush-pot', 'leach-bed'],
    ['water-less', 'dry-tray'],
  ],
  [
    ['pause-feeding'],
    ['light-feed', 'nitrogen-feed', 'bloom-feed', 'potassium-feed', 'phosphorus-feed', 'magnesium-feed'],
  ],
  [['keep-shading-leaves'], ['thin-for-air', 'remove-suckers', 'top-plant']],
  [['lime-soil', 'lime-drench'], ['sulfur-soil']],
  [['shade-cloth', 'move-to-shade'], ['more-light']],
];
const areOpposed = (a: RemedyCode, b: RemedyCode): boolean =>
  OPPOSED.some(([one, other]) => (one.includes(a) && other.includes(b)) || (one.includes(b) && other.includes(a)));
const opposite = (first: RemedyRow): string =>
  `“${first.label}” comes first, and the two undo each other: see what it does`;

/** True if another remedy of the same problem, offered too, does the whole of what this one does in part. */
const isReplaced = (o: Offer, offers: readonly Offer[]): boolean =>
  offers.some((x) => x.disorder === o.disorder && x.link.insteadOf?.includes(o.remedy.code));

/** A remedy for certain beds or pots is offered only where it fits. */
export const fits = (ctx: CaseContext, remedy: RemedyRow): boolean =>
  !remedy.onlyWhere || remedy.onlyWhere.some((fact) => FACTS[fact](ctx));

/** A weaker driver calls for nothing, unless it is the strongest there is. */
const CALLS_FROM = 0.3;

interface Answer {
  link: RemedyLink;
  driver: FoundDriver | undefined;
  general: boolean;
}

/**
 * Returns the problem's remedies whose driver was found, whose fact holds, or that are always offered; in the order
 * to do them. Where the records point to no driver: the gentle default of its row, as general advice.
 */
function answering(ctx: CaseContext, row: DisorderRow, d: Diagnosis): Answer[] {
  const numbers = numbersOf(ctx, row);
  const calling = d.drivers.filter((f, i) => i === 0 || f.strength >= CALLS_FROM);
  const found = row.remedies.flatMap((link): Answer[] => {
    if (link.at && !link.at.includes(numbers)) return [];
    const driver = calling.find((f) => link.drivers?.includes(f.driver));
    const byFact = link.facts?.some((fact) => FACTS[fact](ctx)) ?? false;
    return driver || byFact || (!link.drivers && !link.facts) ? [{ link, driver, general: false }] : [];
  });
  const inGeneral = d.drivers.length === 0 ? (row.inGeneral ?? []) : [];
  for (const remedy of inGeneral)
    if (!found.some((o) => o.link.remedy === remedy))
      found.push({ link: { remedy }, driver: undefined, general: true });
  // a remedy for the problem itself, whatever its driver, ranks with the heaviest driver
  const weight = (o: Answer): number => o.driver?.weight ?? 1;
  const sorted = found.sort(
    (a, b) => remedyRow(a.link.remedy).rung - remedyRow(b.link.remedy).rung || weight(b) - weight(a),
  );
  return row.harmless ? paperFirst(sorted) : notesLast(paperFirst(sorted));
}

/** What is only to be left alone never stands before something to do this season. */
function notesLast(list: readonly Answer[]): Answer[] {
  const place = (o: Answer): number => {
    const remedy = remedyRow(o.link.remedy);
    return ofNextSeason(remedy) ? 2 : remedy.note ? 1 : 0;
  };
  return [...list].sort((a, b) => place(a) - place(b));
}

/** Newspaper goes under the mulch that covers it. */
function paperFirst(list: Answer[]): Answer[] {
  const paper = list.findIndex((o) => o.link.remedy === 'splash-barrier');
  const mulch = list.findIndex((o) => o.link.remedy === 'mulch');
  if (mulch < 0 || paper < mulch) return list;
  const [moved] = list.splice(paper, 1);
  list.splice(mulch, 0, moved!);
  return list;
}

/** Returns why a remedy must wait; undefined if nothing is against it. */
function againstIt(ctx: CaseContext, remedy: RemedyRow, link: RemedyLink, probability: number): string | undefined {
  const against = [...remedy.notWhile, ...(link.notWhile ?? [])].find(([fact]) => FACTS[fact](ctx));
  if (against) return against[1];
  if (link.provenBy && !link.provenBy.signs.some((sign) => ctx.present.has(sign))) return link.provenBy.because;
  if (remedy.code === 'water-less' && !isWetByHand(ctx)) return WET_ONLY_BY_MODEL;
  return probability < (remedy.sureFrom ?? 0) ? UNSURE : undefined;
}

/** True if a remedy pauses watering: the plan then gives this plant none until its soil is dry. */
export const asksToHoldWater = (offers: readonly Offer[]): boolean =>
  offers.some((o) => o.remedy.acts === 'hold-water');
