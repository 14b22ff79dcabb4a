import { useMay } from '../../../lib/garden-context';
import { GardenPage } from '../../../frame/garden-page';
import { Invite } from '../components/invite';
import { Keys } from '../components/keys';
import { Leave } from '../components/leave';
import { Members } from '../components/members';

/** People and access: members, invitations, and keys for scripts. */
export function PeopleScreen() {
  return (
    <GardenPage narrow title={() => 'People and access'}>
      {() => <People />}
    </GardenPage>
  );
}

function People() {
  const may = useMay();
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <div className="flex flex-col gap-4">
        <Members />
        {may('keep') && <Invite />}
      </div>
      <div className="flex flex-col gap-4">
        <Keys />
        <Leave />
      </div>
    </div>
  );
}
