import { useQuery } from '@tanstack/react-query';
import { progressQuery } from '../../../data/imports';
import { Button } from '../../../ui/button';
import { ShareBar } from '../../../ui/share-bar';

interface Props {
  share: number;
  /** the import, if the server tells how far it is */
  of?: { gardenId: string; id: string };
  onStop: () => void;
}

/** Upload progress; once complete, the server reads the file. */
export function OnItsWay({ share, of, onStop }: Props) {
  const percent = Math.round(share * 100);
  return (
    <div role="status" className="flex flex-wrap items-center gap-3">
      <ShareBar label="Sending" percent={percent} className="w-48" />
      <span>{percent < 100 ? `${percent} % sent` : of ? <RowsRead {...of} /> : 'Reading it …'}</span>
      <Button look="quiet" onClick={onStop}>
        Cancel
      </Button>
    </div>
  );
}

function RowsRead({ gardenId, id }: { gardenId: string; id: string }) {
  const rows = useQuery(progressQuery(gardenId, id)).data?.rows ?? 0;
  return rows > 0 ? `${rows} rows read …` : 'Reading it …';
}
