import { EXPORTS, type ExportName } from '@candid-leaf/contract';
import { Download } from 'lucide-react';
import { useGarden } from '../../../lib/garden-context';
import { apiOf } from '../../../lib/paths';
import { buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';

const WORDS: Record<ExportName, string> = {
  places: 'Beds and pots',
  plants: 'Plants',
  waterings: 'Waterings',
  feeds: 'Feeds',
  harvest: 'Harvest',
  records: 'Everything recorded',
  weather: 'Weather',
  treatments: 'Problems and treatments',
  plantings: 'Plans',
  varieties: 'Varieties',
  products: 'Products',
  trials: 'Trials',
  photos: 'Photo list, without the pictures',
};

/** Exports everything in open formats: whole, or single tables. */
export function TakeOut() {
  const garden = useGarden();
  return (
    <Panel title="Export">
      <p className="mt-1 text-soft">
        The whole garden as one file, with photos. You can import it into an empty garden, here or elsewhere.
      </p>
      <a className={`${buttonLook('main')} mt-3`} href={`/api${apiOf(garden.id, 'file')}`} download>
        <Download aria-hidden size={18} /> Whole garden
      </a>
      <p className="mt-4 text-soft">
        Or single tables as CSV, in metric units. Waterings, feeds, harvest and weather can be imported as they are.
      </p>
      <ul className="mt-1 grid grid-cols-1 sm:grid-cols-2">
        {EXPORTS.map((name) => (
          <li key={name}>
            <a className={`${buttonLook('quiet')} -ml-4`} href={`/api${apiOf(garden.id, 'exports', name)}`} download>
              {WORDS[name]}
            </a>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
