import { linkTo } from '../../../lib/paths';
import { GardenStart } from '../start/garden-start';
import { useWayOn } from '../../../ui/use-way-on';

export function NewGarden() {
  const goOn = useWayOn();
  return (
    <main className="mx-auto max-w-3xl p-5">
      <h1 className="text-3xl">New garden</h1>
      <p className="mt-1 mb-4 text-soft">The location decides the weather.</p>
      <GardenStart onKept={(gardenId) => void goOn(linkTo('garden', { gardenId }))} />
    </main>
  );
}
