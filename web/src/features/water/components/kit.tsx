import type { PlaceDto, PlacePlanDto } from '@candid-leaf/contract';
import { EMITTER_L_H, emittersFor, startsInHeat, WATER_KIT } from '@candid-leaf/core/water';
import { useFormat } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';

/** The kit that waters a bed or pot: what its timer gives now and gave before, and how kit is made and chosen. */
export function Kit({ place, p }: { place: PlaceDto; p: PlacePlanDto }) {
  const f = useFormat();
  const own = WATER_KIT.filter((k) => k.irrigation === place.irrigation);
  const shown = own.length > 0 ? own : WATER_KIT;
  const [now, ...before] = p.timerGives;
  const perDay = (litres: number | null): string => (litres === null ? 'amount unknown' : `${f.litres(litres)} a day`);
  return (
    <Panel title="Water kit">
      {now && (
        <p className="mt-1">
          Timer since {f.day(now.since)}: {perDay(now.litresPerDay)} for each plant
          {before[0] && `; before that ${perDay(before[0].litresPerDay)}`}.
          {startsInHeat(now.startHour) && ' It starts in the heat of the day: before sunrise less is lost.'}
        </p>
      )}
      {p.hotDayL !== null && (own.length === 0 || place.irrigation === 'drip') && (
        <p className="mt-1">
          On its hottest day a plant used {f.litres(p.hotDayL)}. <Emitters litres={p.hotDayL} />
        </p>
      )}
      <Unfold
        look="act"
        title={own.length > 0 ? `About the ${own[0]!.label.toLowerCase()}` : 'Drip, soaker or bottle?'}
      >
        {() => (
          <dl className="flex flex-col gap-3">
            {shown.map((k) => (
              <div key={k.irrigation}>
                <dt className="font-semibold">{k.label}</dt>
                <dd>
                  <p>{k.line}</p>
                  <ul className="list-disc pl-5">
                    {k.steps.map((step) => (
                      <li key={step}>{step}</li>
                    ))}
                  </ul>
                </dd>
              </div>
            ))}
          </dl>
        )}
      </Unfold>
    </Panel>
  );
}

function Emitters({ litres }: { litres: number }) {
  const f = useFormat();
  const { count, minutes } = emittersFor(litres);
  return `${count === 1 ? 'One emitter' : `${count} emitters`} of ${f.litres(EMITTER_L_H)} an hour ${count === 1 ? 'replaces' : 'replace'} that in ${minutes} minutes.`;
}
