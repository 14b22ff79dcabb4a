import { lazy, Suspense, useEffect, useState } from 'react';
import { areKeysOn, type Key } from '../ui/keys-on';

// rarely opened
const KeysSheet = lazy(() => import('./keys-sheet'));

const nameOf = (e: Element): string => e.getAttribute('aria-label') ?? e.textContent?.trim() ?? '';
/** Returns elements with a shortcut: their key is in `data-key`. */
const withKeys = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('[data-key]')];
const keysHere = (): Key[] => withKeys().map((e) => ({ key: e.dataset.key!, does: nameOf(e) }));

/** Letters typed there belong to the focused field or list. */
const TAKES_LETTERS = 'input, textarea, select, [role="combobox"], [role="listbox"], [role="dialog"], [role="menu"]';
const isTyping = (e: KeyboardEvent): boolean =>
  e.ctrlKey || e.metaKey || e.altKey || (e.target instanceof Element && e.target.closest(TAKES_LETTERS) !== null);

/** Single-key shortcuts for daily tasks; "?" lists them. */
export function DailyKeys() {
  const [shown, setShown] = useState<Key[] | null>(null);
  useEffect(() => {
    const press = (e: KeyboardEvent): void => {
      if (isTyping(e)) return;
      if (e.key === '?') return setShown(keysHere());
      if (!areKeysOn()) return;
      const target = withKeys().find((el) => el.dataset.key === e.key.toLowerCase());
      if (!target) return;
      e.preventDefault();
      target.click();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
  return (
    shown && (
      <Suspense>
        <KeysSheet keys={shown} onClose={() => setShown(null)} />
      </Suspense>
    )
  );
}
