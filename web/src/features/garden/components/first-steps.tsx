import type { GardenView } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { Eye, Footprints } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useFormat, useLink } from '../../../lib/garden-context';
import { linkTo } from '../../../lib/paths';
import { buttonLook, Button } from '../../../ui/button';
import { Choice } from '../../../ui/choice';
import { Panel } from '../../../ui/panel';
import { entryQuery } from '../../../data/account';
import { QuickPlace } from '../../../frame/acts/quick-place';
import { useQuickPlace } from '../../../frame/acts/use-quick-place';
import { useWayOn } from '../../../ui/use-way-on';

/** First steps in an empty garden. */
export function FirstSteps({ view }: { view: GardenView }) {
  const link = useLink();
  const demo = useQuery(entryQuery()).data?.demo;
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-xl">Add your first bed or pot</h2>
      <SickPlant view={view} />
      <QuickPlace view={view} />
      {demo && (
        <Panel title="See an example">
          <p className="mt-1 text-soft">A made-up garden in mid-season to look around in.</p>
          <Link className={`${buttonLook('plain')} mt-2`} to={linkTo('garden', { gardenId: demo })}>
            <Footprints aria-hidden size={18} /> Open the demo garden
          </Link>
        </Panel>
      )}
      <Panel title="Import">
        <p className="mt-1">
          You can import a whole garden or your own tables{' '}
          <Link className="font-semibold text-leaf underline" to={link('files', {})}>
            from a file
          </Link>
          .
        </p>
      </Panel>
    </div>
  );
}

/** Assumed size so large that it explains nothing, L. */
const ROOMY_L = 60;

/** A sick plant: added with the least facts needed, then looked over. */
function SickPlant({ view }: { view: GardenView }) {
  const format = useFormat();
  const [crop, setCrop] = useState<Crop>('tomato');
  const [where, setWhere] = useState<'pots' | 'bed'>('pots');
  const quick = useQuickPlace(view);
  const goOn = useWayOn();
  const link = useLink();
  const look = async () => {
    const made = await quick.make({
      preset: where,
      crop,
      count: 1,
      apartM: 0.5,
      ...(where === 'pots' ? { volumeL: ROOMY_L } : {}),
    });
    if (made?.[0]) void goOn(link('look', { plantId: made[0] }));
  };
  return (
    <Panel title="A plant looks sick now">
      <p className="mt-1 text-soft">
        Say what you see and get the best answer that looks alone allow. We assume a pot of {format.litres(ROOMY_L)} or
        loam in the ground; correct it later on its page. It also says which records would help.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Choice
          label="Plant"
          value={crop}
          options={[
            ['tomato', 'A tomato'],
            ['pepper', 'A pepper'],
          ]}
          onChange={setCrop}
        />
        <Choice
          label="Where it grows"
          value={where}
          options={[
            ['pots', 'in a pot'],
            ['bed', 'in the ground'],
          ]}
          onChange={setWhere}
        />
        <Button look="main" disabled={quick.making} onClick={() => void look()}>
          <Eye aria-hidden size={18} /> Look it over
        </Button>
      </div>
      {quick.trouble && (
        <p role="alert" className="mt-2 text-ripe">
          {quick.trouble}
        </p>
      )}
    </Panel>
  );
}
