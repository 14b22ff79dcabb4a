import { signRow } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { Clock, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden, useMay } from '../../lib/garden-context';
import { Button } from '../../ui/button';
import { Panel } from '../../ui/panel';
import { useWrite } from '../../ui/use-write';
import type { PhotoSubject } from '../../data/photos';
import { usePhotos, type Shown } from '../../data/use-photos';
import { deletePhoto, restorePhoto } from '../../data/photos';
import { AddPhoto } from './add-photo';

interface Props {
  of: PhotoSubject;
  name: string;
  /** read-only */
  reading?: boolean;
  className?: string;
}

/** The plant over time: the newest photo beside an earlier one, and all to choose from. */
export function Photos({ of, name, reading = false, className }: Props) {
  const garden = useGarden();
  const may = useMay();
  const photos = usePhotos(garden.id, of);
  const [chosen, setChosen] = useState<string | null>(null);
  const now = photos[0];
  const others = photos.slice(1);
  const then = others.find((p) => p.id === chosen) ?? others.at(-1);
  const mayAdd = !reading && may('record');
  if (!mayAdd && photos.length === 0) return null;
  return (
    <Panel title="Photos" {...(className ? { className } : {})}>
      {!now ? (
        <p className="mt-1 text-soft">No photos yet. One every week or two shows what the eye forgets.</p>
      ) : (
        <div className="mt-2 grid max-w-3xl grid-cols-2 gap-2 sm:gap-3">
          {then && <Large photo={then} name={name} mayDelete={mayAdd} />}
          <Large photo={now} name={name} mayDelete={mayAdd} />
        </div>
      )}
      {others.length > 1 && (
        <ul aria-label="Compare with" className="mt-3 flex gap-2 overflow-x-auto py-1">
          {others.map((p) => (
            <li key={p.id} className="shrink-0">
              <Small photo={p} chosen={p.id === then?.id} onChoose={() => setChosen(p.id)} />
            </li>
          ))}
        </ul>
      )}
      {mayAdd && <AddPhoto of={of} label={`Take or choose a photo: ${name}`} className="mt-3 inline-block" />}
    </Panel>
  );
}

const of = (photo: Shown, name: string, day: string): string =>
  `${name} on ${day}${photo.sign ? `: ${signRow(photo.sign).label.toLowerCase()}` : ''}`;

function Large({ photo, name, mayDelete }: { photo: Shown; name: string; mayDelete: boolean }) {
  const garden = useGarden();
  const format = useFormat();
  const remove = useWrite(deletePhoto, garden.id);
  const restore = useWrite(restorePhoto, garden.id);
  const day = format.day(photo.day);
  const { id } = photo;
  return (
    <figure className="min-w-0">
      <a href={photo.whole} target="_blank" rel="noreferrer" aria-label={`${of(photo, name, day)}, whole`}>
        <img
          src={photo.whole}
          alt={of(photo, name, day)}
          loading="lazy"
          className="aspect-[3/4] w-full rounded-lg bg-paper object-contain sm:aspect-[4/3]"
        />
      </a>
      <figcaption className="flex min-h-11 flex-wrap items-center justify-between gap-x-2">
        <span>
          <strong>{day}</strong>
          {photo.sign && <span className="text-soft"> · {signRow(photo.sign).label}</span>}
          {photo.waiting && (
            <span className="flex items-center gap-1 text-sm text-soft">
              <Clock aria-hidden size={14} /> waiting to sync
            </span>
          )}
        </span>
        {mayDelete && !photo.waiting && (
          <Button
            look="quiet"
            className="px-2.5"
            aria-label={`Delete the photo of ${day}`}
            onClick={() => remove.mutate({ id }, { said: 'Photo deleted.', undo: () => restore.mutate({ id }) })}
          >
            <Trash2 aria-hidden size={17} />
          </Button>
        )}
      </figcaption>
    </figure>
  );
}

function Small({ photo, chosen, onChoose }: { photo: Shown; chosen: boolean; onChoose: () => void }) {
  const format = useFormat();
  return (
    <button
      type="button"
      aria-pressed={chosen}
      aria-label={`Compare with ${format.day(photo.day)}`}
      onClick={onChoose}
      className={clsx('rounded-lg border-2 p-0.5', chosen ? 'border-leaf' : 'border-transparent')}
    >
      <img src={photo.small} alt="" loading="lazy" className="size-18 rounded object-cover" />
      <span aria-hidden className="block text-center text-xs text-soft">
        {format.dayShort(photo.day)}
      </span>
    </button>
  );
}
