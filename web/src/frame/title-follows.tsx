import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

const NAME = 'Candid Leaf';

function goOnFromHeading(): void {
  const heading = document.querySelector<HTMLElement>('h1');
  if (!heading || document.activeElement !== document.body) return;
  heading.tabIndex = -1;
  heading.focus({ preventScroll: true });
}

/**
 * The browser's title follows the page's heading, and focus moves to the heading of a newly opened page, unless the
 * page already moved it.
 */
export function TitleFollowsHeading() {
  const { pathname } = useLocation();
  const at = useRef(pathname);
  const moved = useRef(false);
  useEffect(() => {
    if (at.current === pathname) return;
    at.current = pathname;
    moved.current = true;
  }, [pathname]);
  useEffect(() => {
    const tell = (): void => {
      const heading = document.querySelector<HTMLElement>('h1');
      const said = heading?.textContent;
      const title = said && said !== NAME ? `${said} · ${NAME}` : NAME;
      if (document.title !== title) document.title = title;
      if (!heading || !moved.current) return;
      moved.current = false;
      // after painting: earlier focus would lay out the page twice
      requestAnimationFrame(() => setTimeout(goOnFromHeading));
    };
    tell();
    const watch = new MutationObserver(tell);
    watch.observe(document.body, { childList: true, subtree: true, characterData: true });
    return () => watch.disconnect();
  }, []);
  return null;
}
