import { helpedKey, rateInWords, type Rate } from '@candid-leaf/core/helped';
import type { PlantView } from '@candid-leaf/contract';
import {
  CLEAR_FROM,
  disorderRow,
  doseInWords,
  DRIVERS,
  remedyRow,
  type Remedy,
  type Withheld,
} from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { CheckCheck } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Counsel } from '../../../ui/counsel';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { stepsFor, WHAT_TO_DO } from './steps';
import { startTreatment } from '../../../data/plants';
import { Unfold } from '../../../ui/unfold';
import { Precautions } from '../../../ui/precautions';
import { cautionsOnce } from '../../../lib/cautions';

/** What to do, gentlest first: each with amount, day, cautions and the sign of success. */
export function WhatToDo({ view, reading }: { view: PlantView; reading: boolean }) {
  const { diagnosis, remedies, withheld } = view.report;
  const clear = diagnosis
    .filter((d) => d.probability >= CLEAR_FROM)
    .filter((d) => [...remedies, ...withheld].some((r) => r.forDisorder === d.disorder));
  if (clear.length === 0) return null;
  return (
    <div id={WHAT_TO_DO} className="mb-4 scroll-mt-40">
      {clear.map((d) => (
        <ForOne key={d.disorder} view={view} disorder={d.disorder} alone={clear.length === 1} reading={reading} />
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
  reading: boolean;
}

function ForOne({ view, disorder, alone, reading }: Props) {
  const format = useFormat();
  const { report, treatments } = view;
  const row = disorderRow(disorder);
  const remedies = stepsFor(view, disorder);
  const open = treatments.find((t) => t.disorder === disorder && t.closedOn === null);
  const [first] = remedies;
  return (
    <Panel main label={`What to do: ${row.label}`} className="mb-4">
      <h2 className="text-2xl">What to do{alone ? '' : ` about ${row.label.toLowerCase()}`}</h2>
      {first ? (
        <>
          {remedies.some((r) => r.general) && (
            <p className="mt-1 text-soft">General advice: nothing in your records points to a cause.</p>
          )}
          <Ladder remedies={remedies} helped={view.helped} />
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
      {!reading && first && <TakeOn view={view} disorder={disorder} openedOn={open?.openedOn ?? null} />}
    </Panel>
  );
}

/** Steps: now, only if that was not enough, and next season. */
function Ladder({ remedies, helped }: { remedies: readonly Remedy[]; helped: PlantView['helped'] }) {
  const precautions = cautionsOnce(remedies.map((r) => ({ label: remedyRow(r.remedy).label, cautions: r.cautions })));
  const steps = [...new Set(remedies.map((r) => r.step))].sort((a, b) => (a || Infinity) - (b || Infinity));
  return steps.map((step) => {
    const own = remedies.filter((r) => r.step === step);
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
  precautions: ReturnType<typeof cautionsOnce<string>>[number];
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
        <p className="text-soft">
          {text.how}
          {r.forDriver && ` This is for ${DRIVERS[r.forDriver]}.`}
        </p>
        {rate && (
          <p className="text-sm text-leaf">
            Your own results: {rateInWords(rate)}
            {rate.enough
              ? `, about ${Math.round(rate.shrunk * 10)} in 10; the order follows this.`
              : ', too few to judge.'}
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

function TakeOn({
  view: { garden, plant },
  disorder,
  openedOn,
}: Pick<Props, 'view' | 'disorder'> & { openedOn: string | null }) {
  const format = useFormat();
  const start = useWrite(startTreatment, garden.id);
  if (openedOn)
    return (
      <p className="mt-3 flex items-center gap-2 font-semibold text-leaf">
        <CheckCheck aria-hidden size={20} /> Started on {format.day(openedOn)}; the tasks are in Today.
      </p>
    );
  return (
    <Button
      look="main"
      className="mt-3 print:hidden"
      disabled={start.isPending}
      onClick={() =>
        start.mutate({ plantId: plant.id, id: uuid(), disorder }, { said: 'Started. The tasks are now in Today.' })
      }
    >
      I will do this
    </Button>
  );
}
