import clsx from 'clsx';
import { Moon, Smartphone, Sun, SunDim, type LucideIcon } from 'lucide-react';
import { useState } from 'react';
import { displayMode, setDisplayMode, type DisplayMode } from '../../../lib/display-mode';
import { Panel } from '../../../ui/panel';

const CHOICES: readonly (readonly [DisplayMode, string, LucideIcon])[] = [
  ['device', 'Same as the device', Smartphone],
  ['light', 'Light', SunDim],
  ['dark', 'Dark', Moon],
  ['sun', 'Bright sun', Sun],
];

/** Display settings of this device; the sunlight mode is black on white. */
export function DisplaySettings() {
  const [mode, setShown] = useState(displayMode);
  return (
    <Panel title="Display">
      <p className="mt-1 text-soft">For this device only. “Bright sun” is black on white, and larger.</p>
      <div role="group" aria-label="Display" className="mt-2 grid grid-cols-2 gap-2">
        {CHOICES.map(([one, words, Icon]) => (
          <button
            key={one}
            type="button"
            aria-pressed={mode === one}
            onClick={() => {
              setDisplayMode(one);
              setShown(one);
            }}
            className={clsx(
              'flex min-h-11 items-center justify-center gap-2 rounded-lg border px-2',
              mode === one ? 'border-leaf bg-leafwash font-semibold text-leaf' : 'border-line hover:bg-leafwash',
            )}
          >
            <Icon aria-hidden size={18} /> {words}
          </button>
        ))}
      </div>
    </Panel>
  );
}
