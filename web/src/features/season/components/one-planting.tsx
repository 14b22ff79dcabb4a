import type { GardenView, PlantingOnView } from '@candid-leaf/contract';
import { AIM_ROWS } from '@candid-leaf/core/planning';
import { Pencil } from 'lucide-react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { deletePlanting, restorePlanting } from '../../../data/season';
import { BedFromAbove } from './bed-from-above';
import { Seedlings } from './seedlings';

interface Props {
  of: PlantingOnView;
  view: GardenView;
  past: boolean;
  onEdit: () => void;
}

/** One planting: progress, warnings, and its bed. */
export function OnePlanting({ of: p, view, past, onEdit }: Props) {
  const garden = useGarden();
  const remove = useWrite(deletePlanting, garden.id);
  const restore = useWrite(restorePlanting, garden.id);
  const { planting } = p;
  const place = view.places.find((x) => x.place.id === planting.placeId)?.place;
  const warned = p.rotation.verdict === 'soil-borne' || p.rotation.verdict === 'year-after';
  return (
    <Panel title={`${planting.count} ${p.variety}, ${p.place}`}>
      <p className="text-soft">
        <HowFar of={p} />
        {planting.aim && ` For: ${AIM_ROWS[planting.aim].label.toLowerCase()}.`}
      </p>
      {!past && planting.sownOn && !planting.plantedOn && <Seedlings planting={planting} variety={p.variety} />}
      {!planting.plantedOn && (
        <>
          <p className={warned ? 'mt-2 font-semibold text-ripe' : 'mt-2'}>{p.rotationText}</p>
          {p.warnings.map((w) => (
            <p key={w} className="mt-1 font-semibold text-ripe">
              {w}
            </p>
          ))}
          {p.gateText && <p className="mt-1">{p.gateText}</p>}
        </>
      )}
      {place && (
        <BedFromAbove
          place={place}
          count={planting.count}
          standing={p.standing}
          crop={planting.crop}
          spots={planting.spots}
        />
      )}
      {!past && !planting.plantedOn && (
        <div className="mt-1 -ml-3 flex flex-wrap">
          <Button look="quiet" onClick={onEdit} aria-label={`Edit ${p.variety}, ${p.place}`}>
            <Pencil aria-hidden size={17} /> Edit
          </Button>
          <Button
            look="quiet"
            aria-label={`Delete ${p.variety}, ${p.place}`}
            onClick={() =>
              remove.mutate(
                { id: planting.id },
                { said: `${p.variety}: deleted.`, undo: () => restore.mutate({ id: planting.id }) },
              )
            }
          >
            Delete
          </Button>
        </div>
      )}
    </Panel>
  );
}

/** One line of progress between seed and bed. */
function HowFar({ of: p }: { of: PlantingOnView }) {
  const f = useFormat();
  const { planting, seeds, hardening } = p;
  if (planting.plantedOn) return <>Planted out on {f.day(planting.plantedOn)}.</>;
  if (hardening)
    return (
      <>
        Outside by day since {f.day(planting.hardenFrom!)}; ready on {f.day(hardening.readyOn)}.
      </>
    );
  if (planting.pottedOn) return <>Potted on {f.day(planting.pottedOn)}.</>;
  if (planting.sownOn)
    return (
      <>
        Sown on {f.day(planting.sownOn)}
        {planting.cells != null && `, ${planting.cells} cells`}
        {planting.lost ? `, ${planting.lost} lost` : ''}.
      </>
    );
  return (
    <>
      Planned: {seeds.cells} cells, {seeds.seeds} seeds, two to a cell, with spares for losses.
    </>
  );
}
