import type { GardenView } from '@candid-leaf/contract';
import { ArrowLeft } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { GardenPage } from '../../../frame/garden-page';
import { useLink, useMay } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';

import { NoSuchPage, NotOpen } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import { useWide } from '../../../ui/use-wide';
import { CalendarLink } from '../components/calendar-link';
import { DaysAway } from '../components/days-away';
import { DemoDay } from '../components/demo-day';
import { DisplaySettings } from '../components/display';
import { GardenForm } from '../components/garden-form';
import { HoseTimer } from '../components/hose-timer';
import { Messages } from '../components/messages';
import { OwnStation } from '../components/own-station';
import { SoilProbes } from '../components/soil-probes';
import { SettingsList } from '../components/settings-list';
import { Weather } from '../components/weather';
import { SETTINGS_PAGES, type SettingsPageName } from '../pages';

const isPage = (name: string | undefined): name is SettingsPageName => name !== undefined && name in SETTINGS_PAGES;

/** Settings: a list of pages; at the desk the chosen one stands beside it. */
export function SettingsScreen() {
  return (
    <GardenPage narrow title={() => 'Settings'}>
      {(view) => <Settings view={view} />}
    </GardenPage>
  );
}

function Settings({ view }: { view: GardenView }) {
  const { page } = useParams();
  const link = useLink();
  const may = useMay();
  const wide = useWide();
  if (page !== undefined && !isPage(page)) return <NoSuchPage />;
  const first = may(SETTINGS_PAGES.garden.needs) ? 'garden' : 'display';
  const open = page ?? (wide ? first : null);
  const { garden } = view;
  const demo = garden.pinnedDate && may('keep') && <DemoDay garden={garden} />;
  if (!wide && open)
    return (
      <>
        <Link to={link('settings', {})} className={`${buttonLook('quiet')} mb-2 -ml-3`}>
          <ArrowLeft aria-hidden size={18} /> All settings
        </Link>
        <Opened name={open} view={view} />
      </>
    );
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[23rem_1fr]">
      <div className="flex flex-col gap-4">
        {!wide && demo}
        <SettingsList open={open} />
      </div>
      {open && (
        <div className="flex max-w-2xl flex-col gap-4">
          {open === first && demo}
          <Opened name={open} view={view} />
        </div>
      )}
    </div>
  );
}

function Opened({ name, view: { garden, weather, places } }: { name: SettingsPageName; view: GardenView }) {
  const say = useSay();
  const may = useMay();
  if (!may(SETTINGS_PAGES[name].needs)) return <NotOpen />;
  switch (name) {
    case 'garden':
    case 'units':
    case 'rules':
      return (
        <GardenForm
          key={`${name} ${garden.version}`}
          part={name}
          garden={garden}
          onKept={() => say('Settings saved.')}
        />
      );
    case 'away':
      return <DaysAway key={garden.version} garden={garden} />;
    case 'weather':
      return (
        <div className="flex flex-col gap-4">
          <Weather garden={garden} state={weather} />
          <OwnStation garden={garden} />
          <SoilProbes gardenId={garden.id} places={places} />
          {may('keep') && <HoseTimer garden={garden} />}
        </div>
      );
    case 'messages':
      return <Messages garden={garden} />;
    case 'calendar':
      return <CalendarLink />;
    case 'display':
      return <DisplaySettings />;
  }
}
