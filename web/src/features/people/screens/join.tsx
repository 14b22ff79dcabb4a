import type { InvitationView } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, ApiError } from '../../../lib/api';
import { linkTo, ROUTES } from '../../../lib/paths';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Empty, Failed, Waiting } from '../../../ui/states';
import { EntryCard } from '../../../frame/entry';
import { invitationQuery, meQuery } from '../../../data/people';
import { ROLE_WORDS } from '../role-words';

/** Page of an invitation link: explains it and lets the person join. */
export function JoinScreen() {
  const secret = useLocation().hash.slice(1);
  const invitation = useQuery({ ...invitationQuery(secret), enabled: secret !== '' });
  return (
    <main className="mx-auto max-w-md p-5">
      <h1 className="mb-4 text-3xl">Invitation</h1>
      {secret === '' || (invitation.error instanceof ApiError && invitation.error.status === 404) ? (
        <Empty title="The link no longer works">
          <p>It was used or cancelled, or is older than a week. Ask for a new one.</p>
        </Empty>
      ) : invitation.isPending ? (
        <Waiting what="Opening the invitation" />
      ) : invitation.error ? (
        <Failed error={invitation.error} again={() => void invitation.refetch()} />
      ) : (
        <Opened secret={secret} invitation={invitation.data} />
      )}
    </main>
  );
}

function Opened({ secret, invitation }: { secret: string; invitation: InvitationView }) {
  const me = useQuery({ ...meQuery(), retry: false });
  const [trouble, setTrouble] = useState<string | null>(null);
  const join = async (): Promise<void> => {
    try {
      const { gardenId } = await api<{ gardenId: string }>('POST', `/invitations/${encodeURIComponent(secret)}/accept`);
      location.assign(linkTo('garden', { gardenId }));
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <>
      <p className="mb-4">
        {invitation.by} invites {invitation.name} to <strong>{invitation.garden}</strong>. You{' '}
        {ROLE_WORDS[invitation.role].may}.
      </p>
      {me.isPending ? (
        <Waiting what="Loading your account" />
      ) : me.data ? (
        <Panel label="Join the garden">
          <p>You are {me.data.name}.</p>
          {trouble && (
            <p role="alert" className="mt-1 text-ripe">
              {trouble}
            </p>
          )}
          <Button look="main" className="mt-3" onClick={() => void join()}>
            Join the garden
          </Button>
        </Panel>
      ) : (
        <div className="rounded-2xl border border-line bg-card p-6">
          <EntryCard to={`${ROUTES.join}?again#${secret}`} invitation={secret} />
        </div>
      )}
    </>
  );
}
