import { useState } from 'react';
import { areKeysOn, type Key, turnKeys } from '../ui/keys-on';
import { Sheet } from '../ui/sheet';
import { SwitchField } from '../ui/switch-field';

/** Lists the shortcuts. */
export default function KeysSheet({ keys, onClose }: { keys: Key[]; onClose: () => void }) {
  const [on, setOn] = useState(areKeysOn);
  const turn = (next: boolean): void => {
    turnKeys(next);
    setOn(next);
  };
  return (
    <Sheet open onClose={onClose} title="Keyboard shortcuts">
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {keys.map(({ key, does }) => (
          <div key={key} className="col-span-2 grid grid-cols-subgrid items-center">
            <dt>
              <kbd className="inline-grid min-w-8 place-items-center rounded-md border border-soft px-2 py-0.5">
                {key}
              </kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-3">
        <SwitchField checked={on} onChange={turn}>
          Shortcuts on this device
        </SwitchField>
      </div>
    </Sheet>
  );
}
