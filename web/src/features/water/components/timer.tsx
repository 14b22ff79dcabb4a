import type { PlaceDto, PlacePlanDto } from '@candid-leaf/contract';
import { format as inForm, parseISO } from 'date-fns';
import { Download, Send, TriangleAlert } from 'lucide-react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { readTimer, sendTimer } from '../../../data/water';

/** The hose timer: sends the plan, reads the log, compares both. */
export function Timer({ place, p }: { place: PlaceDto; p: PlacePlanDto }) {
  const garden = useGarden();
  const format = useFormat();
  const say = useSay();
  const send = useWrite(sendTimer, garden.id);
  const read = useWrite(readTimer, garden.id);
  const { timer } = p;
  if (!timer) return null;
  const busy = send.isPending || read.isPending;
  const answered = (words: string) => (answer: PlacePlanDto) =>
    answer.timer?.trouble ? say(`The timer does not answer: ${answer.timer.trouble}.`, { bad: true }) : say(words);
  const at = (iso: string | null) =>
    iso ? `${format.dayShort(inForm(parseISO(iso), 'yyyy-MM-dd'))} ${inForm(parseISO(iso), 'HH:mm')}` : 'never';
  return (
    <Panel label="Hose timer">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-xl">Hose timer, outlet {timer.zone}</h2>
        <div className="flex flex-wrap gap-2">
          <Button
            disabled={busy}
            onClick={() =>
              send.mutate({ placeId: place.id }, { onSuccess: answered('This week’s schedule was sent to the timer.') })
            }
          >
            <Send aria-hidden size={17} /> Send this week
          </Button>
          <Button
            look="quiet"
            disabled={busy}
            onClick={() =>
              read.mutate({ placeId: place.id }, { onSuccess: answered('The timer’s log is now in the records.') })
            }
          >
            <Download aria-hidden size={17} /> Read log
          </Button>
        </div>
      </div>
      {timer.trouble && (
        <p role="status" className="mt-2 flex items-center gap-2 font-semibold text-ripe">
          <TriangleAlert aria-hidden size={18} /> It does not answer ({timer.trouble}). This is its last known state.
        </p>
      )}
      <p className="mt-1 text-sm text-soft">
        Sent {at(timer.sentAt)}, read {at(timer.readAt)}.
      </p>
      {timer.runs.length > 0 && (
        <ul className="mt-2 divide-y divide-line">
          {timer.runs.map((r) => (
            <li key={r.day} className="py-1.5 tabular-nums">
              <span className="inline-block w-20">{format.weekdayShort(r.day)}</span> {Math.round(r.minutes)} min,{' '}
              {format.litres(r.litres)}
              {r.ranLitres !== null && <span className="text-soft"> · ran {format.litres(r.ranLitres)}</span>}
              {r.differs && (
                <span className="flex items-start gap-1.5 font-semibold text-ripe">
                  <TriangleAlert aria-hidden size={16} className="mt-1 shrink-0" /> Different from the plan: {r.differs}
                  .
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}
