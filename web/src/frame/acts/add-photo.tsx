import type { SignCode } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { Camera } from 'lucide-react';
import { useId, useState, type ChangeEvent } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../lib/garden-context';
import { buttonLook } from '../../ui/button';
import { useSay } from '../../ui/toast';
import { useWrite } from '../../ui/use-write';
import type { PhotoSubject } from '../../data/photos';
import { shrink } from '../../data/shrink-photo';
import { savePhoto } from '../../data/photos';

interface Props {
  of: PhotoSubject;
  sign?: SignCode;
  /** its accessible name */
  label: string;
  look?: 'plain' | 'quiet';
  className?: string;
}

/** Takes or chooses a photo: shrunk here, then sent or kept until online. */
export function AddPhoto({ of, sign, label, look = 'plain', className }: Props) {
  const garden = useGarden();
  const say = useSay();
  const save = useWrite(savePhoto, garden.id);
  const [busy, setBusy] = useState(false);
  const id = useId();
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const input = event.currentTarget;
    const files = [...(input.files ?? [])];
    input.value = '';
    setBusy(true);
    for (const file of files) {
      let picture: Blob;
      try {
        picture = await shrink(file);
      } catch {
        say('We can’t open this as a photo.', { bad: true });
        continue;
      }
      save.mutate({ id: uuid(), of, day: garden.today, sign, picture }, { said: 'Photo saved.' });
    }
    setBusy(false);
  };
  return (
    <span className={className}>
      <input
        id={id}
        type="file"
        accept="image/*"
        multiple
        className="peer sr-only"
        aria-label={label}
        disabled={busy}
        onChange={(e) => void take(e)}
      />
      <label
        htmlFor={id}
        aria-hidden
        className={clsx(
          buttonLook(look),
          'w-full cursor-pointer peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-leaf',
          busy && 'opacity-60',
        )}
      >
        <Camera aria-hidden size={18} /> Photo
      </label>
    </span>
  );
}
