import type { PlantView } from '@candid-leaf/contract';
import { CLEAR_FROM, doseInWords, DRIVERS, remedyRow } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { CheckCheck } from 'lucide-react';
import { useDayWords } from '../../data/garden-context';
import { useAccept } from '../../data/queries';
import { Button } from '../../parts/button';
import { useSay } from '../../parts/toast';

/** What to do, gentlest first: each with its amount, its day, its cautions, and the sign that it worked. */
export function WhatToDo({ view, reading }: { view: PlantView; reading: boolean }) {
  const clear = view.report.diagnosis.filter(
    (d) => d.probability >= CLEAR_FROM && view.report.remedies.some((r) => r.forDisorder === d.disorder),
  );
  return clear.map((d) => (
    <ForOne key={d.disorder} view={view} disorder={d.disorder} alone={clear.length === 1} reading={reading} />
  ));
}

function ForOne({
  view,
  disorder,
  alone,
  reading,
}: {
  view: PlantView;
  disorder: DisorderCode;
  alone: boolean;
  reading: boolean;
}) {
  const { report, garden, plant, troubles } = view;
  const dayWords = useDayWords();
  const accept = useAccept(garden.id, plant.id);
  const say = useSay();
  const row = disorderRow(disorder);
  const remedies = report.remedies.filter((r) => r.forDisorder === disorder);
  const open = troubles.find((t) => t.disorder === disorder && t.closedOn === null);
  const first = remedies[0]!;
  return (
    <section aria-label={`What to do: ${row.label}`} className="mb-4 rounded-2xl border border-line bg-card p-5">
      <h2 className="text-2xl">What to do{alone ? '' : ` about ${row.label.toLowerCase()}`}</h2>
      <ol className="mt-2 flex flex-col divide-y divide-line">
        {remedies.map((r, i) => {
          const text = remedyRow(r.remedy);
          const dose = doseInWords(r.dose, garden.units);
          return (
            <li key={r.remedy} className="grid gap-x-4 py-3 sm:grid-cols-[2rem_1fr_9rem]">
              <span aria-hidden className="font-head text-xl text-soft max-sm:hidden">
                {i + 1}
              </span>
              <div>
                <p>
                  <strong>{text.label}</strong>
                  {dose && <span className="tabular-nums">: {dose}</span>}
                </p>
                <p className="text-soft">
                  {text.how}
                  {r.forDriver && ` This answers ${DRIVERS[r.forDriver]}.`}
                </p>
                {r.cautions.map((c) => (
                  <p key={c} className="mt-1 border-l-4 border-line pl-2 text-sm">
                    {c}
                  </p>
                ))}
              </div>
              <p className="text-soft tabular-nums sm:text-right">
                {r.when === garden.today ? 'today' : r.rung === 6 ? 'next season' : dayWords(r.when)}
              </p>
            </li>
          );
        })}
      </ol>
      <p className="mt-2">
        <strong>It worked if</strong> {first.successIs}. Look again on {dayWords(open?.followUpOn ?? first.followUpOn)}.
      </p>
      <p className="mt-1">
        <strong>What not to do:</strong> {row.avoid}
      </p>
      {report.withheld.length > 0 && (
        <details className="mt-1">
          <summary className="min-h-8 cursor-pointer text-soft">Held back for now ({report.withheld.length})</summary>
          <ul className="list-disc pl-6">
            {report.withheld.map((w) => (
              <li key={w.remedy}>
                {remedyRow(w.remedy).label}: {w.because}
              </li>
            ))}
          </ul>
        </details>
      )}
      <p className="mt-2 text-sm text-soft">Advice, not law: the label, local rules and a licensed adviser decide.</p>
      {reading ? null : open ? (
        <p className="mt-3 flex items-center gap-2 font-semibold text-leaf">
          <CheckCheck aria-hidden size={20} /> Taken on {dayWords(open.openedOn)}; its tasks stand in Today.
        </p>
      ) : (
        <Button
          look="main"
          className="mt-3 print:hidden"
          disabled={accept.isPending}
          onClick={() =>
            accept.mutate(disorder, {
              onSuccess: () => say('Taken on. The tasks stand in Today.'),
              onError: (e) => say(e.message, { bad: true }),
            })
          }
        >
          I will do this
        </Button>
      )}
    </section>
  );
}
