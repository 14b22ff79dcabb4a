import { useQuery } from '@tanstack/react-query';
import { Footprints, Search } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { entryQuery } from '../../../data/account';
import { EntryCard } from '../../../frame/entry';
import { linkTo, ROUTES } from '../../../lib/paths';
import { Button, buttonLook } from '../../../ui/button';

// the form comes first, the picture a moment later
const LitFinding = lazy(async () => ({ default: (await import('../components/lit-finding')).LitFinding }));

/** The first screen: one picture, one sentence, a look around, a start, and the way in. */
export function SignInScreen() {
  const entry = useQuery(entryQuery()).data;
  const [params] = useSearchParams();
  const [starting, setStarting] = useState(params.has('start'));
  return (
    <main className="mx-auto grid min-h-dvh max-w-6xl content-center items-center gap-6 p-4 lg:grid-cols-[1fr_24rem] lg:gap-10">
      <div>
        <h1 className="text-3xl">Candid Leaf</h1>
        <p className="mt-2 mb-4 max-w-prose text-soft">
          What ails your tomato or pepper plant, why it happened here, and what to do about it.
        </p>
        <Suspense fallback={<div className="h-86" />}>
          <LitFinding />
        </Suspense>
        <div className="mt-4 flex flex-wrap gap-2">
          {(entry?.registration ?? true) && (
            <Button look={starting ? 'plain' : 'main'} onClick={() => setStarting(true)}>
              Start
            </Button>
          )}
          <Link className={buttonLook('plain')} to={ROUTES.tryIt}>
            <Search aria-hidden size={18} /> Look over one plant
          </Link>
          {entry?.demo && (
            <Link className={buttonLook('plain')} to={linkTo('garden', { gardenId: entry.demo })}>
              <Footprints aria-hidden size={18} /> Look at a demo garden
            </Link>
          )}
        </div>
      </div>
      <div className="rounded-2xl border border-line bg-card p-6">
        <EntryCard key={String(starting)} to={ROUTES.home} fresh={starting} />
      </div>
    </main>
  );
}
