import type { PlaceOnView, SoilProbeDto } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { useState } from 'react';
import { placeProbe, pointProbe, probesQuery } from '../../../data/weather';
import { useFormat, useMay } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { MeasuredInput } from '../../../ui/measured-input';
import { Panel } from '../../../ui/panel';
import { SelectField } from '../../../ui/select-field';
import { useWrite } from '../../../ui/use-write';

/** Soil probes that a station sends: where each stands, its two points, and what fingers say against it. */
export function SoilProbes({ gardenId, places }: { gardenId: string; places: readonly PlaceOnView[] }) {
  const probes = useQuery(probesQuery(gardenId)).data ?? [];
  if (probes.length === 0) return null;
  return (
    <Panel title="Soil probes">
      <p className="mt-1 text-soft">
        Each morning’s reading corrects the water left. Note both points: the soil dry, and a day after a soak.
      </p>
      <ul className="mt-2 divide-y divide-line">
        {probes.map((p) => (
          <Probe key={p.channel} gardenId={gardenId} probe={p} places={places} />
        ))}
      </ul>
    </Panel>
  );
}

const KIND: Record<string, string> = { moisture: 'Moisture', warmth: 'Soil temperature' };

function Probe({ gardenId, probe, places }: { gardenId: string; probe: SoilProbeDto; places: readonly PlaceOnView[] }) {
  const place = useWrite(placeProbe, gardenId);
  const point = useWrite(pointProbe, gardenId);
  const [depthCm, setDepthCm] = useState(probe.depthCm);
  const format = useFormat();
  const may = useMay();
  const [kind = '', number] = probe.channel.split('-');
  const isMoisture = kind === 'moisture';
  const put = (change: { placeId?: string | null; depthCm?: number | null }): void =>
    place.mutate({
      channel: probe.channel,
      probe: { placeId: probe.placeId, depthCm: probe.depthCm, ...change },
    });
  const note = (as: 'dry' | 'drained', said: string): void => point.mutate({ channel: probe.channel, as }, { said });
  return (
    <li className="py-3">
      <p>
        <strong>
          {KIND[kind] ?? kind} {number}
        </strong>
        : {isMoisture ? `reads ${probe.raw}` : format.temperature(probe.raw)}
        {probe.share !== null && `, ${Math.round(100 * probe.share)} % left`}
        <span className="text-soft"> · heard {formatDistanceToNow(parseISO(probe.heardAt), { addSuffix: true })}</span>
      </p>
      {probe.against && <p className="mt-1 text-ripe">{probe.against}</p>}
      {may('keep') && (
        <div className="mt-2 grid gap-3 sm:grid-cols-2">
          <SelectField
            label="Stands in"
            value={probe.placeId ?? ''}
            options={[['', 'nowhere yet'], ...places.map((p): [string, string] => [p.place.id, p.place.name])]}
            onChange={(placeId) => put({ placeId: placeId || null })}
          />
          {isMoisture && (
            // saved when the field is left: a depth is typed digit by digit
            <div onBlur={() => !Number.isNaN(depthCm) && depthCm !== probe.depthCm && put({ depthCm })}>
              <MeasuredInput label="How deep" quantity="centimetres" value={depthCm} onChange={setDepthCm} />
            </div>
          )}
        </div>
      )}
      {may('keep') && isMoisture && probe.placeId && (
        <>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button disabled={point.isPending} onClick={() => note('dry', `Dry soil reads ${probe.raw}.`)}>
              Soil is dry now
            </Button>
            <Button disabled={point.isPending} onClick={() => note('drained', `Drained soil reads ${probe.raw}.`)}>
              Soaked yesterday
            </Button>
          </div>
          <p className="mt-1 text-sm text-soft">
            {probe.dryRaw === null ? 'Dry: not noted' : `Dry: ${probe.dryRaw}`} ·{' '}
            {probe.drainedRaw === null ? 'drained: not noted' : `drained: ${probe.drainedRaw}`}
            {probe.calibratedOn && ` · ${format.day(probe.calibratedOn)}`}
          </p>
        </>
      )}
    </li>
  );
}
