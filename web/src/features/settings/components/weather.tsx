import type { GardenDto, WeatherServiceCode, WeatherState } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { CloudDownload } from 'lucide-react';
import { pullWeather, saveGarden } from '../../../data/gardens';
import { servicesQuery } from '../../../data/weather';
import { useFormat, useMay } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Credit } from '../../../ui/credit';
import { Panel } from '../../../ui/panel';
import { PickOne } from '../../../ui/pick-one';
import { useWrite } from '../../../ui/use-write';

/** Where the weather comes from, and when it was last fetched. What went wrong stands above every page. */
export function Weather({ garden, state }: { garden: GardenDto; state: WeatherState }) {
  const pull = useWrite(pullWeather, garden.id);
  const format = useFormat();
  const may = useMay();
  const { service } = state;
  return (
    <Panel title="Weather">
      {may('keep') ? <Services garden={garden} now={service?.code ?? null} /> : <p className="mt-1">{service?.name}</p>}
      <p className="mt-3">
        {state.pulledAt
          ? `Updated ${formatDistanceToNow(parseISO(state.pulledAt), { addSuffix: true })}`
          : 'Never updated'}
        {state.newest && `; newest day ${format.day(state.newest)}`}.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        {service?.code !== 'none' && (
          <Button disabled={pull.isPending} onClick={() => pull.mutate({})}>
            <CloudDownload aria-hidden size={17} /> Update now
          </Button>
        )}
        <Credit of={service} />
      </div>
    </Panel>
  );
}

function Services({ garden, now }: { garden: GardenDto; now: WeatherServiceCode | null }) {
  const services = useQuery(servicesQuery()).data ?? [];
  const save = useWrite(saveGarden, garden.id);
  const { today: _t, ...known } = garden;
  const choose = (code: string): void => {
    const chosen = services.find((s) => s.code === code);
    if (!chosen || code === now) return;
    save.mutate(
      { garden: { ...known, weatherService: chosen.code } },
      { said: chosen.code === 'none' ? 'No service is asked any more.' : `Weather now comes from ${chosen.name}.` },
    );
  };
  return (
    <PickOne
      label="Where it comes from"
      className="mt-1"
      value={now ?? ''}
      options={services.map(({ code, name: label, says }) => ({ value: code, label, says }))}
      onChange={choose}
    />
  );
}
