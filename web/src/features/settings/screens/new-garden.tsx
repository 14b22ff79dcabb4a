import { v7 as uuid } from 'uuid';
import { savePlace } from '../../../data/places';
import { savePlant } from '../../../data/plants';
import { saveRecord } from '../../../data/records';
import { linkTo } from '../../../lib/paths';
import { inputsOf, noteTried, triedHere } from '../../../lib/tried';
import { GardenStart } from '../start/garden-start';
import { useSay } from '../../../ui/toast';
import { useWayOn } from '../../../ui/use-way-on';

/** What was tried before the sign-up becomes the first plant. Returns the page to open. */
async function beginWithTried(gardenId: string): Promise<string> {
  const tried = triedHere();
  if (!tried || tried.signs.length === 0) return linkTo('garden', { gardenId });
  const ids = { place: uuid(), plant: uuid(), look: uuid() };
  const { place, plant, look } = inputsOf(tried, ids);
  await savePlace.send({ gardenId, place });
  await savePlant.send({ gardenId, plant });
  await saveRecord.send({ gardenId, record: look });
  noteTried(null);
  return linkTo('plant', { gardenId, plantId: ids.plant });
}

export function NewGarden() {
  const goOn = useWayOn();
  const say = useSay();
  const begin = async (gardenId: string): Promise<void> => {
    const to = await beginWithTried(gardenId).catch((error: Error) => {
      say(`The plant you looked over could not be saved: ${error.message}`, { bad: true });
      return linkTo('garden', { gardenId });
    });
    await goOn(to);
  };
  return (
    <main className="mx-auto max-w-3xl p-5">
      <h1 className="text-3xl">New garden</h1>
      <p className="mt-1 mb-4 text-soft">The location decides the weather.</p>
      <GardenStart onKept={(gardenId) => void begin(gardenId)} />
    </main>
  );
}
