import { GardenInput, type TownDto, type WeatherServiceCode } from '@candid-leaf/contract';
import { usualFrosts } from '@candid-leaf/core/climate';
import { RefusedInput, checked } from '@candid-leaf/core/records';
import { LocateFixed } from 'lucide-react';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { ApiError } from '../../../lib/api';
import { sentence } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { Choice } from '../../../ui/choice';
import { faultsIn } from '../../../ui/faults';
import { TextField } from '../../../ui/field';
import { MeasuredInput } from '../../../ui/measured-input';
import { MonthDayField } from '../../../ui/month-day-field';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../../data/gardens';
import { UNIT_SETS, waysOf, type UnitSet } from '../../../lib/own-ways';
import { townNear } from '../../../data/towns';
import { TownField, townInWords } from './town-field';
import { frostsQuery, servicesQuery } from '../../../data/weather';
import { SelectField } from '../../../ui/select-field';
import { useQuery } from '@tanstack/react-query';
import { roundTo } from '@candid-leaf/core/units';

/** Heights by description, m (judgement: the middle of what the words mean). */
const HEIGHTS = { sea: 5, low: 100, hills: 350, mountains: 900 } as const;
type Height = keyof typeof HEIGHTS | 'known';
const HEIGHT_WORDS: [Height, string][] = [
  ['sea', 'By the sea'],
  ['low', 'Low land'],
  ['hills', 'Hills'],
  ['mountains', 'Mountains'],
  ['known', 'I know it'],
];
type Frosts = { lastFrost: string | null; firstFrost: string | null };
const NO_FROST: Frosts = { lastFrost: null, firstFrost: null };

/** Returns an error about a point with the field's name. */
function inASentence(error: ApiError): string {
  const [fault] = error.faults;
  return fault ? sentence(`${fault.path} ${fault.reason}`) : error.message;
}

