import { GardenPage } from '../../../frame/garden-page';
import { useMay } from '../../../lib/garden-context';
import { BringIn } from '../components/bring-in';
import { BroughtIn } from '../components/brought-in';
import { TakeOut } from '../components/take-out';
import { WholeGarden } from '../components/whole-garden';

/** The import and export page. */
export function FilesScreen() {
  return (
    <GardenPage narrow title={() => 'Import and export'}>
      {(view) => <Files empty={view.places.length === 0} />}
    </GardenPage>
  );
}

function Files({ empty }: { empty: boolean }) {
  const may = useMay();
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      {may('keep') && (
        <div className="flex min-w-0 flex-col gap-4">
          {empty && <WholeGarden />}
          <BringIn />
          <BroughtIn />
        </div>
      )}
      <TakeOut />
    </div>
  );
}
