import type { PlaceOnView } from '@candid-leaf/contract';
import { Droplets } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { buttonLook } from '../../ui/button';
import { Opens } from '../../ui/opens';

// fetched when first opened, so the page comes sooner
const Amount = lazy(async () => ({ default: (await import('./water-button-amount')).WaterButtonAmount }));

/** Waters a whole bed in two touches: the first shows the amount, the second records it. */
export function WaterButton({ view }: { view: PlaceOnView }) {
  return (
    <Opens
      label={`Water ${view.place.name}`}
      className={buttonLook('quiet')}
      panelClass="w-72"
      button={
        <>
          <Droplets aria-hidden size={18} /> <span className="@max-[17rem]:hidden">Water</span>
        </>
      }
    >
      {(close) => (
        <Suspense fallback={<div className="h-40" />}>
          <Amount view={view} onDone={close} />
        </Suspense>
      )}
    </Opens>
  );
}
