import type { SeasonView } from '@candid-leaf/contract';
import { DATE_WORDS } from '@candid-leaf/core/planning';
import { addDays } from '@candid-leaf/core/units';
import { Explained } from '../../../ui/explained';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';

const WEEKS_AHEAD = 8;
const MOST = 3;

/** Current and coming dates, by variety, soonest first. */
export function Coming({ view: { lines, today } }: { view: SeasonView }) {
  const until = addDays(today, WEEKS_AHEAD * 7);
  const coming = lines
    .flatMap((line) => line.bands.map((b) => ({ ...b, variety: line.label })))
    .filter((b) => !b.done && b.to >= today && b.from <= until && b.what !== 'last-frost')
    .sort((a, b) => (a.from < b.from ? -1 : 1));
  // frost belongs to the garden and is shown once
  const once = coming.filter((b, i) => b.what !== 'first-frost' || coming.findIndex((x) => x.what === b.what) === i);
  return (
    <Panel title={`The next ${WEEKS_AHEAD} weeks`}>
      {once.length === 0 && <p className="mt-1 text-soft">No dates in these weeks.</p>}
      <Dates list={once.slice(0, MOST)} />
      {once.length > MOST && (
        <Unfold look="act" title={`${once.length - MOST} more`}>
          {() => <Dates list={once.slice(MOST)} />}
        </Unfold>
      )}
    </Panel>
  );
}

type Dated = SeasonView['lines'][number]['bands'][number] & { variety: string };

const Dates = ({ list }: { list: readonly Dated[] }) => (
  <ul className="mt-1 divide-y divide-line">
    {list.map((b) => (
      <li key={`${b.variety} ${b.what}`} className="flex flex-wrap items-baseline justify-between gap-x-3 py-2">
        <span>
          <strong>{DATE_WORDS[b.what]}</strong>
          {b.what !== 'first-frost' && <span className="text-soft">, {b.variety}</span>}
        </span>
        <Explained says={<span className="tabular-nums text-soft">{b.text}</span>}>{b.how}</Explained>
      </li>
    ))}
  </ul>
);
