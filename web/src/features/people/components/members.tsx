import type { MemberDto, Role } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { UserMinus } from 'lucide-react';
import { useGarden, useMay } from '../../../lib/garden-context';
import { accountHere } from '../../../offline/account';
import { Select } from '../../../ui/select';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { useWrite } from '../../../ui/use-write';
import { peopleQuery } from '../../../data/people';
import { ROLE_WORDS } from '../role-words';
import { removeMember, setRole } from '../../../data/people';
import { IconButton } from '../../../ui/icon-button';

export function Members() {
  const garden = useGarden();
  const people = useQuery(peopleQuery(garden.id));
  return (
    <Panel title="People">
      {people.isPending ? (
        <Waiting what="Loading people" />
      ) : people.error ? (
        <Failed error={people.error} again={() => void people.refetch()} />
      ) : (
        <ul className="mt-1 divide-y divide-line">
          {people.data.members.map((m) => m.role && <Member key={m.id} member={m} role={m.role} />)}
        </ul>
      )}
    </Panel>
  );
}

/** Managers set the access of each member. */
function Member({ member, role }: { member: MemberDto; role: Role }) {
  const garden = useGarden();
  const may = useMay();
  const change = useWrite(setRole, garden.id);
  const go = useWrite(removeMember, garden.id);
  const me = member.id === accountHere();
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-2">
      <span>
        <strong>{member.name}</strong>
        {me && <span className="text-soft"> (you)</span>}
        <span className="block text-sm text-soft">{ROLE_WORDS[role].may}</span>
      </span>
      {may('keep') && !me ? (
        <span className="flex items-center gap-1">
          <Select
            aria-label={`Access of ${member.name}`}
            narrow
            value={role}
            onChange={(chosen) =>
              change.mutate(
                { id: member.id, role: chosen as Role },
                { said: `${member.name}: ${ROLE_WORDS[chosen as Role].may}.` },
              )
            }
            options={(Object.keys(ROLE_WORDS) as Role[]).map((r) => [r, ROLE_WORDS[r].name])}
          />
          <IconButton
            icon={UserMinus}
            label={`Remove ${member.name}`}
            disabled={go.isPending}
            onClick={() => go.mutate({ id: member.id }, { said: `${member.name} was removed from the garden.` })}
          />
        </span>
      ) : (
        <span className="text-soft">{ROLE_WORDS[role].name}</span>
      )}
    </li>
  );
}
