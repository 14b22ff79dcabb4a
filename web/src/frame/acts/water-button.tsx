import type { PlaceOnView } from '@candid-leaf/contract';
import { Droplets } from 'lucide-react';
import { Popover } from 'radix-ui';
import { lazy, startTransition, Suspense, useState } from 'react';
import { buttonLook } from '../../ui/button';

// fetched when first opened, so the page comes sooner
const Amount = lazy(async () => ({ default: (await import('./water-button-amount')).WaterButtonAmount }));

/** Waters a whole bed in two touches: the first shows the amount, the second records it. */
export function WaterButton({ view }: { view: PlaceOnView }) {
  const { place } = view;
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={(is) => startTransition(() => setOpen(is))}>
      <Popover.Trigger className={buttonLook('quiet')} aria-label={`Water ${place.name}`}>
        <Droplets aria-hidden size={18} /> <span className="@max-[17rem]:hidden">Water</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          className="z-30 w-72 rounded-xl border border-line bg-card p-4 shadow-xl"
          aria-label={`Water ${place.name}`}
        >
          <Suspense fallback={<div className="h-40" />}>
            <Amount view={view} onDone={() => setOpen(false)} />
          </Suspense>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
