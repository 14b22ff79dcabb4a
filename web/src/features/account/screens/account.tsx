import type { Me } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ROUTES } from '../../../lib/paths';
import { buttonLook } from '../../../ui/button';
import { PageGuard } from '../../../frame/page-guard';
import { meQuery } from '../../../data/people';
import { ChangePassword } from '../components/change-password';
import { Leaving } from '../components/leaving';
import { SignOutEverywhere } from '../components/sign-out-everywhere';

/** The account page: password, devices, deletion. */
export function AccountScreen() {
  return (
    <PageGuard query={useQuery(meQuery())} waiting="Loading your account">
      {(me) => <Account me={me} />}
    </PageGuard>
  );
}

function Account({ me }: { me: Me }) {
  return (
    <main className="mx-auto max-w-5xl p-5">
      <Link className={`${buttonLook('quiet')} -ml-4`} to={ROUTES.home}>
        To the garden
      </Link>
      <h1 className="text-3xl">Your account</h1>
      <p className="mb-4 text-soft">
        {me.name}, {me.email}
      </p>
      <div className="grid items-start gap-4 md:grid-cols-2">
        <ChangePassword />
        <div className="flex flex-col gap-4">
          <SignOutEverywhere />
          <Leaving me={me} />
        </div>
      </div>
    </main>
  );
}
