import type { GardenView } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { RadioGroup } from 'radix-ui';
import { useState } from 'react';
import { useLink } from '../../lib/garden-context';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { MeasuredInput } from '../../ui/measured-input';
import { Panel } from '../../ui/panel';
import { useSay } from '../../ui/toast';
import { PlacePicture } from './place-picture';
import { PRESET_CODES, PRESETS, type PresetCode } from './presets';
import { type Age } from './age';
import { useQuickPlace } from './use-quick-place';
import { useWayOn } from '../../ui/use-way-on';

const CROPS = [
  ['tomato', 'Tomatoes'],
  ['pepper', 'Peppers'],
] as const satisfies [Crop, string][];
/** When plants went in, as people say it. */
const AGES = [
  ['today', 'Planted today'],
  ['spring', 'Some weeks ago'],
  ['half', 'Half grown'],
  ['bearing', 'Bearing fruit'],
] as const satisfies [Age, string][];
const MOST = 40;
/** Spacing between plants, m (common practice for both crops): 45 cm, or 18 inches. */
const APART_M = { cm: 0.45, in: 0.4572 };

/** Quick start: a bed or pots with plants, in one step. */
export function QuickPlace({ view }: { view: GardenView }) {
  const [preset, setPreset] = useState<PresetCode>('bed');
  const [crop, setCrop] = useState<Crop>('tomato');
  const [age, setAge] = useState<Age>('today');
  const [typed, setTyped] = useState<number | null>(null);
  const [volume, setVolume] = useState<number | null>(null);
  const { shared, facts } = PRESETS[preset];
  const usual = APART_M[view.garden.units.length];
  const [apartM, setApartM] = useState<number | null>(usual);
  const quick = useQuickPlace(view);
  const say = useSay();
  const goOn = useWayOn();
  const link = useLink();
  const count = typed ?? PRESETS[preset].plants;
  const fits = Number.isInteger(count) && count >= 1 && count <= MOST;
  const make = async () => {
    if (!fits) return;
    const made = await quick.make({
      preset,
      crop,
      age,
      count,
      apartM: apartM && apartM > 0 ? apartM : usual,
      volumeL: volume && volume > 0 ? volume : undefined,
    });
    if (!made) return;
    say(`${PRESETS[preset].label}: ${count} ${count === 1 ? 'plant' : 'plants'} in it.`);
    void goOn(link('garden', {}));
  };
  return (
    <Panel main label="Quick start">
      <RadioGroup.Root
        aria-label="Type"
        className="mt-2 grid grid-cols-3 gap-2 sm:grid-cols-4 lg:grid-cols-7"
        value={preset}
        onValueChange={(v) => {
          setPreset(v as PresetCode);
          setVolume(null);
        }}
      >
        {PRESET_CODES.map((code) => (
          <RadioGroup.Item
            key={code}
            value={code}
            className={clsx(
              'flex flex-col items-center gap-1 rounded-xl border-2 p-2 font-semibold',
              code === preset ? 'border-leaf bg-leafwash' : 'border-line bg-card hover:bg-leafwash',
            )}
          >
            <PlacePicture of={code} />
            {PRESETS[code].label}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <MeasuredInput
          className="w-28"
          label="Number of plants"
          quantity="count"
          value={count}
          min={1}
          max={MOST}
          onChange={setTyped}
        />
        <Choice label="Crop" value={crop} options={CROPS} onChange={setCrop} />
        <Choice label="Age" value={age} options={AGES} onChange={setAge} />
        {shared ? (
          <MeasuredInput className="w-36" label="Spacing" quantity="heightMetres" value={apartM} onChange={setApartM} />
        ) : (
          <MeasuredInput
            className="w-36"
            label="Litres each"
            quantity="litres"
            value={volume ?? facts.volumeL ?? null}
            onChange={setVolume}
          />
        )}
        <Button look="main" onClick={() => void make()} disabled={quick.making || !fits}>
          Create
        </Button>
      </div>
      <p className="mt-2 text-sm text-soft">Variety, soil and size can follow later.</p>
      {quick.trouble && (
        <p role="alert" className="mt-2 text-ripe">
          {quick.trouble}
        </p>
      )}
    </Panel>
  );
}
