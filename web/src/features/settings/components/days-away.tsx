import { AwayDays, type GardenDto } from '@candid-leaf/contract';
import { CalendarOff, Trash2 } from 'lucide-react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { useFormat, useLink } from '../../../lib/garden-context';
import { FormDayField } from '../../../ui/day-field';
import { Button, buttonLook } from '../../../ui/button';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../../data/gardens';

/** Days away: no walks are due, the first one afterwards starts with the pots, and there is a list for a helper. */
export function DaysAway({ garden }: { garden: GardenDto }) {
  const save = useWrite(saveGarden, garden.id);
  const format = useFormat();
  const link = useLink();
  const say = useSay();
  const { today, ...input } = garden;
  const away = (garden.away ?? []).filter((a) => a.to >= today);
  const { control, handleSubmit, setError, reset, formState } = useForm<AwayDays>({
    resolver: resolverFor(AwayDays),
    defaultValues: { from: '', to: '' },
  });
  const keep = (list: readonly AwayDays[]) => save.send({ garden: { ...input, away: [...list] } });
  const add = handleSubmit(async (days) => {
    try {
      await keep([...away, days]);
      reset();
      say('Days away: saved.');
    } catch (error) {
      applyFaults(error, setError, (path) => path.replace(/^away\[\d+\]\./, ''));
    }
  });
  return (
    <Panel title="Days away">
      <p className="mt-1 text-soft">
        While you are away no walks are due; when you return, the first walk starts with the pots.
      </p>
      {away.length > 0 && (
        <ul className="mt-2 divide-y divide-line">
          {away.map((a) => (
            <li key={`${a.from} ${a.to}`} className="flex items-center justify-between gap-2 py-1">
              <span>
                {format.day(a.from)} to {format.day(a.to)}
              </span>
              <Button
                look="quiet"
                aria-label={`Remove ${format.day(a.from)} to ${format.day(a.to)}`}
                onClick={() => void keep(away.filter((x) => x !== a))}
              >
                <Trash2 aria-hidden size={17} />
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form noValidate onSubmit={(ev) => void add(ev)} className="mt-3 flex flex-col gap-3">
        <div className="grid grid-cols-2 gap-3">
          <FormDayField control={control} name="from" label="From" min={today} />
          <FormDayField control={control} name="to" label="To" min={today} />
        </div>
        <RootFault errors={formState.errors} />
        <div className="flex flex-wrap gap-2">
          <Button type="submit" disabled={formState.isSubmitting}>
            <CalendarOff aria-hidden size={17} /> Add days away
          </Button>
          {away.length > 0 && (
            <Link className={buttonLook('quiet')} to={link('whileAway', {})}>
              Watering list for a helper
            </Link>
          )}
        </div>
      </form>
    </Panel>
  );
}
