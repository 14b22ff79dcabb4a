import type { GardenView, SeasonView } from '@candid-leaf/contract';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../../../ui/button';
import { OnePlanting } from './one-planting';
import { PlantingForm } from './planting-form';

/** Plantings of a season, bed by bed, with progress. */
export function Plantings({ season, view }: { season: SeasonView; view: GardenView }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <div className="flex flex-col gap-4">
      {season.plantings.length === 0 && !season.past && (
        <p className="font-head text-xl">
          Nothing {season.lines.some((l) => l.bands.some((b) => b.done)) ? 'more ' : ''}is planned for{' '}
          {season.season.label}
        </p>
      )}
      {season.plantings.map((p) =>
        open === p.planting.id ? (
          <PlantingForm
            key={p.planting.id}
            planting={p.planting}
            year={season.season.year}
            view={view}
            grounds={season.grounds}
            hottestC={season.hottestC}
            nibbled={season.nibbled}
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
            hottestC={season.hottestC}
            nibbled={season.nibbled}
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
