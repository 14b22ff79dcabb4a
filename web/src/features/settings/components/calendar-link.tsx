import type { NewCalendarLink } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { CalendarPlus, Unlink } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { ToldOnce } from '../../../ui/told-once';
import { useWrite } from '../../../ui/use-write';
import { calendarQuery } from '../queries';
import { renewCalendar, revokeCalendar } from '../writes';

/** A link for calendar programs, told once; whoever has it can read what is due, and nothing else. */
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
          ? `A calendar program may read what is due, by a link of ${format.day(state.madeAt.slice(0, 10))}.`
          : 'Let a calendar program read what is due and the dates of the year, by a secret link.'}
      </p>
      {address && (
        <ToldOnce
          label="The link, shown this once"
          hint="Whoever has it can read it. Put it into your calendar program."
          value={address}
          copied="The link is copied."
        />
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={renew.isPending} onClick={() => void make()}>
          <CalendarPlus aria-hidden size={17} /> {state?.madeAt ? 'A new link instead' : 'Make a link'}
        </Button>
        {state?.madeAt && (
          <Button
            look="quiet"
            disabled={revoke.isPending}
            onClick={() => {
              setMade(null);
              revoke.mutate({}, { said: 'The link opens nothing any more.' });
            }}
          >
            <Unlink aria-hidden size={17} /> Take it back
          </Button>
        )}
      </div>
    </Panel>
  );
}
