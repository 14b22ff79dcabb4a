import type { VarietyDto } from '@candid-leaf/contract';
import { readLetters, STARTER_VARIETIES, type Variety } from '@candid-leaf/core/varieties';
import type { Formatter } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { buttonLook } from '../../../ui/button';
import { Failed, Waiting } from '../../../ui/states';
import { ShedPage } from '../../../frame/shed-page';
import { varietiesQuery } from '../../../data/varieties';

/** The varieties grown here, and generic ones to start from. */
export function VarietiesScreen() {
  return <ShedPage>{() => <OwnVarieties />}</ShedPage>;
}

function OwnVarieties() {
  const garden = useGarden();
  const link = useLink();
  const query = useQuery(varietiesQuery(garden.id));
  if (query.isPending) return <Waiting what="Loading varieties" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  return (
    <>
      <Link className={buttonLook('main')} to={link('newVariety', {})}>
        <Plus aria-hidden size={18} /> Add a variety
      </Link>
      {query.data.length > 0 && (
        <section aria-labelledby="own-varieties">
          <h2 id="own-varieties" className="mt-5 text-xl">
            Grown here
          </h2>
          <List varieties={query.data} to={(k) => link('variety', { varietyId: (k as VarietyDto).id })} />
        </section>
      )}
      <section aria-labelledby="starters">
        <h2 id="starters" className="mt-5 text-xl">
          Ready-made varieties
        </h2>
        <List
          varieties={STARTER_VARIETIES}
          to={(k) => link('newVariety', {}, { from: (k as { code?: string }).code })}
        />
      </section>
    </>
  );
}

function List({ varieties, to }: { varieties: readonly Variety[]; to: (k: Variety) => string }) {
  const f = useFormat();
  return (
    <ul className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {varieties.map((k) => (
        <li key={to(k)} className="relative rounded-2xl border border-line bg-card p-4">
          <h3 className="text-xl">
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
function lineOf(k: Variety, f: Formatter): string {
  const shields = [
    ...new Set(
      readLetters(k.letters ?? '').known.map(
        ({ row, level }) => `${row.means}${level === 'intermediate' ? ' (in part)' : ''}`,
      ),
    ),
  ];
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
