import { EXPORTS, tableOfExport, type ExportName } from '@candid-leaf/contract';
import { TABLES } from '@candid-leaf/core/tables';
import { Download } from 'lucide-react';
import { useGarden } from '../../../lib/garden-context';
import { apiOf } from '../../../lib/paths';
import { buttonLook } from '../../../ui/button';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';

const GARDEN: readonly (readonly [ExportName, string])[] = [
  ['places', 'Beds and pots'],
  ['plants', 'Plants'],
  ['varieties', 'Varieties'],
  ['products', 'Products'],
  ['treatments', 'Problems and treatments'],
  ['plantings', 'Plans'],
  ['trials', 'Trials'],
  ['photos', 'Photo list, without the pictures'],
];
const RECORDS = EXPORTS.flatMap((name) => {
  const table = tableOfExport(name);
  return table ? [[name, TABLES[table].label] as const] : [];
});

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
        Or single tables as CSV, in metric units. Records and weather can be imported again as they are.
      </p>
      <div className="mt-1 flex flex-col">
        <Tables title="Records and weather" list={RECORDS} />
        <Tables title="Beds, plants and plans" list={GARDEN} />
      </div>
    </Panel>
  );
}

function Tables({ title, list }: { title: string; list: readonly (readonly [ExportName, string])[] }) {
  const garden = useGarden();
  return (
    <Unfold title={title} look="act">
      {() => (
        <ul aria-label={title} className="mb-2 grid grid-cols-1 sm:grid-cols-2">
          {list.map(([name, label]) => (
            <li key={name}>
              <a className={buttonLook('quiet')} href={`/api${apiOf(garden.id, 'exports', name)}`} download>
                {label}
              </a>
            </li>
          ))}
        </ul>
      )}
    </Unfold>
  );
}
