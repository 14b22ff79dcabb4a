import type { MyGarden } from '@candid-leaf/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { DoorOpen } from 'lucide-react';
import { useState } from 'react';
import { api } from '../../../lib/api';
import { useGarden, useMay } from '../../../lib/garden-context';
import { apiOf, ROUTES } from '../../../lib/paths';
import { queryKeys } from '../../../lib/query-keys';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { accountHere } from '../../../offline/account';
import { peopleQuery } from '../../../data/people';
import { useWayOn } from '../../../ui/use-way-on';

/** Leaving a garden; its only manager must hand it over first. */
export function Leave() {
  const garden = useGarden();
  const may = useMay();
  const say = useSay();
  const client = useQueryClient();
  const goOn = useWayOn();
  const [sure, setSure] = useState(false);
  const members = useQuery(peopleQuery(garden.id)).data?.members ?? [];
  const others = members.filter((m) => m.role === 'keep' && m.id !== accountHere());
  const alone = may('keep') && others.length === 0;
  const leave = async (): Promise<void> => {
    try {
      await api('POST', apiOf(garden.id, 'leave'));
      client.setQueryData<MyGarden[]>(queryKeys.gardens, (old) => old?.filter((g) => g.id !== garden.id));
      await goOn(ROUTES.home);
      // remove its data from the device
      client.removeQueries({ queryKey: queryKeys.garden(garden.id) });
      client.removeQueries({ queryKey: queryKeys.plan(garden.id) });
    } catch (error) {
      say((error as Error).message, { bad: true });
    }
  };
  return (
    <Panel title="Leave this garden">
      {alone ? (
        <p className="mt-1 text-soft">You are the only manager. Make someone else a manager first.</p>
      ) : (
        <>
          <p className="mt-1 text-soft">Your records stay here, with your name.</p>
          {sure ? (
            <div className="mt-2 flex flex-wrap gap-2">
              <Button look="urgent" onClick={() => void leave()}>
                Leave {garden.name}
              </Button>
              <Button look="quiet" onClick={() => setSure(false)}>
                Cancel
              </Button>
            </div>
          ) : (
            <Button className="mt-2" onClick={() => setSure(true)}>
              <DoorOpen aria-hidden size={17} /> Leave garden
            </Button>
          )}
        </>
      )}
    </Panel>
  );
}
