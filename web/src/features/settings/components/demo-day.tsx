import type { GardenDto } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { StepForward } from 'lucide-react';
import { saveGarden } from '../../../data/gardens';
import { useFormat } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';

/** The demo garden is paused on one day; this moves it on. */
export function DemoDay({ garden }: { garden: GardenDto }) {
  const save = useWrite(saveGarden, garden.id);
  const format = useFormat();
  const move = (days: number) => {
    const { today, ...input } = garden;
    save.mutate({ garden: { ...input, pinnedDate: addDays(today, days) } });
  };
  return (
    <Panel title="Demo day">
      <p className="mt-1 text-soft">This demo garden is paused on {format.day(garden.today)}.</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button disabled={save.isPending} onClick={() => move(1)}>
          <StepForward aria-hidden size={17} /> One day
        </Button>
        <Button disabled={save.isPending} onClick={() => move(7)}>
          <StepForward aria-hidden size={17} /> One week
        </Button>
      </div>
    </Panel>
  );
}
