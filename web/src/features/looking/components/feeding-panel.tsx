import type { PlantView } from '@candid-leaf/contract';
import type { FeedOutlook } from '@candid-leaf/core/care';
import { NotebookPen, Wheat } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { useDeleteWithUndo } from '../../../frame/acts/use-delete-with-undo';
import { saveRecord } from '../../../data/records';

const SupplyChart = lazy(() => import('./supply-chart'));

/** Feeding: given, released and washed-out nitrogen compared with need; and the next feed, or why there is none. */
export function FeedingPanel({ view }: { view: PlantView }) {
  const format = useFormat();
  const { plan, text, story, outlook } = view.feeding;
  const now = story?.days.at(-1);
  return (
    <Panel title="Feeding">
      <p className="mt-1">{sentence(text)}</p>
      {plan.kind === 'ask' && <Ask view={view} />}
      {story && now && (
        <>
          <dl className="mt-3 flex flex-wrap gap-x-6 gap-y-1 tabular-nums">
            {(
              [
                ['Nitrogen given', now.given],
                ['released so far', now.freed],
                ['from the soil or mix', now.soil],
                ['washed out', story.washingKnown ? now.washed : null],
              ] as const
            ).map(([what, grams]) => (
              <div key={what}>
                <dt className="text-sm text-soft">{what}</dt>
                <dd className="font-semibold">{grams === null ? 'not known' : format.nutrient(grams)}</dd>
              </div>
            ))}
            <div>
              <dt className="text-sm text-soft">taken up for a good crop</dt>
              <dd className="font-semibold">
                {format.nutrient(now.takenLow)} to {format.nutrient(now.takenHigh)}
              </dd>
            </div>
          </dl>
          <Suspense fallback={<div className="h-48" />}>
            <SupplyChart story={story} outlook={outlook} />
          </Suspense>
          {outlook && <Comes outlook={outlook} />}
          <p className="text-sm text-soft">
            Estimated for {format.kilograms(story.fruitKg[0])} to {format.kilograms(story.fruitKg[1])} of fruit in a
            usual summer, adjusted to the light and warmth here. The soil or mix supplies the usual amount. More
            nitrogen makes leaves, not fruit.
          </p>
        </>
      )}
    </Panel>
  );
}

/** What the season's feeds come to, beside the need. */
function Comes({ outlook: { feeds, end, days } }: { outlook: FeedOutlook }) {
  const format = useFormat();
  const { supply, low, high } = days.at(-1)!;
  return (
    <p className="mt-1">
      {feeds === 0 ? 'No more feeds are planned' : feeds === 1 ? 'With one more feed' : `With ${feeds} more feeds`}
      {feeds === 0 ? '. It' : ', it'} gets {format.nutrient(supply)} of nitrogen by {format.day(end)}. A good crop needs{' '}
      {format.nutrient(low)} to {format.nutrient(high)}.
    </p>
  );
}

/** The gentlest question: not recorded does not mean not given. */
function Ask({ view: { plant } }: { view: PlantView }) {
  const garden = useGarden();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const [open, setOpen] = useState(false);
  const none = () => {
    const id = uuid();
    save.mutate(
      {
        record: {
          id,
          type: 'feeding',
          plantId: plant.id,
          placeId: null,
          data: { date: garden.today, n: 0, p2o5: 0, k2o: 0, grams: 0 },
        },
      },
      { said: 'Recorded: no feeding so far.', undo: () => remove(id) },
    );
  };
  return (
    <div className="mt-2 flex flex-wrap gap-2 print:hidden">
      <Button onClick={() => setOpen(true)}>
        <Wheat aria-hidden size={17} /> It was fed
      </Button>
      <Button onClick={none} disabled={save.isPending}>
        <NotebookPen aria-hidden size={17} /> Not fed so far
      </Button>
      <RecordSheet
        open={open}
        onClose={() => setOpen(false)}
        target={{ plantId: plant.id, placeId: null, name: plant.name }}
        day={garden.today}
        kinds={['feeding']}
      />
    </div>
  );
}
