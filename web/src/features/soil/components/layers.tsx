import type { PlaceDto } from '@candid-leaf/contract';
import { isPotted } from '@candid-leaf/core/records';
import { layer, percolationOf, percolationRate, type Percolation } from '@candid-leaf/core/soil';
import { useState } from 'react';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { MeasuredInput } from '../../../ui/measured-input';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { savePlace } from '../../../data/places';
import { roundTo } from '@candid-leaf/core/units';

/** Area of a usual pot, m² (judgement: a pot of 20 L is about 30 cm wide). */
const potTopM2 = (litres: number): number => 0.07 * (litres / 20) ** (2 / 3);
const DEPTH_CM = 5;
const BAG_L = 40;

/** Compost or mulch by volume, bags and barrow-loads; and the drainage test. */
export function Layers({ place, plants }: { place: PlaceDto; plants: number }) {
  const f = useFormat();
  const own = isPotted(place) ? plants * potTopM2(place.volumeL ?? 20) : (place.lengthM ?? 1) * (place.widthM ?? 1);
  const [areaM2, setArea] = useState<number | null>(roundTo(own, 2));
  const [depthCm, setDepth] = useState<number | null>(DEPTH_CM);
  const [bagL, setBag] = useState<number | null>(BAG_L);
  const v = areaM2 && depthCm && bagL ? layer(areaM2, depthCm, bagL) : null;
  return (
    <>
      <Panel title="Compost or mulch">
        <p className="mt-1 text-sm text-soft">
          Compost: about {f.centimetres(6)} before planting, {f.centimetres(2.5)} a year later. Mulch:{' '}
          {f.centimetres(6)}, away from the stems.
        </p>
        <div className="mt-2 grid grid-cols-3 gap-3">
          <MeasuredInput label="Ground" quantity="squareMetres" min={0.01} value={areaM2} onChange={setArea} />
          <MeasuredInput label="Depth" quantity="centimetres" min={0.5} max={30} value={depthCm} onChange={setDepth} />
          <MeasuredInput label="One bag" quantity="litres" min={1} value={bagL} onChange={setBag} />
        </div>
        {v && (
          <p role="status" className="mt-3 text-xl">
            <strong>{f.litres(v.litres)}</strong>: {v.bags} {v.bags === 1 ? 'bag' : 'bags'}, or {v.barrows}{' '}
            {v.barrows <= 1 ? 'barrow-load' : 'barrow-loads'}.
          </p>
        )}
      </Panel>
      {!isPotted(place) && <Percolates place={place} />}
    </>
  );
}

const WORDS: Record<Percolation, string> = {
  stands: 'Waterlogged: raise or mound the bed, and wait until the water has drained before you water.',
  slow: 'Slow: water a little at a time and add compost every year.',
  good: 'Good.',
  fast: 'Fast: it holds little water. Add compost and mulch, and water less, more often.',
};

function Percolates({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const f = useFormat();
  const save = useWrite(savePlace, garden.id);
  const [fellCm, setFell] = useState<number | null>(null);
  const [minutes, setMinutes] = useState<number | null>(60);
  const rate = fellCm && minutes ? percolationRate(fellCm, minutes) : null;
  const known = place.drainageMmPerH;
  return (
    <Panel title="Drainage test">
      <p className="mt-1 text-sm text-soft">
        Dig a hole a spade deep, fill it, let it drain and fill it again. How far does the water fall, and in how long?
        First ask where cables and pipes run.
      </p>
      {known != null && (
        <p className="mt-1">
          Here {f.rain(known)} an hour. {WORDS[percolationOf(known)]}
        </p>
      )}
      <div className="mt-2 grid grid-cols-2 gap-3">
        <MeasuredInput label="Fall" quantity="centimetres" min={0} value={fellCm} onChange={setFell} />
        <MeasuredInput label="in" quantity="minutes" min={1} value={minutes} onChange={setMinutes} />
      </div>
      {rate !== null && (
        <div role="status" className="mt-3 flex flex-wrap items-center gap-3">
          <p>
            <strong>{f.rain(rate)} an hour.</strong> {WORDS[percolationOf(rate)]}
          </p>
          <Button
            disabled={save.isPending}
            onClick={() =>
              save.mutate(
                { place: { ...asInput(place), drainageMmPerH: roundTo(rate, 1) } },
                { said: 'Saved: the water plan uses it.' },
              )
            }
          >
            Save
          </Button>
        </div>
      )}
    </Panel>
  );
}
