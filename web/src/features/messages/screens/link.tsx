import type { MessageLinkDto } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { BellOff, Check } from 'lucide-react';
import { useState } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { messageLinkQuery, openLink } from '../../../data/message-links';
import { ApiError } from '../../../lib/api';
import { linkTo, ROUTES } from '../../../lib/paths';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Empty, Failed, NoSuchPage, Waiting } from '../../../ui/states';

/**
 * What a link in a message is for, without signing in: ticks a task, or turns a garden's messages off. The page asks first,
 * as mail programs open links by themselves.
 */
export function MessageLink() {
  const { what } = useParams();
  return what === 'done' || what === 'off' ? <ByLink what={what} /> : <NoSuchPage />;
}

function ByLink({ what }: { what: 'off' | 'done' }) {
  const token = useLocation().hash.slice(1);
  const link = useQuery({ ...messageLinkQuery(token), enabled: token !== '', retry: false });
  const isGone = token === '' || (link.error instanceof ApiError && link.error.status === 404);
  return (
    <main className="mx-auto max-w-md p-5">
      {isGone ? (
        <>
          <h1 className="mb-4 text-3xl">Candid Leaf</h1>
          <Empty title="The link no longer works">
            <p>A link to a task works for three days. The garden shows what is due now.</p>
          </Empty>
          <Link className={`${buttonLook('quiet')} mt-3 -ml-3`} to={ROUTES.home}>
            Open Candid Leaf
          </Link>
        </>
      ) : link.isPending ? (
        <Waiting what="Opening the link" />
      ) : link.error ? (
        <Failed error={link.error} again={() => void link.refetch()} />
      ) : (
        <Asked what={what} token={token} of={link.data} />
      )}
    </main>
  );
}

/** Why a tick was refused, said for who has just opened a mail. */
const whyNot = (error: unknown): string =>
  error instanceof ApiError
    ? error.status === 404
      ? 'This task is no longer due. Open the garden to see what is.'
      : error.message
    : 'We can’t reach the server. Try again when you’re back online.';

function Asked({ what, token, of }: { what: 'off' | 'done'; token: string; of: MessageLinkDto }) {
  const [state, setState] = useState<'asked' | 'busy' | 'done'>('asked');
  const [trouble, setTrouble] = useState('');
  const go = async (): Promise<void> => {
    setState('busy');
    setTrouble('');
    try {
      await openLink(what, token);
      setState('done');
    } catch (error) {
      setTrouble(whyNot(error));
      setState('asked');
    }
  };
  const isTask = what === 'done';
  return (
    <>
      <h1 className="mb-4 text-3xl">{of.garden}</h1>
      <Panel title={isTask ? (of.task ?? 'A task') : 'Morning lists and warnings'} asking={state !== 'done'}>
        {state === 'done' ? (
          <p role="status" className="mt-2 flex items-center gap-2 font-semibold text-leaf">
            <Check aria-hidden size={18} /> {isTask ? 'Done.' : 'Turned off. Settings, Messages turns them on again.'}
          </p>
        ) : (
          <div className="mt-3">
            <Button look="main" disabled={state === 'busy'} onClick={() => void go()}>
              {isTask ? <Check aria-hidden size={18} /> : <BellOff aria-hidden size={18} />}
              {isTask ? 'Mark as done' : 'Turn off'}
            </Button>
          </div>
        )}
        {trouble && (
          <p role="alert" className="mt-2 text-ripe">
            {trouble}
          </p>
        )}
      </Panel>
      <Link className={`${buttonLook('quiet')} mt-3 -ml-3`} to={linkTo('garden', { gardenId: of.gardenId })}>
        Open the garden
      </Link>
    </>
  );
}
