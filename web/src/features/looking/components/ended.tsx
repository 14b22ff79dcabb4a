import type { PlantView } from '@candid-leaf/contract';
import { growingYearOf } from '@candid-leaf/core/season';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink, useMay } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { END_WORDS } from '../../../ui/plant-ends';
import { restorePlant } from '../../../data/plants';

/** Says that the page shows the plant's last day, and lets the user restore it. */
export function Ended({ view, ended }: { view: PlantView; ended: NonNullable<PlantView['ended']> }) {
  const garden = useGarden();
  const link = useLink();
  const may = useMay();
  const f = useFormat();
  const { year } = growingYearOf(view.plant.transplantedOn ?? ended.on, garden.latitude, garden.seasonMode ?? 'warm');
  const back = useWrite(restorePlant, garden.id);
  return (
    <Panel label="Archived plant" className="mb-4">
      <p>
        <strong>It ended on {f.dayAndYear(ended.on)}</strong>
        {ended.because && `: ${END_WORDS[ended.because].then}`}. You see it as it stood that day (read-only).
      </p>
      <div className="mt-1 -ml-3 flex flex-wrap print:hidden">
        <Link className={buttonLook('quiet')} to={link('season', {}, { year: String(year) })}>
          Its season
        </Link>
        <Link className={buttonLook('quiet')} to={link('plantSheet', { plantId: view.plant.id })}>
          Case sheet
        </Link>
        {may('keep') && (
          <Button
            look="quiet"
            disabled={back.isPending}
            onClick={() => back.mutate({ id: view.plant.id }, { said: `${view.plant.name} is back in the garden.` })}
          >
            It still grows
          </Button>
        )}
      </div>
    </Panel>
  );
}
