import type { PourDto } from '@candid-leaf/contract';
import type { Away } from '@candid-leaf/core/walks';
import type { Formatter } from '@candid-leaf/core/units';

type Planned = Pick<PourDto, 'id' | 'plants' | 'known' | 'plan'>;

interface Props {
  plan: { together: boolean; pours: readonly Planned[] } | undefined;
  away: Away;
  format: Formatter;
}

/** What the one plan says about a bed in those days. */
export function Waterings({ plan, away, format }: Props) {
  if (!plan || plan.pours.length === 0) return <p className="text-soft">Nothing to water.</p>;
  return (
    <ul className="mt-1">
      {plan.pours.map((pour) => (
        <li key={pour.id}>
          {!plan.together && <strong>{pour.plants.join(', ')}: </strong>}
          <OnePour pour={pour} away={away} format={format} />
        </li>
      ))}
    </ul>
  );
}

/** The plan's days within the absence, and the rhythm for those beyond the week. */
function OnePour({ pour, away, format }: { pour: Planned; away: Away; format: Formatter }) {
  const { plan } = pour;
  if (!pour.known || !plan)
    return <>not recorded: push a finger in two knuckles deep each morning, and water slowly if it is dry.</>;
  const n = pour.plants.length;
  const days = plan.days.filter((d) => d.litres > 0 && d.date >= away.from && d.date <= away.to);
  const last = plan.days.at(-1)?.date ?? away.from;
  const goesOn = away.to > last && plan.rhythm;
  const amount = (litres: number): string =>
    n === 1 ? format.litres(litres) : `${format.litres(litres * n)} in total, ${format.litres(litres)} per plant`;
  if (days.length === 0 && !goesOn) return <>no watering planned; look at it once.</>;
  return (
    <span className="tabular-nums">
      {days.map((d) => `${format.weekdayAndDay(d.date)}: ${amount(d.litres)}`).join('; ')}
      {goesOn && plan.rhythm && (
        <>
          {days.length > 0 && '; then '}
          {amount(plan.rhythm.litres)}{' '}
          {plan.rhythm.everyDays === 1 ? 'every day' : `every ${plan.rhythm.everyDays} days`}
        </>
      )}
      .
    </span>
  );
}
