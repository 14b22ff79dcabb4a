import { QUIET_HOURS, type GardenDto, type MessageChoice, type MessagesDto } from '@candid-leaf/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import { addDevice } from '../../../data/message-links';
import { chooseMessages, messagesQuery } from '../../../data/messages';
import { allowMessages, canShowMessages, endMessages, showsMessages } from '../../../lib/this-device';
import { Field } from '../../../ui/field';
import { Panel } from '../../../ui/panel';
import { Select } from '../../../ui/select';
import { Failed, Waiting } from '../../../ui/states';
import { SwitchField } from '../../../ui/switch-field';
import { useSay } from '../../../ui/toast';

/** What Candid Leaf writes to this person, how, and when not. Each change is saved at once. */
export function Messages({ garden }: { garden: GardenDto }) {
  const state = useQuery(messagesQuery(garden.id));
  if (state.isPending) return <Waiting what="Loading messages" />;
  if (state.error) return <Failed error={state.error} again={() => void state.refetch()} />;
  return <Choices gardenId={garden.id} now={state.data} />;
}

const hourOf = (hour: number): string => `${String(hour).padStart(2, '0')}:00`;
const hours = ([from, to]: readonly [number, number]): [string, string][] =>
  Array.from({ length: to - from + 1 }, (_, i) => [String(from + i), hourOf(from + i)]);

function Choices({ gardenId, now }: { gardenId: string; now: MessagesDto }) {
  const client = useQueryClient();
  const say = useSay();
  const { mailTo, pushKey, devices, ...chosen } = now;
  const save = async (change: Partial<MessageChoice>): Promise<void> => {
    const choice = { ...chosen, ...change };
    client.setQueryData(messagesQuery(gardenId).queryKey, { ...now, ...choice });
    try {
      client.setQueryData(messagesQuery(gardenId).queryKey, await chooseMessages(gardenId, choice));
    } catch (error) {
      client.setQueryData(messagesQuery(gardenId).queryKey, now);
      say((error as Error).message, { bad: true });
    }
  };
  const wanted = chosen.morning || chosen.warnings;
  const hasWay = (chosen.byMail && mailTo !== null) || (chosen.byPush && devices > 0);
  return (
    <Panel title="Messages">
      <p className="mt-1 text-soft">For you only. On days without anything due, nothing comes.</p>
      <div className="mt-2 flex flex-col gap-1">
        <SwitchField checked={chosen.morning} onChange={(morning) => void save({ morning })}>
          <What name="Morning list" says="the day’s tasks, with amounts" />
        </SwitchField>
        <SwitchField checked={chosen.warnings} onChange={(warnings) => void save({ warnings })}>
          <What name="Evening warning" says="frost, heat, strong wind, much rain or blight weather tomorrow" />
        </SwitchField>
      </div>
      <h3 className="mt-4 font-semibold">How they come</h3>
      <div className="mt-1 flex flex-col gap-1">
        {mailTo === null ? (
          <p className="text-soft">This server sends no mail.</p>
        ) : (
          <SwitchField checked={chosen.byMail} onChange={(byMail) => void save({ byMail })}>
            <What name="Mail" says={`to ${mailTo}`} />
          </SwitchField>
        )}
        <OnThisDevice pushKey={pushKey} devices={devices} byPush={chosen.byPush} save={save} />
      </div>
      {wanted && !hasWay && (
        <p role="status" className="mt-2 font-semibold text-ripe">
          Choose how they come, or nothing is sent.
        </p>
      )}
      <h3 className="mt-4 font-semibold">Quiet time</h3>
      <div className="mt-1 grid max-w-xs grid-cols-2 gap-3">
        <Hour
          label="From"
          value={chosen.quietFrom}
          among={QUIET_HOURS.from}
          onChange={(quietFrom) => save({ quietFrom })}
        />
        <Hour
          label="Until"
          value={chosen.quietUntil}
          among={QUIET_HOURS.until}
          onChange={(quietUntil) => save({ quietUntil })}
        />
      </div>
      <p className="mt-2 text-sm text-soft">
        The morning list comes at {hourOf(chosen.quietUntil)}. Warnings come between 17:00 and{' '}
        {hourOf(chosen.quietFrom)}, in the garden’s time.
      </p>
    </Panel>
  );
}

const What = ({ name, says }: { name: string; says: string }) => (
  <>
    <span className="font-semibold">{name}</span>
    <span className="text-soft">: {says}</span>
  </>
);

interface HourProps {
  label: string;
  value: number;
  among: readonly [number, number];
  onChange: (hour: number) => Promise<void>;
}

const Hour = ({ label, value, among, onChange }: HourProps) => (
  <Field label={label}>
    {({ id }) => (
      <Select id={id} value={String(value)} options={hours(among)} onChange={(h) => void onChange(Number(h))} />
    )}
  </Field>
);

interface DeviceProps {
  pushKey: string;
  devices: number;
  byPush: boolean;
  save: (change: Partial<MessageChoice>) => Promise<void>;
}

/** The browser asks the person; only then the server knows the device. */
function OnThisDevice({ pushKey, devices, byPush, save }: DeviceProps): ReactNode {
  const say = useSay();
  const [here, setHere] = useState(false);
  useEffect(() => void showsMessages().then(setHere, () => undefined), []);
  if (!canShowMessages()) return <p className="text-soft">This browser cannot show messages.</p>;
  const on = here && byPush;
  const turn = async (to: boolean): Promise<void> => {
    try {
      if (to) {
        const device = await allowMessages(pushKey);
        if (!device)
          return say('The browser does not allow it. Allow messages for this page in its settings.', { bad: true });
        await addDevice(device);
      } else await endMessages();
      setHere(to);
      const others = devices - (here ? 1 : 0);
      await save({ byPush: to || others > 0 });
    } catch {
      say('This device could not be reached by its push service. Try again when you’re online.', { bad: true });
    }
  };
  const others = Math.max(0, devices - (here ? 1 : 0));
  return (
    <SwitchField checked={on} onChange={(to) => void turn(to)}>
      <What
        name="This device"
        says={`a message even while the page is closed${byPush && others > 0 ? `; also on ${others === 1 ? 'another device' : `${others} other devices`}` : ''}`}
      />
    </SwitchField>
  );
}
