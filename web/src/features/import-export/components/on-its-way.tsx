import { Button } from '../../../ui/button';
import { ShareBar } from '../../../ui/share-bar';

/** Upload progress; once complete, the server reads the file. */
export function OnItsWay({ share, onStop }: { share: number; onStop: () => void }) {
  const percent = Math.round(share * 100);
  return (
    <div role="status" className="flex flex-wrap items-center gap-3">
      <ShareBar label="Sending" percent={percent} className="w-48" />
      <span>{percent < 100 ? `${percent} % sent` : 'Reading it …'}</span>
      <Button look="quiet" onClick={onStop}>
        Cancel
      </Button>
    </div>
  );
}
