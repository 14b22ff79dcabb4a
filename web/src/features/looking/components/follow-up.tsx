import { disorderRow } from '@candid-leaf/core/diagnosis';
import { isRecordOf, OUTCOMES, type Outcome, type PlantView } from '@candid-leaf/contract';
import { weakInWords } from '@candid-leaf/core/spray';
import { useFormat } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { closeTreatment } from '../../../data/plants';

const WORDS: Record<Outcome, string> = { worked: 'It worked', 'no-change': 'No change', worse: 'It got worse' };
const ENDED: Record<Outcome, string> = { worked: 'it worked', 'no-change': 'no change', worse: 'it got worse' };

/** Asks whether it helped once the day has come, and lists results of earlier problems. */
export function FollowUp({ view }: { view: PlantView }) {
  const { garden, treatments } = view;
  const format = useFormat();
  const close = useWrite(closeTreatment, garden.id);
  const weak = (since: string): string | null =>
    weakInWords(
      view.records.flatMap((r) => (isRecordOf(r, 'spray') && r.day >= since ? r.data : [])),
      format,
    );
  const asked = treatments.filter((t) => t.closedOn === null && t.followUpOn <= garden.today);
  const ended = treatments.flatMap((t) => (t.closedOn === null ? [] : [{ ...t, closedOn: t.closedOn }]));
  return (
    <>
      {asked.map((t) => (
        <Panel key={t.id} main asking label={`Did it help? ${disorderRow(t.disorder).label}`} className="mb-4">
          <h2 className="text-xl">Did it help?</h2>
          <p className="mt-1">
            {disorderRow(t.disorder).label}, started on {format.day(t.openedOn)}
            {t.step > 1 && `, step ${t.step}`}. Sign of success: {t.successIs}.{' '}
            {t.stepsLeft > 0 && ' If not, the next step follows.'}
          </p>
          {weak(t.openedOn) && <p className="mt-1">{weak(t.openedOn)}</p>}
          <div className="mt-3 flex flex-wrap gap-2">
            {OUTCOMES.map((o) => (
              <Button
                key={o}
                look={o === 'worked' ? 'main' : 'plain'}
                disabled={close.isPending}
                onClick={() =>
                  close.mutate(
                    { id: t.id, outcome: o },
                    {
                      said:
                        o !== 'worked' && t.stepsLeft > 0
                          ? `Saved: ${ENDED[o]}. The next step is in Today.`
                          : `Saved: ${ENDED[o]}.`,
                    },
                  )
                }
              >
                {WORDS[o]}
              </Button>
            ))}
          </div>
        </Panel>
      ))}
      {ended.length > 0 && (
        <p className="mb-3 text-soft">
          Earlier here:{' '}
          {ended
            .map(
              (t) =>
                `${disorderRow(t.disorder).label.toLowerCase()}, closed ${format.day(t.closedOn)}: ${t.outcome ? ENDED[t.outcome] : ''}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </>
  );
}
