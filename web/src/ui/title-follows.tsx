import { useEffect } from 'react';

const NAME = 'Candid Leaf';

/** The browser's title says what the page's own heading says. */
export function TitleFollowsHeading() {
  useEffect(() => {
    const tell = (): void => {
      const heading = document.querySelector('h1')?.textContent;
      const title = heading && heading !== NAME ? `${heading} · ${NAME}` : NAME;
      if (document.title !== title) document.title = title;
    };
    tell();
    const watch = new MutationObserver(tell);
    watch.observe(document.body, { childList: true, subtree: true, characterData: true });
    return () => watch.disconnect();
  }, []);
  return null;
}
