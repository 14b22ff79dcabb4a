import { Button } from '../../../ui/button';

/** How far a file is; once it is there, the server reads it. */
export function OnItsWay({ share, onStop }: { share: number; onStop: () => void }) {
  const percent = Math.round(share * 100);
  return (
    <div role="status" className="flex flex-wrap items-center gap-3">
      <progress aria-label="On its way" max={100} value={percent} className="h-3 w-48 accent-leaf" />
      <span>{percent < 100 ? `${percent} % sent` : 'Reading it …'}</span>
      <Button look="quiet" onClick={onStop}>
        Break it off
      </Button>
    </div>
  );
}
