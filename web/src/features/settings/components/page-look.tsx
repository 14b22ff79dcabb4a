import clsx from 'clsx';
import { Moon, Smartphone, Sun, SunDim, type LucideIcon } from 'lucide-react';
import { useState } from 'react';
import { lookHere, setLook, type Look } from '../../../lib/look';
import { Panel } from '../../../ui/panel';

const CHOICES: readonly (readonly [Look, string, LucideIcon])[] = [
  ['device', 'Same as the device', Smartphone],
  ['light', 'Light', SunDim],
  ['dark', 'Dark', Moon],
  ['sun', 'Bright sun', Sun],
];

/** Display settings of this device; the sunlight mode is black on white. */
export function PageLook() {
  const [look, setShown] = useState(lookHere);
  return (
    <Panel title="Display">
      <p className="mt-1 text-soft">For this device only. “Bright sun” is black on white, and larger.</p>
      <div role="group" aria-label="Display" className="mt-2 grid grid-cols-2 gap-2">
        {CHOICES.map(([one, words, Icon]) => (
          <button
            key={one}
            type="button"
            aria-pressed={look === one}
            onClick={() => {
              setLook(one);
              setShown(one);
            }}
            className={clsx(
              'flex min-h-11 items-center justify-center gap-2 rounded-lg border px-2',
              look === one ? 'border-leaf bg-leafwash font-semibold text-leaf' : 'border-line hover:bg-leafwash',
            )}
          >
            <Icon aria-hidden size={18} /> {words}
          </button>
        ))}
      </div>
    </Panel>
  );
}
