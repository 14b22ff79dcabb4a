import 'reflect-metadata';
import { CHANGE_CODES, type ChangeCode } from '@candid-leaf/core/prevented';
import { OUTCOMES, PLANT_ENDS, type Outcome, type PlantEnd } from '@candid-leaf/contract';
import { REMEDIES, type Dose, type RemedyCode } from '@candid-leaf/core/diagnosis';
import {
  checked,
  DISORDER_CODES,
  EarlierYear,
  FINITE,
  IsCalendarDay,
  IsListOf,
  RefusedInput,
  SIGN_CODES,
  type DisorderCode,
  type SignCode,
} from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';

// Fields of a garden file that no page sends: the server sets them itself, so a file is where they can be wrong.

type Row = Record<string, unknown>;

const MOST_YEARS = 60;
const MOST_STEPS = 50;
const REMEDY_CODES = REMEDIES.map((r) => r.code);

/** Fields of a bed or pot that only the server sets. */
export class PlaceOwn {
  @IsListOf(() => EarlierYear, { most: MOST_YEARS, optional: true })
  grown?: EarlierYear[] | null;

  @IsOptional()
  @IsCalendarDay()
  zoneSince?: Day | null;

  @IsOptional()
  @IsCalendarDay()
  retiredOn?: Day | null;

  @IsInt()
  @Min(0)
  @Max(1_000_000)
  position: number;
}

/** A finding that was taken on, with its day. */
class FoundThen {
  @IsIn(DISORDER_CODES)
  disorder: DisorderCode;

  @IsCalendarDay()
  on: Day;
}

/** Fields of a plant that only the server sets. */
export class PlantOwn {
  @IsListOf(() => FoundThen, { most: DISORDER_CODES.length, optional: true })
  found?: FoundThen[] | null;

  @IsOptional()
  @IsCalendarDay()
  seenOn?: Day | null;

  @IsOptional()
  @IsCalendarDay()
  enteredOn?: Day | null;

  @IsOptional()
  @IsCalendarDay()
  retiredOn?: Day | null;

  @IsOptional()
  @IsIn(PLANT_ENDS)
  endedBecause?: PlantEnd | null;

  @IsInt()
  @Min(0)
  @Max(1_000_000)
  position: number;
}

/** The finding a treatment began with: what is read of it. The rest is shown as it is. */
class FindingOwn {
  @IsIn(DISORDER_CODES)
  disorder: DisorderCode;

  @IsNumber(FINITE)
  @Min(0)
  @Max(1)
  probability: number;

  @IsArray()
  @ArrayMaxSize(SIGN_CODES.length)
  @IsIn(SIGN_CODES, { each: true })
  explains: SignCode[];

  @IsArray()
  @ArrayMaxSize(200)
  @IsObject({ each: true })
  evidence: object[];

  @IsArray()
  @ArrayMaxSize(200)
  @IsObject({ each: true })
  drivers: object[];

  @IsArray()
  @IsIn(DISORDER_CODES, { each: true })
  lookAlikes: DisorderCode[];
}

/** What would have lowered the risk of a finding. */
class PreventedOwn {
  @IsIn(CHANGE_CODES)
  change: ChangeCode;

  @IsNumber(FINITE)
  @Min(0)
  @Max(1)
  risk: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(1)
  riskWith: number;
}
/** The same, as a list that may be missing. */
class PreventionsOwn {
  @IsListOf(() => PreventedOwn, { most: CHANGE_CODES.length, optional: true })
  prevented?: PreventedOwn[];
}

/** A treatment, which a page only starts and answers. */
export class TreatmentOwn {
  @IsIn(DISORDER_CODES)
  disorder: DisorderCode;

  @IsCalendarDay()
  openedOn: Day;

  @IsCalendarDay()
  followUpOn: Day;

  @IsOptional()
  @IsCalendarDay()
  closedOn?: Day | null;

  @IsOptional()
  @IsIn(OUTCOMES)
  outcome?: Outcome | null;

  @IsInt()
  @Min(1)
  @Max(100)
  step: number;

  @IsArray()
  @ArrayMaxSize(200)
  @IsIn(REMEDY_CODES, { each: true })
  remedies: RemedyCode[];

  @IsObject()
  report: Row;
}

/** A task of a treatment. */
export class TreatmentTaskOwn {
  @IsIn(REMEDY_CODES)
  remedy: RemedyCode;

  @IsCalendarDay()
  dueOn: Day;

  @IsOptional()
  @IsCalendarDay()
  doneOn?: Day | null;

  @IsOptional()
  @IsObject()
  dose?: Dose | null;

  @IsArray()
  @ArrayMaxSize(50)
  @IsString({ each: true })
  @MaxLength(1000, { each: true })
  cautions: string[];

  @IsBoolean()
  seasonal: boolean;
}

/** How long one type of task takes. */
export class PaceOwn {
  @IsInt()
  @Min(0)
  @Max(1_000_000)
  ticks: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(10_000_000)
  took: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(10_000_000)
  estimatedMinutes: number;
}

/** Facts about a picture. */
export class PhotoOwn {
  @IsCalendarDay()
  day: Day;

  @IsOptional()
  @IsIn(SIGN_CODES)
  sign?: SignCode | null;

  @IsInt()
  @Min(1)
  @Max(20_000)
  width: number;

  @IsInt()
  @Min(1)
  @Max(20_000)
  height: number;
}

/** Checks these fields of a row by the class that describes them. @throws RefusedInput */
export const ownFields = <T extends object>(cls: new () => T, fields: readonly (keyof T & string)[], row: Row): T =>
  checked(cls, Object.fromEntries(fields.flatMap((f) => (f in row ? [[f, row[f]]] : []))));

const isRemedy = (code: unknown): boolean => (REMEDY_CODES as unknown[]).includes(code);

/** Returns whether it is missing, or a list of steps whose entries pass. */
const isSteps = (value: unknown, passes: (entry: unknown) => boolean): boolean =>
  value === undefined ||
  (Array.isArray(value) && value.length <= MOST_STEPS && value.every((s) => Array.isArray(s) && s.every(passes)));

/** Checks a treatment with the finding it began with. @throws RefusedInput */
export function checkTreatment(row: Row): void {
  const { report } = ownFields(
    TreatmentOwn,
    ['disorder', 'openedOn', 'followUpOn', 'closedOn', 'outcome', 'step', 'remedies', 'report'],
    row,
  );
  const fault = (path: string, reason: string): RefusedInput => new RefusedInput([{ path: `report.${path}`, reason }]);
  if (typeof report.headline !== 'string') throw fault('headline', 'must be text');
  if (typeof report.finding !== 'object' || report.finding === null) throw fault('finding', 'must be an object');
  ownFields(
    FindingOwn,
    ['disorder', 'probability', 'explains', 'evidence', 'drivers', 'lookAlikes'],
    report.finding as Row,
  );
  ownFields(PreventionsOwn, ['prevented'], report);
  if (!isSteps(report.taken, isRemedy)) throw fault('taken', 'names a remedy that is not in the handbook');
  if (!isSteps(report.later, (r) => typeof r === 'object' && r !== null && isRemedy((r as Row).remedy)))
    throw fault('later', 'names a remedy that is not in the handbook');
}
