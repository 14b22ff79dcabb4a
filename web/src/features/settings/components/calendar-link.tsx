import type { NewCalendarLink } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { CalendarPlus, Unlink } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { ShownOnce } from '../../../ui/shown-once';
import { useWrite } from '../../../ui/use-write';
import { calendarQuery } from '../../../data/settings';
import { renewCalendar, revokeCalendar } from '../../../data/settings';

/** A link for calendar programs, shown once; it lets anyone with it read the tasks only. */
export function CalendarLink() {
  const garden = useGarden();
  const format = useFormat();
  const state = useQuery(calendarQuery(garden.id)).data;
  const renew = useWrite(renewCalendar, garden.id);
  const revoke = useWrite(revokeCalendar, garden.id);
  const [made, setMade] = useState<NewCalendarLink | null>(null);
  const address = made && `${location.origin}${made.path}`;
  const make = async () => setMade(await renew.send({}));
  return (
    <Panel title="Calendar">
      <p className="mt-1 text-soft">
        {state?.madeAt
          ? `Since ${format.day(state.madeAt.slice(0, 10))} a calendar program can read your tasks by a secret link.`
          : 'Let a calendar program show your tasks and the season’s dates, by a secret link.'}
      </p>
      {address && (
        <ShownOnce
          label="The link, shown only once"
          hint="Add it to your calendar program. Anyone with the link can read it."
          value={address}
          copied="Link copied."
        />
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={renew.isPending} onClick={() => void make()}>
          <CalendarPlus aria-hidden size={17} /> {state?.madeAt ? 'Replace the link' : 'Create link'}
        </Button>
        {state?.madeAt && (
          <Button
            look="quiet"
            disabled={revoke.isPending}
            onClick={() => {
              setMade(null);
              revoke.mutate({}, { said: 'The link no longer works.' });
            }}
          >
            <Unlink aria-hidden size={17} /> Remove link
          </Button>
        )}
      </div>
    </Panel>
  );
}
