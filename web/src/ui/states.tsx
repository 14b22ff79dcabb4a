import { CloudOff, Loader, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { ApiError } from '../lib/api';
import { ROUTES } from '../lib/paths';
import { Button, buttonLook } from './button';
import { useOnline } from './use-online';

/** Loading, error and empty states of a page. */

interface WaitingProps {
  what: string;
  /** loads nothing: works offline too */
  here?: boolean;
}

export function Waiting({ what, here = false }: WaitingProps) {
  const online = useOnline();
  if (!online && !here) return <NotKept />;
  return (
    <p role="status" className="flex items-center gap-2 p-6 text-soft">
      <Loader aria-hidden size={18} className="animate-spin" /> {what} …
    </p>
  );
}

/** A page before its data: its shape in pale blocks, so little moves when it comes. */
export function PageWaiting({ what }: Pick<WaitingProps, 'what'>) {
  if (!useOnline()) return <NotKept />;
  return (
    <div role="status" className="animate-pulse motion-reduce:animate-none *:rounded-2xl *:bg-line/60">
      <span className="sr-only">{what} …</span>
      <div className="mb-4 h-9 w-56 max-w-full" />
      <div className="grid gap-4 bg-transparent! lg:grid-cols-[1fr_22rem] *:rounded-2xl *:bg-line/60">
        <div className="h-72" />
        <div className="h-48 lg:h-72" />
        <div className="h-48" />
      </div>
    </div>
  );
}

export function Failed({ error, again }: { error: Error; again?: () => void }) {
  const lost = !(error instanceof ApiError);
  return (
    <div role="alert" className="m-4 max-w-xl rounded-xl border border-line bg-card p-5">
      <p className="flex items-center gap-2 font-semibold">
        {lost ? <CloudOff aria-hidden size={20} /> : <TriangleAlert aria-hidden size={20} />}
        {lost ? 'It did not load. What you wrote is saved.' : error.message}
      </p>
      {lost && <p className="mt-1 text-soft">Check your connection and try again.</p>}
      <div className="mt-3 flex flex-wrap gap-2">
        {again && <Button onClick={again}>Try again</Button>}
        <a className={buttonLook('quiet')} href={ROUTES.home}>
          To your garden
        </a>
      </div>
    </div>
  );
}

/** An address that leads to nothing. */
export function NoSuchPage() {
  return (
    <div className="m-4 max-w-xl rounded-xl border border-line bg-card p-5">
      <h1 className="text-xl">There is no page at this address</h1>
      <p className="mt-1 text-soft">It may be mistyped, or from an older version.</p>
      <a className={`${buttonLook('main')} mt-3`} href={ROUTES.home}>
        To your garden
      </a>
    </div>
  );
}

/** Offline, and never opened on this device. */
function NotKept() {
  return (
    <div role="alert" className="m-4 max-w-xl rounded-xl border border-line bg-card p-5">
      <p className="flex items-center gap-2 font-semibold">
        <CloudOff aria-hidden size={20} /> This page isn’t available offline.
      </p>
      <p className="mt-1 text-soft">
        It will load when you’re back online. The garden and plants you opened here are available offline.
      </p>
      <Button className="mt-3" onClick={() => history.back()}>
        Back
      </Button>
    </div>
  );
}

/** A managers' page opened by someone else. */
export function NotOpen() {
  return (
    <Empty title="Only the garden’s managers can do this">
      <p>Ask a manager to give you more access.</p>
    </Empty>
  );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="rounded-xl border border-dashed border-line p-6 text-center">
      <p className="font-head text-xl">{title}</p>
      {children && <div className="mt-2 text-soft">{children}</div>}
    </div>
  );
}
