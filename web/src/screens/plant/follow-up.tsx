import { OUTCOMES, type Outcome, type PlantView } from '@candid-leaf/contract';
import { useDayWords } from '../../data/garden-context';
import { useOutcome } from '../../data/queries';
import { Button } from '../../parts/button';
import { useSay } from '../../parts/toast';

const WORDS: Record<Outcome, string> = { worked: 'It worked', 'no-change': 'No change', worse: 'It got worse' };
const ENDED: Record<Outcome, string> = { worked: 'it worked', 'no-change': 'no change', worse: 'it got worse' };

/** Asks whether it helped, once the day has come; and tells what came of earlier troubles. */
export function FollowUp({ view }: { view: PlantView }) {
  const { garden, troubles } = view;
  const dayWords = useDayWords();
  const outcome = useOutcome(garden.id);
  const say = useSay();
  const asked = troubles.filter((t) => t.closedOn === null && t.followUpOn <= garden.today);
  const ended = troubles.filter((t) => t.closedOn !== null);
  return (
    <>
      {asked.map((t) => (
        <section
          key={t.id}
          aria-label={`Did it help? ${disorderRow(t.disorder).label}`}
          className="mb-4 rounded-2xl border-2 border-leaf bg-card p-5"
        >
          <h2 className="text-2xl">Did it help?</h2>
          <p className="mt-1">
            {disorderRow(t.disorder).label}, taken on {dayWords(t.openedOn)}. It worked if {t.successIs}.
          </p>
          <div className="mt-3 flex flex-wrap gap-2">
            {OUTCOMES.map((o) => (
              <Button
                key={o}
                look={o === 'worked' ? 'main' : 'plain'}
                disabled={outcome.isPending}
                onClick={() =>
                  outcome.mutate(
                    { id: t.id, outcome: o },
                    { onSuccess: () => say(`Kept: ${ENDED[o]}.`), onError: (e) => say(e.message, { bad: true }) },
                  )
                }
              >
                {WORDS[o]}
              </Button>
            ))}
          </div>
        </section>
      ))}
      {ended.length > 0 && (
        <p className="mb-3 text-soft">
          Earlier here:{' '}
          {ended
            .map(
              (t) =>
                `${disorderRow(t.disorder).label.toLowerCase()}, closed ${dayWords(t.closedOn!)}: ${ENDED[t.outcome!]}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </>
  );
}
