import type { GardenDto, WeatherState } from '@candid-leaf/contract';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { CloudDownload } from 'lucide-react';
import { pullWeather } from '../../../data/gardens';
import { useFormat } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';

/** When the weather was last fetched, and what went wrong. */
export function Weather({ garden, state }: { garden: GardenDto; state: WeatherState }) {
  const pull = useWrite(pullWeather, garden.id);
  const format = useFormat();
  return (
    <Panel title="Weather">
      <p className="mt-1">
        {state.pulledAt
          ? `Updated ${formatDistanceToNow(parseISO(state.pulledAt), { addSuffix: true })}`
          : 'Never updated'}
        {state.newest && `; newest day ${format.day(state.newest)}`}.
      </p>
      {state.trouble && <p className="text-ripe">The weather station does not answer: {state.trouble}.</p>}
      <Button className="mt-3" disabled={pull.isPending} onClick={() => pull.mutate({})}>
        <CloudDownload aria-hidden size={17} /> Update now
      </Button>
    </Panel>
  );
}