/** A garden in a minute: location by town; everything else is suggested and editable. */
export function GardenStart({ onKept }: { onKept: (gardenId: string) => void }) {
  const [id] = useState(() => uuid());
  const [ways] = useState(() => waysOf(navigator.language));
  const [name, setName] = useState('My garden');
  const [town, setTown] = useState<TownDto | null>(null);
  const [byNumbers, setByNumbers] = useState(false);
  const [point, setPoint] = useState<{ latitude: number | null; longitude: number | null }>({
    latitude: null,
    longitude: null,
  });
  const [height, setHeight] = useState<Height>('low');
  const [elevation, setElevation] = useState<number | null>(null);
  const [own, setOwn] = useState<Partial<Frosts>>({});
  const services = useQuery(servicesQuery()).data ?? [];
  const [chosen, setChosen] = useState<WeatherServiceCode | null>(null);
  const service = chosen ?? services.find((s) => s.proposed)?.code ?? null;
  const [units, setUnits] = useState<UnitSet>(ways.units);
  const [faults, setFaults] = useState<Record<string, string>>({});
  const [trouble, setTrouble] = useState<string | null>(null);
  const save = useWrite(saveGarden, id);
  const elevationM = height === 'known' ? elevation : HEIGHTS[height];
  const at3d = town && elevationM !== null && !Number.isNaN(elevationM) ? { ...town, elevationM } : null;
  const measured = useQuery(frostsQuery(at3d, service)).data?.frosts ?? null;
  const proposed: Frosts = measured ?? (at3d && usualFrosts(at3d.latitude, at3d.elevationM)) ?? NO_FROST;
  const frosts = { lastFrost: proposed.lastFrost, firstFrost: proposed.firstFrost, ...own };
  const frost = (which: keyof Frosts, label: string) => (
    <MonthDayField
      label={label}
      value={frosts[which]}
      about={own[which] === undefined}
      onChange={(day) => setOwn((o) => ({ ...o, [which]: day }))}
      none="no frost here"
      dateForm={ways.dateForm}
      weekStart={ways.weekStart}
      error={faults[which]}
    />
  );
  const locate = () =>
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => void at(coords.latitude, coords.longitude),
      () => setTrouble('This device does not share its location. Type the nearest town instead.'),
    );
  const at = async (latitude: number, longitude: number): Promise<void> => {
    try {
      setTown(await townNear(roundTo(latitude, 3), roundTo(longitude, 3)));
      setTrouble(null);
    } catch (error) {
      setTrouble(
        error instanceof ApiError
          ? inASentence(error)
          : 'We can’t reach the server. Check your connection and try again.',
      );
    }
  };
  const keep = async () => {
    if (!town) return setFaults({ town: 'We need the location: it decides how fast water evaporates.' });
    const garden = {
      id,
      name: name.trim(),
      latitude: town.latitude,
      longitude: town.longitude,
      elevationM,
      timeZone: town.timeZone,
      ...frosts,
      units: UNIT_SETS[units],
      weekStart: ways.weekStart,
      dateForm: ways.dateForm,
      weatherService: service,
    };
    try {
      await save.send({ garden: checked(GardenInput, garden) });
      onKept(id);
    } catch (error) {
      const found = error instanceof RefusedInput ? error.faults : faultsIn(error as Error);
      setFaults(Object.fromEntries(found.map((f) => [f.path, f.reason])));
    }
  };
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <Panel title="Location">
        <div className="mt-2 grid gap-4 lg:grid-cols-2">
          <TownField onChoose={setTown} error={faults.town} />
          <TextField
            label="Name of the garden"
            value={name}
            error={faults.name}
            onChange={(e) => setName(e.target.value)}
          />
        </div>
        {town && (
          <p role="status" className="mt-2">
            <strong>{townInWords(town)}</strong>
            <span className="text-soft"> · time zone {town.timeZone.replaceAll('_', ' ')}</span>
          </p>
        )}
        <div className="mt-2 -ml-3 flex flex-wrap gap-1">
          {'geolocation' in navigator && (
            <Button look="quiet" onClick={locate}>
              <LocateFixed aria-hidden size={18} /> Use this device’s location
            </Button>
          )}
          {!byNumbers && (
            <Button look="quiet" onClick={() => setByNumbers(true)}>
              Enter coordinates
            </Button>
          )}
        </div>
        {byNumbers && (
          <div className="mt-2 flex flex-wrap items-end gap-3">
            <MeasuredInput
              label="Latitude"
              quantity="degrees"
              hint="South is negative"
              value={point.latitude}
              onChange={(latitude) => setPoint((p) => ({ ...p, latitude }))}
            />
            <MeasuredInput
              label="Longitude"
              quantity="degrees"
              hint="West is negative"
              value={point.longitude}
              onChange={(longitude) => setPoint((p) => ({ ...p, longitude }))}
            />
            <Button
              className="mb-6"
              onClick={() =>
                point.latitude !== null && point.longitude !== null && void at(point.latitude, point.longitude)
              }
            >
              Use these
            </Button>
          </div>
        )}
        {trouble && (
          <p role="alert" className="mt-1 text-ripe">
            {trouble}
          </p>
        )}
        <p className="mt-4 mb-1 font-semibold">Height above sea level</p>
        <Choice
          label="Height above sea level"
          className="max-sm:grid max-sm:grid-cols-2 max-sm:[&>:last-child]:col-span-2 max-sm:[&>:nth-child(n+3)]:border-t"
          value={height}
          options={HEIGHT_WORDS}
          onChange={setHeight}
        />
        {height === 'known' && (
          <MeasuredInput
            className="mt-2 max-w-60"
            label="Elevation"
            quantity="elevationMetres"
            value={elevation}
            onChange={setElevation}
            error={faults.elevationM}
          />
        )}
        {services.length > 0 && (
          <SelectField
            label="Weather from"
            className="mt-4"
            value={service ?? ''}
            options={services.map(({ code, name: label }): [string, string] => [code, label])}
            hint={services.find((s) => s.code === service)?.says}
            onChange={(code) => setChosen(code as WeatherServiceCode)}
          />
        )}
      </Panel>
      <Panel title="Frost">
        <p className="mt-1 text-soft">
          {measured
            ? `From ${measured.years} years of weather at this place. If you know better, change it.`
            : 'Estimated. If you know better, change it.'}
        </p>
        <div className="mt-2 grid gap-4 sm:grid-cols-2">
          {frost('lastFrost', 'Usual last frost')}
          {frost('firstFrost', 'Usual first frost')}
        </div>
      </Panel>
      <Panel title="Amounts">
        <Choice
          label="Amounts"
          className="mt-2"
          value={units}
          options={[
            ['metric', 'Metric'],
            ['us', 'US'],
            ['imperial', 'Imperial'],
          ]}
          onChange={setUnits}
        />
      </Panel>
      {Object.entries(faults)
        .filter(([path]) => !['town', 'name', 'lastFrost', 'firstFrost', 'elevationM'].includes(path))
        .map(([path, reason]) => (
          <p key={path} role="alert" className="text-ripe">
            {path ? `${path} ` : ''}
            {reason}
          </p>
        ))}
      <Button type="submit" look="main" className="self-start" disabled={save.isPending}>
        {save.isPending ? 'Fetching its weather …' : 'Create garden'}
      </Button>
    </form>
  );
}
