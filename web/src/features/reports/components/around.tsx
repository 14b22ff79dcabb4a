import type { AroundView } from '@candid-leaf/contract';
import { LEAST_GARDENS } from '@candid-leaf/core/reports';
import { Link } from 'react-router';
import { useFormat, useLink, useMay } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';

/** What gardens nearby have in common, if this one agreed to be counted. */
export function Around({ around }: { around: AroundView | null }) {
  const f = useFormat();
  const link = useLink();
  const may = useMay();
  if (around === null)
    return may('keep') ? (
      <Panel title="Gardens nearby" className="print:hidden">
        <p className="mt-1 text-soft">
          See which problems gardens of your region have, and what helped: agree to be counted in{' '}
          <Link className="underline" to={link('settingsPage', { page: 'rules' })}>
            your growing rules
          </Link>
          .
        </p>
      </Panel>
    ) : null;
  const { gardens, troubles, helped, firstRipe } = around;
  return (
    <Panel title="Gardens nearby">
      {gardens === null ? (
        <p className="mt-1 text-soft">Fewer than {LEAST_GARDENS} gardens of your region are counted so far.</p>
      ) : (
        <>
          <p className="mt-1 text-soft">
            {gardens} gardens of a region about 50 km (30 miles) across. Only what {LEAST_GARDENS} or more share is
            shown.
          </p>
          <ul className="mt-2 list-disc pl-5">
            {troubles.map((t) => (
              <li key={t.label}>
                {t.label}: found in {t.gardens} gardens in the last month.
              </li>
            ))}
            {helped.map((h) => (
              <li key={`${h.label} ${h.remedy}`}>
                {h.label}: “{h.remedy}” helped in {h.gardens} gardens.
              </li>
            ))}
            {firstRipe.map((r) => (
              <li key={r.crop}>
                First ripe {r.crop === 'tomato' ? 'tomatoes' : 'peppers'}: around {f.day(r.on)}, in {r.gardens} gardens.
              </li>
            ))}
          </ul>
          {troubles.length + helped.length + firstRipe.length === 0 && (
            <p className="mt-1">Nothing is shared by that many yet.</p>
          )}
        </>
      )}
    </Panel>
  );
}
