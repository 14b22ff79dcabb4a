import type { CultivarDto } from '@candid-leaf/contract';
import { readLetters, STARTER_CULTIVARS, type Cultivar } from '@candid-leaf/core/cultivars';
import type { Formatter } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { buttonLook } from '../../../ui/button';
import { Failed, Waiting } from '../../../ui/states';
import { ShedPage } from '../../../frame/shed-page';
import { kindsQuery } from '../../../data/varieties';

/** The varieties grown here, and generic ones to start from. */
export function KindsScreen() {
  return <ShedPage>{() => <Kinds />}</ShedPage>;
}

function Kinds() {
  const garden = useGarden();
  const link = useLink();
  const query = useQuery(kindsQuery(garden.id));
  if (query.isPending) return <Waiting what="Loading varieties" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  return (
    <>
      <Link className={buttonLook('main')} to={link('newKind', {})}>
        <Plus aria-hidden size={18} /> Add a variety
      </Link>
      {query.data.length > 0 && (
        <section aria-labelledby="own-kinds">
          <h2 id="own-kinds" className="mt-5 text-xl">
            Grown here
          </h2>
          <List kinds={query.data} to={(k) => link('kind', { kindId: (k as CultivarDto).id })} />
        </section>
      )}
      <section aria-labelledby="starters">
        <h2 id="starters" className="mt-5 text-xl">
          Ready-made varieties
        </h2>
        <List kinds={STARTER_CULTIVARS} to={(k) => link('newKind', {}, { from: (k as { code?: string }).code })} />
      </section>
    </>
  );
}

function List({ kinds, to }: { kinds: readonly Cultivar[]; to: (k: Cultivar) => string }) {
  const f = useFormat();
  return (
    <ul className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {kinds.map((k) => (
        <li key={to(k)} className="relative rounded-2xl border border-line bg-card p-4">
          <h3 className="text-lg">
            <Link to={to(k)} className="text-leaf after:absolute after:inset-0">
              {k.name}
            </Link>
          </h3>
          <p className="text-sm text-soft">{lineOf(k, f)}</p>
        </li>
      ))}
    </ul>
  );
}

/** Returns its packet data in one line. */
function lineOf(k: Cultivar, f: Formatter): string {
  const shields = [...new Set(readLetters(k.letters ?? '').known.map(({ row }) => row.means))];
  return [
    wordOf(k.type ?? k.crop),
    k.habit ? k.habit.replaceAll('-', ' ') : '',
    k.daysToMaturity ? `${k.daysToMaturity} days` : '',
    k.ripeColour ?? '',
    k.fruitG ? f.grams(k.fruitG) : '',
    shields.length > 0 ? `resistant to ${shields.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
