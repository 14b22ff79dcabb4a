import type { GardenView, PlantingOnView, SeasonView } from '@candid-leaf/contract';
import { Pencil, Plus } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { deletePlanting, restorePlanting } from '../writes';
import { BedFromAbove } from './bed-from-above';
import { PlantingForm } from './planting-form';

/** What is planned for a season, place by place, and how far it is. */
export function Plantings({ season, view }: { season: SeasonView; view: GardenView }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <div className="flex flex-col gap-4">
      {season.plantings.length === 0 && (
        <Panel
          title={`Nothing ${season.lines.some((l) => l.bands.some((b) => b.done)) ? 'more ' : ''}is planned for ${season.season.label}`}
        >
          <p className="mt-1 max-w-prose text-soft">
            Say what is to grow where, and it is held against what stood and ailed there, the room in the bed and the
            length of the summer. Then Today asks to sow, pot on, harden and plant out, each in its time.
          </p>
        </Panel>
      )}
      {season.plantings.map((p) =>
        open === p.planting.id ? (
          <PlantingForm
            key={p.planting.id}
            planting={p.planting}
            year={season.season.year}
            view={view}
            grounds={season.grounds}
            onDone={() => setOpen(null)}
          />
        ) : (
          <OnePlanting
            key={p.planting.id}
            of={p}
            view={view}
            past={season.past}
            onEdit={() => setOpen(p.planting.id)}
          />
        ),
      )}
      {!season.past &&
        (open === 'new' ? (
          <PlantingForm
            planting={null}
            year={season.season.year}
            view={view}
            grounds={season.grounds}
            onDone={() => setOpen(null)}
          />
        ) : (
          <Button look="main" className="self-start" onClick={() => setOpen('new')}>
            <Plus aria-hidden size={18} /> Plan a planting
          </Button>
        ))}
    </div>
  );
}

interface Props {
  of: PlantingOnView;
  view: GardenView;
  past: boolean;
  onEdit: () => void;
}

function OnePlanting({ of: p, view, past, onEdit }: Props) {
  const garden = useGarden();
  const remove = useWrite(deletePlanting, garden.id);
  const restore = useWrite(restorePlanting, garden.id);
  const { planting } = p;
  const place = view.places.find((x) => x.place.id === planting.placeId)?.place;
  const warned = p.rotation.verdict === 'soil-borne' || p.rotation.verdict === 'year-after';
  return (
    <Panel title={`${planting.count} ${p.kind}, ${p.place}`}>
      <p className="text-soft">
        <HowFar of={p} />
      </p>
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
      {place && <BedFromAbove place={place} count={planting.count} crop={planting.crop} />}
      {!past && !planting.plantedOn && (
        <div className="mt-1 -ml-3 flex flex-wrap">
          <Button look="quiet" onClick={onEdit} aria-label={`Change ${p.kind}, ${p.place}`}>
            <Pencil aria-hidden size={17} /> Change
          </Button>
          <Button
            look="quiet"
            aria-label={`Leave out ${p.kind}, ${p.place}`}
            onClick={() =>
              remove.mutate(
                { id: planting.id },
                { said: `${p.kind}: left out.`, undo: () => restore.mutate({ id: planting.id }) },
              )
            }
          >
            Leave it out
          </Button>
        </div>
      )}
    </Panel>
  );
}

/** One line: where it is between seed and bed. */
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
      Planned: {seeds.cells} cells, {seeds.seeds} seeds, two to a cell, with a margin for losses.
    </>
  );
}
