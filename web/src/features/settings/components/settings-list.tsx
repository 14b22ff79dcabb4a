import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { ChevronRight, FolderOpen, Leaf, Plus, QrCode, UserRound, Users, type LucideIcon } from 'lucide-react';
import { Link } from 'react-router';
import { gardensQuery } from '../../../data/gardens';
import { SignOut } from '../../../frame/sign-out';
import { useFormat, useGarden, useLink, useMay } from '../../../lib/garden-context';
import { linkTo, ROUTES } from '../../../lib/paths';
import { accountHere } from '../../../offline/account';
import { useOutbox } from '../../../offline/use-outbox';
import { buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { SETTINGS_PAGES, type SettingsPage, type SettingsPageName } from '../pages';

/** Everything that can be set, one line a page, with what stands there now. */
export function SettingsList({ open }: { open: SettingsPageName | null }) {
  const garden = useGarden();
  const format = useFormat();
  const link = useLink();
  const may = useMay();
  const list = useOutbox();
  const signedIn = accountHere() !== null;
  const others = (useQuery(gardensQuery()).data ?? []).filter((g) => g.id !== garden.id);
  const pages = Object.entries(SETTINGS_PAGES) as [SettingsPageName, SettingsPage][];
  return (
    <nav aria-label="Settings" className="flex flex-col gap-4">
      <Panel label="This garden" className="px-2 py-2">
        <ul>
          {pages
            .filter(([, { needs }]) => may(needs))
            .map(([name, { title, icon, says }]) => (
              <Line
                key={name}
                to={link('settingsPage', { page: name })}
                icon={icon}
                title={title}
                says={says?.(garden, format)}
                here={name === open}
              />
            ))}
        </ul>
      </Panel>
      <Panel label="People and files" className="px-2 py-2">
        <ul>
          {signedIn && (
            <>
              <Line to={link('people', {})} icon={Users} title="People and access" />
              <Line to={link('files', {})} icon={FolderOpen} title="Import and export" />
              <Line to={link('labels', {})} icon={QrCode} title="Labels to print" />
            </>
          )}
          <Line to={ROUTES.account} icon={UserRound} title={signedIn ? 'Your account' : 'Sign in'} />
        </ul>
      </Panel>
      <Panel label="Other gardens" className="px-2 py-2">
        <ul>
          {others.map((g) => (
            <Line key={g.id} to={linkTo('garden', { gardenId: g.id })} icon={Leaf} title={g.name} />
          ))}
          <Line to={ROUTES.newGarden} icon={Plus} title="New garden" />
        </ul>
      </Panel>
      {/* on a desk it is in the header */}
      {signedIn && <SignOut named list={list} className={`${buttonLook('quiet')} self-start sm:hidden`} />}
    </nav>
  );
}

interface LineProps {
  to: string;
  icon: LucideIcon;
  title: string;
  says?: string | undefined;
  here?: boolean;
}

const Line = ({ to, icon: Icon, title, says, here = false }: LineProps) => (
  <li>
    <Link
      to={to}
      aria-current={here ? 'page' : undefined}
      className={clsx(
        'flex min-h-12 items-center gap-3 rounded-lg px-3 py-1.5',
        here ? 'bg-leafwash text-leaf' : 'hover:bg-leafwash',
      )}
    >
      <Icon aria-hidden size={19} className="shrink-0 text-leaf" />
      <span className="font-semibold">{title}</span>
      {says && <span className="ml-auto truncate text-sm text-soft">{says}</span>}
      <ChevronRight aria-hidden size={17} className={clsx('shrink-0 text-soft', !says && 'ml-auto')} />
    </Link>
  </li>
);
