import { useEffect, useState } from 'react';
import { Sheet } from './sheet';
import { SwitchField } from './switch-field';

/** Single keys can be switched off on a device: who speaks to it, or leans on it, may press them unmeant. */
const OFF = 'candid-leaf:keys-off';
const areOn = (): boolean => localStorage.getItem(OFF) === null;

interface Key {
  key: string;
  does: string;
}

const nameOf = (e: Element): string => e.getAttribute('aria-label') ?? e.textContent?.trim() ?? '';
/** What stands on the page and can be pressed with a key of its own: it carries it as `data-key`. */
const keysHere = (): Key[] =>
  [...document.querySelectorAll<HTMLElement>('[data-key]')].map((e) => ({ key: e.dataset.key!, does: nameOf(e) }));

const isTyping = (e: KeyboardEvent): boolean =>
  e.ctrlKey ||
  e.metaKey ||
  e.altKey ||
  (e.target instanceof Element && e.target.closest('input, textarea, select, [role="dialog"], [role="menu"]') !== null);

/** One key for what is done daily; "?" tells which. */
export function DailyKeys() {
  const [shown, setShown] = useState<Key[] | null>(null);
  const [on, setOn] = useState(areOn);
  useEffect(() => {
    const press = (e: KeyboardEvent): void => {
      if (isTyping(e)) return;
      if (e.key === '?') return setShown(keysHere());
      if (!areOn()) return;
      const target = document.querySelector<HTMLElement>(`[data-key="${CSS.escape(e.key.toLowerCase())}"]`);
      if (!target) return;
      e.preventDefault();
      target.click();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
  const turn = (next: boolean): void => {
    if (next) localStorage.removeItem(OFF);
    else localStorage.setItem(OFF, 'yes');
    setOn(next);
  };
  return (
    <Sheet open={shown !== null} onClose={() => setShown(null)} title="Keys for every day">
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {(shown ?? []).map(({ key, does }) => (
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
          Keys work on this device
        </SwitchField>
      </div>
    </Sheet>
  );
}
