import type { SeasonReportView, SeasonView } from '@candid-leaf/contract';
import { habitInWords } from '@candid-leaf/core/prevented';
import { disorderRow, remedyRow } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { salvageRow } from '@candid-leaf/core/harvest';
import { clearingFor, kitFor, type KitCode } from '@candid-leaf/core/reports';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { CheckField } from '../../../ui/check-field';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useNotes } from '../use-notes';
import { LookBack } from './look-back';
import { StillStanding } from './still-standing';

interface Props {
  season: SeasonView;
  report: SeasonReportView;
}

/** Closing a year in four steps: remaining plants, equipment, review, done. Nothing is lost. */
export function CloseYear({ season, report }: Props) {
  const garden = useGarden();
  const f = useFormat();
  const say = useSay();
  const { notes } = season;
  const { year, label } = season.season;
  const { change, isPending } = useNotes(year, notes);
  const clearing = clearingFor(season.stood);
  const places = season.stood.filter((p) => p.plants.some((x) => x.endedOn === null));
  const standing = places.flatMap((p) => p.plants.filter((x) => x.endedOn === null));
  // a tick shows at once and is sent after
  const [kit, setKit] = useState<readonly KitCode[]>(notes?.kit ?? []);
  const tick = (code: KitCode, on: boolean) => {
    const now = [...kit.filter((k) => k !== code), ...(on ? [code] : [])];
    setKit(now);
    change({ kit: now }).catch((error: Error) => say(error.message, { bad: true }));
  };
  const close = (closedOn: string | null) =>
    change({ closedOn }).then(
      () => say(closedOn ? `${label} is closed. It is carried over into next year’s plan.` : `${label} is open again.`),
      (error: Error) => say(error.message, { bad: true }),
    );
  return (
    <>
      <Panel title={`Close ${label}`} className="mb-4 print:hidden">
        <p className="mt-1 max-w-prose text-soft">
          Four steps, whenever you have time. All records stay and can be compared with later years.
        </p>
        <div className="mt-3 grid items-start gap-x-8 gap-y-4 lg:grid-cols-2">
          <section aria-label="Plants still in place">
            <h3 className="text-xl">1. Plants still in place</h3>
            {clearing.bag.length > 0 && (
              <p className="mt-1">
                {named(clearing.bag)}: bag those plants with their roots and bin them, also after a frost. Do not
                compost them.
              </p>
            )}
            {clearing.bury.length > 0 && (
              <p className="mt-1">{named(clearing.bury)}: bury those plants a spade deep, or bin them.</p>
            )}
            <StillStanding places={places} label={label} />
          </section>
          <fieldset>
            <legend className="text-xl font-head">2. Equipment stored</legend>
            {kitFor(clearing).map((k) => (
              <CheckField key={k.code} checked={kit.includes(k.code)} onChange={(now) => tick(k.code, now)}>
                <strong>{k.label}:</strong> {k.how}
              </CheckField>
            ))}
          </fieldset>
        </div>
      </Panel>
      <LookBack year={year} notes={notes} change={change} prompts={promptsOf(report, f.kilograms)} />
      <Panel title="4. Done" className="mt-4 print:hidden">
        {notes?.closedOn ? (
          <div className="mt-1 flex flex-wrap items-center gap-3">
            <p>
              <strong>Closed on {f.dayAndYear(notes.closedOn)}.</strong>
            </p>
            <Button look="quiet" onClick={() => void close(null)} disabled={isPending}>
              Reopen
            </Button>
          </div>
        ) : (
          <div className="flex flex-wrap items-center gap-3">
            <Button look="main" onClick={() => void close(garden.today)} disabled={isPending || standing.length > 0}>
              Close {label}
            </Button>
            <p className="text-soft">
              {standing.length > 0
                ? `${standing.length} ${standing.length === 1 ? 'plant is still in place' : 'plants are still in place'}.`
                : 'All its plants are cleared.'}
            </p>
          </div>
        )}
      </Panel>
    </>
  );
}

const named = (list: readonly DisorderCode[]): string => list.map((d) => disorderRow(d).label).join(', ');

/** Suggestions from the year's records. */
function promptsOf(r: SeasonReportView, kilograms: (kg: number) => string): string[] {
  const lost = r.harvest.losses.slice(0, 3);
  return [
    ...(r.habit ? [habitInWords(r.habit)] : []),
    ...r.troubles.map((t) => `${t.label} in ${t.place}.`),
    ...r.remedies.flatMap((t) =>
      t.outcome
        ? [
            `${t.label}, ${t.plant}: ${t.remedies.map((x) => remedyRow(x).label.toLowerCase()).join('; ')}: ${t.outcome === 'worked' ? 'it worked' : t.outcome === 'worse' ? 'it got worse' : 'no change'}.`,
          ]
        : [],
    ),
    ...lost.map((l) => `${kilograms(l.kg)} binned: ${salvageRow(l.state).label.toLowerCase()}.`),
  ];
}
