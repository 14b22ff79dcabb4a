import type { PlaceDto, PlacePlan } from '@candid-leaf/contract';
import { format, parseISO } from 'date-fns';
import { Download, Send, TriangleAlert } from 'lucide-react';
import { useGarden } from '../../data/garden-context';
import { useTimer } from '../../data/queries';
import { Button } from '../../parts/button';
import { useSay } from '../../parts/toast';

/** The timer on the tap: told the plan, asked what it did, and the two laid side by side. */
export function Timer({ place, p }: { place: PlaceDto; p: PlacePlan }) {
  const garden = useGarden();
  const say = useSay();
  const send = useTimer(garden.id, place.id, 'send');
  const read = useTimer(garden.id, place.id, 'read');
  const { timer } = p;
  if (!timer) return null;
  const busy = send.isPending || read.isPending;
  const told = (words: string) => (answer: PlacePlan) =>
    answer.timer?.trouble ? say(`The timer does not answer: ${answer.timer.trouble}.`, { bad: true }) : say(words);
  const at = (iso: string | null) => (iso ? format(parseISO(iso), 'd MMM HH:mm') : 'never');
  return (
    <section aria-label="Hose timer" className="rounded-2xl border border-line bg-card p-4">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-xl">Hose timer, outlet {timer.zone}</h2>
        <div className="flex flex-wrap gap-2">
          <Button
            disabled={busy}
            onClick={() =>
              send.mutate(undefined, {
                onSuccess: told('The week is on the timer.'),
                onError: (e) => say(e.message, { bad: true }),
              })
            }
          >
            <Send aria-hidden size={17} /> Send the week
          </Button>
          <Button
            look="quiet"
            disabled={busy}
            onClick={() =>
              read.mutate(undefined, {
                onSuccess: told('Read: what ran is in the records.'),
                onError: (e) => say(e.message, { bad: true }),
              })
            }
          >
            <Download aria-hidden size={17} /> Read its log
          </Button>
        </div>
      </div>
      {timer.trouble && (
        <p role="status" className="mt-2 flex items-center gap-2 font-semibold text-ripe">
          <TriangleAlert aria-hidden size={18} /> It does not answer ({timer.trouble}). What stands here is as old as
          the last time it did.
        </p>
      )}
      <p className="mt-1 text-sm text-soft">
        Told {at(timer.sentAt)}, asked {at(timer.readAt)}.
      </p>
      {timer.runs.length > 0 && (
        <ul className="mt-2 divide-y divide-line">
          {timer.runs.map((r) => (
            <li key={r.day} className="py-1.5 tabular-nums">
              <span className="inline-block w-20">{format(parseISO(r.day), 'EEE d')}</span> {Math.round(r.minutes)} min,{' '}
              {showLitres(r.litres, garden.units)}
              {r.ranLitres !== null && (
                <span className="text-soft"> · ran {showLitres(r.ranLitres, garden.units)}</span>
              )}
              {r.differs && (
                <span className="flex items-start gap-1.5 font-semibold text-ripe">
                  <TriangleAlert aria-hidden size={16} className="mt-1 shrink-0" /> Not as planned: {r.differs}.
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
