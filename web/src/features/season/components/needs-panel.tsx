import type { SeasonView } from '@candid-leaf/contract';
import { useFormat } from '../../../lib/garden-context';
import { Unfold } from '../../../ui/unfold';

interface Row {
  what: string;
  much: string;
  /** neither recorded as standing nor counted in the shed */
  missing?: string;
}

/** Supplies for the plan, and its expected harvest. */
export function NeedsPanel({ needs }: { needs: NonNullable<SeasonView['needs']> }) {
  const f = useFormat();
  const { short } = needs;
  const counted = (n: number): string => String(n);
  const row = (what: string, much: number, say: (n: number) => string, missing?: number): Row[] =>
    much > 0 ? [{ what, much: say(much), ...(missing ? { missing: say(missing) } : {}) }] : [];
  const rows: Row[] = [
    ...row('String', needs.stringM, f.metres, short.stringM),
    ...row('Stakes', needs.stakes, counted, short.stakes),
    ...row('Cages', needs.cages, counted, short.cages),
    ...row('Short canes', needs.canes, counted, short.canes),
    ...row('Compost', needs.compostL, f.litres),
    ...row('Mulch', needs.mulchL, f.litres),
  ];
  return (
    <Unfold
      look="card"
      title={`Supplies: harvest ${f.kilograms(needs.fruitKg[0])} to ${f.kilograms(needs.fruitKg[1])}`}
    >
      {() => (
        <dl className="divide-y divide-line px-4 py-1">
          {rows.map(({ what, much, missing }) => (
            <div key={what} className="flex justify-between gap-3 py-1.5">
              <dt>{what}</dt>
              <dd className="text-right font-semibold tabular-nums">
                {much}
                {missing && <span className="block text-sm text-ripe">{missing} more than recorded</span>}
              </dd>
            </div>
          ))}
        </dl>
      )}
    </Unfold>
  );
}
