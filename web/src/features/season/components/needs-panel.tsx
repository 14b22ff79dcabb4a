import type { SeasonView } from '@candid-leaf/contract';
import { useFormat } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';

/** Supplies for the plan, and its expected harvest. */
export function NeedsPanel({ needs }: { needs: NonNullable<SeasonView['needs']> }) {
  const f = useFormat();
  const rows: [string, string][] = [
    ['Expected harvest', `${f.kilograms(needs.fruitKg[0])} to ${f.kilograms(needs.fruitKg[1])}`],
    ...(needs.stringM > 0 ? [['String', f.metres(needs.stringM)] as [string, string]] : []),
    ...(needs.stakes > 0 ? [['Stakes', String(needs.stakes)] as [string, string]] : []),
    ...(needs.cages > 0 ? [['Cages', String(needs.cages)] as [string, string]] : []),
    ...(needs.canes > 0 ? [['Short canes', String(needs.canes)] as [string, string]] : []),
    ...(needs.compostL > 0 ? [['Compost', f.litres(needs.compostL)] as [string, string]] : []),
    ...(needs.mulchL > 0 ? [['Mulch', f.litres(needs.mulchL)] as [string, string]] : []),
  ];
  return (
    <Panel title="Supplies you will need">
      <dl className="mt-1 divide-y divide-line">
        {rows.map(([what, much]) => (
          <div key={what} className="flex justify-between gap-3 py-1.5">
            <dt>{what}</dt>
            <dd className="font-semibold tabular-nums">{much}</dd>
          </div>
        ))}
      </dl>
    </Panel>
  );
}
