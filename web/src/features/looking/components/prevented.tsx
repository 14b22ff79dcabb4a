import type { BedRule, PlantView } from '@candid-leaf/contract';
import { preventedInWords, type Prevention, RULES_IN_WORDS } from '@candid-leaf/core/prevented';
import type { Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { Check } from 'lucide-react';
import { savePlace } from '../../../data/places';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden, useMay } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Explained } from '../../../ui/explained';
import { Unfold } from '../../../ui/unfold';
import { useWide } from '../../../ui/use-wide';
import { useWrite } from '../../../ui/use-write';

interface Props {
  view: PlantView;
  /** the change whose water is drawn as a second line */
  shown: Prevention | null;
  onShow: (change: Prevention['change'] | null) => void;
  reading: boolean;
}

/** Returns the second line of the water chart: percent by day. */
export const lineOf = (p: Prevention | null): ReadonlyMap<Day, number> =>
  new Map((p?.left ?? []).map((d) => [d.day, Math.round(d.fractionAvailable * 100)]));

const TITLE = 'What would have prevented it';

/** Changes that would have lowered the risk most; one tap makes one a rule of the bed. Folded on a phone. */
export function Prevented(props: Props) {
  const wide = useWide();
  if (props.view.prevented.length === 0) return null;
  if (!wide)
    return (
      <Unfold look="quiet" title={TITLE}>
        {() => <Changes {...props} />}
      </Unfold>
    );
  return (
    <>
      <h3 className="mt-3 font-body font-semibold">{TITLE}</h3>
      <Changes {...props} />
    </>
  );
}

function Changes({ view, shown, onShow, reading }: Props) {
  const format = useFormat();
  const may = useMay();
  const { prevented, place } = view;
  const rules = new Set((place.rules ?? []).map((r) => r.rule));
  return (
    <ul className="mt-1 flex flex-col gap-1">
      {prevented.map((p, i) => {
        const { what, risk, numbers, range } = preventedInWords(p, format);
        const on = shown?.change === p.change;
        return (
          <li key={p.change}>
            <p className="leading-snug">
              <strong>{what}</strong>
              {i === 0 ? `, ${risk} ` : ': '}
              <Explained says={numbers}>
                <p>
                  The same weeks were run again with this one change. The risk then lies {range}: how much each cause
                  counts, and what a can holds, is not known exactly.
                </p>
              </Explained>
              .
            </p>
            <Risks p={p} />
            <div className="flex flex-wrap items-center gap-x-1 print:hidden">
              {p.left && (
                <Button look="quiet" className="-ml-4" aria-pressed={on} onClick={() => onShow(on ? null : p.change)}>
                  {on ? 'Hide its water' : 'Show its water'}
                </Button>
              )}
              {!reading && may('keep') && (
                <MakeRule view={view} rule={p.change} made={rules.has(p.change)} first={!p.left} />
              )}
            </div>
          </li>
        );
      })}
    </ul>
  );
}

/** Both risks as bars, one under the other. */
function Risks({ p }: { p: Prevention }) {
  return (
    <span aria-hidden className="my-1 flex max-w-60 flex-col gap-0.5">
      <span className="h-1.5 rounded-full bg-ripe" style={{ width: `${p.risk * 100}%` }} />
      <span className="h-1.5 rounded-full bg-leaf" style={{ width: `${p.riskWith * 100}%` }} />
    </span>
  );
}

interface RuleProps {
  view: PlantView;
  rule: BedRule['rule'];
  made: boolean;
  /** the first of its row lines up with the text */
  first: boolean;
}

function MakeRule({ view: { place }, rule, made, first }: RuleProps) {
  const { id, today } = useGarden();
  const save = useWrite(savePlace, id);
  if (made)
    return (
      <span className="inline-flex min-h-11 items-center gap-1 text-sm text-soft">
        <Check aria-hidden size={16} className="text-leaf" /> a rule of {place.name}
      </span>
    );
  const make = () =>
    save.mutate(
      {
        place: {
          ...asInput(place),
          rules: [...(place.rules ?? []), { rule, since: today }],
          // what the balance reads is changed with it
          ...(rule === 'vents-open' ? { vents: 'open' as const } : {}),
        },
      },
      { said: `${place.name}: ${RULES_IN_WORDS[rule].toLowerCase()}.` },
    );
  return (
    <Button look="quiet" className={clsx(first && '-ml-4')} disabled={save.isPending} onClick={make}>
      Make it a rule here
    </Button>
  );
}
