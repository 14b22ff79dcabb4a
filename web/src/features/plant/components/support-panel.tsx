import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import { setByTruss, shareSet } from '@candid-leaf/core/pollination';
import { SUPPORT_WORDS } from '@candid-leaf/core/support';
import { sentence } from '../../../lib/words';
import { useFormat } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { percent } from '../../../ui/water-left';

/** What holds it up, how long it must be and how it is tied; and how its flowers set, truss by truss. */
export function SupportPanel({ view }: { view: PlantView }) {
  const f = useFormat();
  const { support: s, tap } = view.tending;
  const { trusses, share } = setByTruss(view.records.flatMap((r) => (isRecordOf(r, 'truss-count') ? [r.data] : [])));
  return (
    <Panel title="Support and set">
      <p className="mt-1">
        Held by {SUPPORT_WORDS[s.kind]}
        {s.because === 'in-stock' && ', as the shed has it'}
        {s.lengthM > 0 && `, ${f.metres(s.lengthM)} long`}
        {s.ties > 0 &&
          `; ${s.ties} ${s.ties === 1 ? 'tie' : 'ties'} at its height, ${f.metres(s.tieStringM)} of soft string`}
        .
      </p>
      <p className="text-sm text-soft">A tie every 20 to 25 cm, loose enough for a finger. Caps on cane ends.</p>
      {tap && <p className="mt-2">{sentence(tap)}</p>}
      {trusses.length > 0 ? (
        <>
          <ul className="mt-2 divide-y divide-line" aria-label="Trusses">
            {trusses.map((t) => (
              <li key={t.truss} className="grid grid-cols-[5rem_1fr_3rem] items-center gap-3 py-1 tabular-nums">
                <span>Truss {t.truss}</span>
                <span aria-hidden className="h-3 overflow-hidden rounded-full bg-line">
                  <span className="block h-full bg-leaf" style={{ width: `${100 * (shareSet(t) ?? 0)}%` }} />
                </span>
                <span className="text-right">{percent(shareSet(t))}</span>
              </li>
            ))}
          </ul>
          <p className="text-sm text-soft">{percent(share)} of the counted flowers have set.</p>
        </>
      ) : (
        <p className="mt-2 text-sm text-soft">Count a truss, flowers and fruit, and it shows whether they set.</p>
      )}
    </Panel>
  );
}
