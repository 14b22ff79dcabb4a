import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react';

/** Runs work when the browser is idle. */
const whenIdle = (work: () => void): void => {
  if (typeof requestIdleCallback === 'undefined') setTimeout(work, 1);
  else requestIdleCallback(work);
};

/** A dialog whose script loads after the page, so the page comes sooner. */
export function fetchedLater<Props extends { open: boolean }>(load: () => Promise<ComponentType<Props>>) {
  let loading: Promise<{ default: ComponentType<Props> }> | undefined;
  const once = () => (loading ??= load().then((c) => ({ default: c })));
  const Whole = lazy(once) as unknown as ComponentType<Props>;
  return function FetchedLater(props: Props) {
    const [asked, setAsked] = useState(props.open);
    if (props.open && !asked) setAsked(true);
    useEffect(() => whenIdle(() => void once().catch(() => (loading = undefined))), []);
    return asked ? (
      <Suspense fallback={null}>
        <Whole {...props} />
      </Suspense>
    ) : null;
  };
}
