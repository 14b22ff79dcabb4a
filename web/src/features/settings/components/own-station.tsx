import type { GardenDto, NewStation, OwnStationDto } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { RadioTower, Unlink } from 'lucide-react';
import { useState } from 'react';
import { connectStation, removeStation, settleStation, stationQuery } from '../../../data/weather';
import { useFormat, useMay } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { ShownOnce } from '../../../ui/shown-once';
import { Failed, Waiting } from '../../../ui/states';
import { useWrite } from '../../../ui/use-write';

const AND = new Intl.ListFormat('en');

/** The garden's own weather station: its key, what it sends, and what is wrong with it. */
export function OwnStation({ garden }: { garden: GardenDto }) {
  const asked = useQuery(stationQuery(garden.id));
  return (
    <Panel title="Your own station">
      {asked.isPending ? (
        <Waiting what="Asking" />
      ) : asked.error ? (
        <Failed error={asked.error} again={() => void asked.refetch()} />
      ) : (
        <Station garden={garden} station={asked.data.station} />
      )}
    </Panel>
  );
}

function Station({ garden, station }: { garden: GardenDto; station: OwnStationDto | null }) {
  const connect = useWrite(connectStation, garden.id);
  const remove = useWrite(removeStation, garden.id);
  const [made, setMade] = useState<NewStation | null>(null);
  const may = useMay();
  return (
    <>
      <p className="mt-1 text-soft">
        {station
          ? 'What it measures comes before the service. Its rain counts from the first day.'
          : 'A station, a gateway or a sensor in your garden can send its readings here.'}
      </p>
      {station && <Heard station={station} />}
      {station?.asks && <Question garden={garden} asks={station.asks} />}
      {made && <HowTo station={made} />}
      {may('keep') && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Button disabled={connect.isPending} onClick={() => void connect.send({}).then(setMade, () => undefined)}>
            <RadioTower aria-hidden size={17} /> {station ? 'Make a new key' : 'Connect a station'}
          </Button>
          {station && (
            <Button
              look="quiet"
              disabled={remove.isPending}
              onClick={() => {
                setMade(null);
                remove.mutate({}, { said: 'The station’s key no longer works.' });
              }}
            >
              <Unlink aria-hidden size={17} /> Disconnect
            </Button>
          )}
        </div>
      )}
    </>
  );
}

function Heard({ station: { heardAt, sends, trouble } }: { station: OwnStationDto }) {
  const ago = heardAt && formatDistanceToNow(parseISO(heardAt), { addSuffix: true });
  return (
    <>
      <p className="mt-2">
        {ago ? `Heard ${ago}${sends.length > 0 ? `: ${AND.format(sends)}` : ''}.` : 'Nothing heard yet.'}
      </p>
      {trouble && <p className="mt-1 text-ripe">{trouble}</p>}
    </>
  );
}

function Question({ garden, asks }: { garden: GardenDto; asks: NonNullable<OwnStationDto['asks']> }) {
  const settle = useWrite(settleStation, garden.id);
  const format = useFormat();
  const answer = (reading: Parameters<typeof settle.mutate>[0]['reading'], said: string): void =>
    settle.mutate({ reading }, { said });
  return (
    <div role="group" aria-label="A question about your station" className="mt-3 rounded-xl border border-line p-3">
      <p className="font-semibold">
        Your station says {format.temperature(asks.stationC)}, the service {format.temperature(asks.serviceC)}.
      </p>
      <p className="mt-1">
        {asks.reading === 'as-sent'
          ? 'Is it in the sun, or beside a wall? Until you answer, its days are not used.'
          : 'It may send the wrong unit. Until you answer, its days are not used.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {asks.reading === 'fahrenheit' && (
          <Button onClick={() => answer('fahrenheit', 'We read its numbers as °F.')}>It sends °F as °C</Button>
        )}
        {asks.reading === 'celsius-as-fahrenheit' && (
          <Button onClick={() => answer('celsius-as-fahrenheit', 'We read its numbers as °C.')}>
            It sends °C as °F
          </Button>
        )}
        <Button look="quiet" onClick={() => answer('as-sent', 'Its days count as they are.')}>
          It is right
        </Button>
      </div>
    </div>
  );
}

/** What to enter at the station, for each way it may send. */
function HowTo({ station: { key } }: { station: NewStation }) {
  const { host, origin } = window.location;
  return (
    <>
      <ShownOnce
        label="The station’s key, shown only once"
        hint="Anyone with the key can send readings to this garden."
        value={key}
        copied="Key copied."
      />
      <dl className="mt-3 grid gap-2 text-sm [&_code]:break-all [&_dd]:text-soft [&_dt]:font-semibold">
        <div>
          <dt>A station with “customised upload”</dt>
          <dd>
            Server <code>{host}</code>, path <code>/weatherstation/updateweatherstation.php</code>, any ID, the key as
            password.
          </dd>
        </div>
        <div>
          <dt>A gateway that posts a form</dt>
          <dd>
            Server <code>{host}</code>, path <code>/api/stations/{key}/report</code>.
          </dd>
        </div>
        <div>
          <dt>A sensor over MQTT</dt>
          <dd>
            Topic <code>candid-leaf/{key}/temperature_c</code>, also <code>humidity_pct</code>, <code>rain_mm</code>,{' '}
            <code>wind_ms</code>, <code>sun_wm2</code>.
          </dd>
        </div>
        <div>
          <dt>A script</dt>
          <dd>
            <code>
              curl -d &quot;tempf=71.2&amp;humidity=60&amp;dateutc=now&quot; {origin}/api/stations/{key}/report
            </code>
          </dd>
        </div>
      </dl>
    </>
  );
}
