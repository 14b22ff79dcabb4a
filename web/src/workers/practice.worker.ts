import 'reflect-metadata';
import { type Report, reportOn } from '@candid-leaf/core/assessment';
import type { CheckCode } from '@candid-leaf/core/diagnosis';
import {
  afterChecks,
  type Choices,
  choicesOf,
  drawPractice,
  type Guess,
  judge,
  type Judged,
  type PracticeTheme,
  shows,
} from '@candid-leaf/core/practice';
import type { PlantCase, SignCode } from '@candid-leaf/core/records';
import { type DateForm, formatterFor, type Units } from '@candid-leaf/core/units';

export interface PracticeAsked {
  theme: PracticeTheme;
  seed: number;
  done: CheckCode[];
  units: Units;
  dateForm: DateForm;
  /** with it, the answer is judged */
  guess?: Guess;
}

export interface PracticeShown {
  plantCase: PlantCase;
  report: Report;
  choices: Choices;
  /** signs visible at first sight */
  first: SignCode[];
  /** results of the checks made */
  showed: { check: CheckCode; present: SignCode[] }[];
  judged: Judged | null;
}

export type PracticeReply = { ok: true; shown: PracticeShown } | { ok: false; why: string };

/** Draws a practice plant and the belief after its checks, in a worker. */
function tell({ theme, seed, done, units, dateForm, guess }: PracticeAsked): PracticeShown {
  const format = formatterFor(units, dateForm);
  const practice = drawPractice(theme, seed);
  const plantCase = afterChecks(practice, done);
  return {
    plantCase: structuredClone({ ...plantCase }),
    report: reportOn(plantCase, [], format),
    choices: choicesOf(practice, done),
    first: practice.plant.observations.map((o) => o.sign),
    showed: done.map((check) => ({ check, present: shows(practice, check).present })),
    judged: guess ? judge(practice, done, guess, format) : null,
  };
}

self.onmessage = (e: MessageEvent<PracticeAsked>) => {
  try {
    self.postMessage({ ok: true, shown: tell(e.data) } satisfies PracticeReply);
  } catch (error) {
    self.postMessage({ ok: false, why: (error as Error).message } satisfies PracticeReply);
  }
};
