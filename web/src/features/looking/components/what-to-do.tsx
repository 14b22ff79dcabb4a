import { helpedKey, rateInWords, type Rate } from '@candid-leaf/core/helped';
import type { PlantView } from '@candid-leaf/contract';
import {
  CLEAR_FROM,
  disorderRow,
  doseInWords,
  remedyRow,
  type Remedy,
  type Withheld,
} from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Counsel } from '../../../ui/counsel';
import { Panel } from '../../../ui/panel';
import { firstActOf, howInWords, precautionsOf, stepsFor } from './steps';
import { TakeOn } from './take-on';
import { Unfold } from '../../../ui/unfold';
import { Precautions } from '../../../ui/precautions';

/** What to do, gentlest first: each with amount, day, cautions and the sign of success. */
export function WhatToDo({ view, reading }: { view: PlantView; reading: boolean }) {
  const { diagnosis, remedies, withheld } = view.report;
  const clear = diagnosis
    .filter((d) => d.probability >= CLEAR_FROM)
    .filter((d) => [...remedies, ...withheld].some((r) => r.forDisorder === d.disorder));
  if (clear.length === 0) return null;
  return (
    <div className="mb-4">
      {clear.map(({ disorder }) => (
        <ForOne
          key={disorder}
          view={view}
          disorder={disorder}
          alone={clear.length === 1}
          begun={firstActOf(view)?.forDisorder === disorder}
          reading={reading}
        />
      ))}
      <p className="text-sm text-soft">
        Advice only. Always follow the product label and local rules; a licensed adviser knows more.
      </p>
    </div>
  );
}

interface Props {
  view: PlantView;
  disorder: DisorderCode;
  alone: boolean;
  /** its first step stands in the finding */
  begun: boolean;
  reading: boolean;
}

function ForOne({ view, disorder, alone, begun, reading }: Props) {
  const format = useFormat();
  const { report, treatments } = view;
  const row = disorderRow(disorder);
  const remedies = stepsFor(view, disorder);
  const open = treatments.find((t) => t.disorder === disorder && t.closedOn === null);
  const [first] = remedies;
  return (
    <Panel main label={`What to do: ${row.label}`} className="mb-4">
      <h2 className="text-xl">
        {begun ? 'The other steps' : 'What to do'}
        {alone ? '' : ` about ${row.label.toLowerCase()}`}
      </h2>
      {first ? (
        <>
          {remedies.some((r) => r.general) && (
            <p className="mt-1 text-soft">General advice: nothing in your records points to a cause.</p>
          )}
          <Ladder remedies={remedies} begun={begun} helped={view.helped} />
          {begun && remedies.length === 1 && <p className="mt-1 text-soft">One step: it stands in the finding.</p>}
          <p className="mt-2">
            <strong>Sign of success:</strong> {first.successIs}. Look again on{' '}
            {format.day(open?.followUpOn ?? first.followUpOn)}.
          </p>
        </>
      ) : (
        <p className="mt-2">Nothing for now: the steps must wait.</p>
      )}
      <Counsel doNot={row.doNot} goodToKnow={row.goodToKnow ?? []} />
      <HeldBack withheld={report.withheld.filter((w) => w.forDisorder === disorder)} />
      {!reading && first && !begun && <TakeOn view={view} disorder={disorder} />}
    </Panel>
  );
}

interface LadderProps {
  remedies: readonly Remedy[];
  begun: boolean;
  helped: PlantView['helped'];
}

/** Steps: now, only if that was not enough, and next season. */
function Ladder({ remedies, begun, helped }: LadderProps) {
  const precautions = precautionsOf(remedies);
  const steps = [...new Set(remedies.map((r) => r.step))].sort((a, b) => (a || Infinity) - (b || Infinity));
  return steps.map((step) => {
    const own = remedies.filter((r, i) => r.step === step && !(begun && i === 0));
    if (own.length === 0) return null;
    const title = step === 0 ? 'For next season' : step > 1 ? 'Only if that was not enough' : null;
    return (
      <div key={step}>
        {title && <h3 className="mt-3 font-body font-semibold">{title}</h3>}
        <ol className="mt-1 flex flex-col divide-y divide-line">
          {own.map((r) => (
            <Step
              key={r.remedy}
              remedy={r}
              precautions={precautions[remedies.indexOf(r)]!}
              n={remedies.indexOf(r) + 1}
              rate={helped[helpedKey(r.forDisorder, r.remedy)]}
            />
          ))}
        </ol>
      </div>
    );
  });
}

interface StepProps {
  remedy: Remedy;
  precautions: ReturnType<typeof precautionsOf>[number];
  n: number;
  rate: Rate | undefined;
}

function Step({ remedy: r, precautions, n, rate }: StepProps) {
  const format = useFormat();
  const { today } = useGarden();
  const text = remedyRow(r.remedy);
  const dose = doseInWords(r.dose, format);
  const when = r.step > 1 ? 'after the next look' : format.day(r.when);
  return (
    <li className="grid gap-x-4 py-3 sm:grid-cols-[2rem_1fr_9rem]">
      <span aria-hidden className="font-head text-xl text-soft max-sm:hidden">
        {n}
      </span>
      <div>
        <p>
          <strong>{text.label}</strong>
          {dose && <span className="tabular-nums">: {dose}</span>}
        </p>
        <p className="text-soft">{howInWords(r)}</p>
        {rate && (
          <p className="text-sm text-leaf">
            Your own results: {rateInWords(rate)}
            {rate.enough ? '. The order follows this.' : '.'}
          </p>
        )}
        <Precautions {...precautions} text={(c) => c} />
      </div>
      <p className="text-soft tabular-nums sm:text-right">{r.step <= 1 && r.when === today ? 'today' : when}</p>
    </li>
  );
}

/** Remedies for this problem that must wait, and why. */
function HeldBack({ withheld }: { withheld: readonly Withheld[] }) {
  if (withheld.length === 0) return null;
  return (
    <Unfold className="mt-1" look="quiet" title={`Not now (${withheld.length})`}>
      {() => (
        <ul className="list-disc pl-6">
          {withheld.map((w) => (
            <li key={w.remedy}>
              {remedyRow(w.remedy).label}: {w.because}
            </li>
          ))}
        </ul>
      )}
    </Unfold>
  );
}
