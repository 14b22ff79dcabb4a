import { Button } from '../../../ui/button';
import { ShareBar } from '../../../ui/share-bar';

interface Props {
  /** sent so far, 0 to 1 */
  share: number;
  /** rows read so far, if the server says so */
  rows?: number;
  /** true once it goes on without this page */
  goesOn?: boolean;
  onStop: () => void;
}

/** Upload progress; once complete, the server reads the file. */
export function OnItsWay({ share, rows = 0, goesOn = false, onStop }: Props) {
  const percent = Math.round(share * 100);
  const reading = rows > 0 ? `${rows} rows read …` : 'Reading it …';
  return (
    <div role="status" className="flex flex-wrap items-center gap-3">
      <ShareBar label="Sending" percent={percent} className="w-48" />
      <span>{percent < 100 ? `${percent} % sent` : reading}</span>
      <Button look="quiet" onClick={onStop}>
        Cancel
      </Button>
      {goesOn && <p className="w-full text-sm text-soft">You can leave this page: the import goes on.</p>}
    </div>
  );
}
