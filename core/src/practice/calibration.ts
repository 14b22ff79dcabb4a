/** A stated certainty, and whether it was right. */
export interface Answered {
  /** percent */
  surePct: number;
  right: boolean;
}

interface CalibrationStep {
  from: number;
  to: number;
  of: number;
  /** mean of the stated certainty and share that was right, percent */
  saidPct: number;
  rightPct: number;
}

/** How well stated certainty matched the outcomes. */
export interface Calibration {
  of: number;
  right: number;
  saidPct: number;
  rightPct: number;
  /** mean square of stated certainty minus outcome, 0 (always right and certain) to 1 (Brier 1950) */
  brier: number;
  steps: CalibrationStep[];
  words: string;
}

const STEPS: readonly (readonly [number, number])[] = [
  [0, 40],
  [40, 60],
  [60, 80],
  [80, 101],
];
/** Fewer answers than this say nothing about calibration (judgement). */
const ENOUGH_ANSWERS = 10;
/**
 * Stated and right within this distance are well-calibrated, percentage points (judgement: the error of a share of
 * twenty or thirty).
 */
const FITS_WITHIN = 10;

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const rightShare = (list: readonly Answered[]): number => mean(list.map((a) => (a.right ? 100 : 0)));

/** Null before the first answer. */
export function calibrationOf(answers: readonly Answered[]): Calibration | null {
  if (answers.length === 0) return null;
  const saidPct = mean(answers.map((a) => a.surePct));
  const rightPct = rightShare(answers);
  const steps = STEPS.flatMap(([from, to]) => {
    const own = answers.filter((a) => a.surePct >= from && a.surePct < to);
    if (own.length === 0) return [];
    return [
      {
        from,
        to: Math.min(to, 100),
        of: own.length,
        saidPct: mean(own.map((a) => a.surePct)),
        rightPct: rightShare(own),
      },
    ];
  });
  return {
    of: answers.length,
    right: answers.filter((a) => a.right).length,
    saidPct,
    rightPct,
    brier: mean(answers.map((a) => (a.surePct / 100 - (a.right ? 1 : 0)) ** 2)),
    steps,
    words: inWords(answers.length, saidPct, rightPct),
  };
}

function inWords(of: number, said: number, right: number): string {
  if (of < ENOUGH_ANSWERS) return `After ${ENOUGH_ANSWERS} answers this shows how well-calibrated you are.`;
  if (said - right > FITS_WITHIN) return 'You are more certain than you are right: do one more check before you act.';
  if (right - said > FITS_WITHIN) return 'You are right more often than you think: trust what you see.';
  return 'You are as certain as you are right: you can rely on your judgement.';
}
