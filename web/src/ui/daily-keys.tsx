import { lazy, Suspense, useEffect, useState } from 'react';
import { areKeysOn, type Key } from './keys-on';

// asked for seldom
const KeysSheet = lazy(() => import('./keys-sheet'));

const nameOf = (e: Element): string => e.getAttribute('aria-label') ?? e.textContent?.trim() ?? '';
/** What stands on the page and can be pressed with a key of its own: it carries it as `data-key`. */
const withKeys = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('[data-key]')];
const keysHere = (): Key[] => withKeys().map((e) => ({ key: e.dataset.key!, does: nameOf(e) }));

/** A letter there is meant for what has the focus: it is written, or looks up a choice of a list. */
const TAKES_LETTERS = 'input, textarea, select, [role="combobox"], [role="listbox"], [role="dialog"], [role="menu"]';
const isTyping = (e: KeyboardEvent): boolean =>
  e.ctrlKey || e.metaKey || e.altKey || (e.target instanceof Element && e.target.closest(TAKES_LETTERS) !== null);

/** One key for what is done daily; "?" tells which. */
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
