import { type DisorderRow, DISORDERS } from '@candid-leaf/core/diagnosis';
import type { Crop } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { useDeferredValue, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLink } from '../../../lib/garden-context';
import { TextField } from '../../../ui/field';
import { Choice } from '../../../ui/choice';
import { SignPicture } from '../../../signs/sign-picture';
import { HandbookPage } from '../../../frame/handbook-page';
import { ownDrawing } from '../../../signs/own-drawing';
import { disordersFor } from '../search';

const GROUPS: readonly [DisorderRow['group'], string][] = [
  ['fruit', 'On the fruit'],
  ['flower', 'Flowers'],
  ['water and weather', 'Water, heat, cold and light'],
  ['nutrition', 'Feeding'],
  ['natural and mechanical', 'Natural, broken or sprayed'],
  ['creatures', 'Insects, mites, snails and others'],
  ['disease', 'Diseases'],
];

/** The handbook: every problem and harmless look, by picture or words. */
export function HandbookScreen() {
  return <HandbookPage>{() => <Handbook />}</HandbookPage>;
}

function Handbook() {
  const [params, setParams] = useSearchParams();
  const words = params.get('words') ?? '';
  const crop = (params.get('crop') ?? 'both') as Crop | 'both';
  const set = (key: string, value: string) =>
    setParams(
      (p) => {
        if (value) p.set(key, value);
        else p.delete(key);
        return p;
      },
      { replace: true, preventScrollReset: true },
    );
  const asked = useDeferredValue(words);
  const hits = useMemo(() => disordersFor(asked), [asked]);
  const fits = (d: DisorderRow) => crop === 'both' || !d.crop || d.crop === crop;
  const found =
    hits &&
    DISORDERS.filter((d) => hits.includes(d.code) && fits(d)).sort(
      (a, b) => hits.indexOf(a.code) - hits.indexOf(b.code),
    );
  return (
    <>
      <div className="mb-5 flex flex-wrap items-end gap-x-2 gap-y-2">
        <div className="w-full sm:w-80">
          <TextField
            label="What does it look like?"
            placeholder="brown spots with rings, drooping at noon …"
            value={words}
            onChange={(e) => set('words', e.target.value)}
          />
        </div>
        <Choice
          label="Crop"
          value={crop}
          options={[
            ['both', 'Both'],
            ['tomato', 'Tomato'],
            ['pepper', 'Pepper'],
          ]}
          onChange={(v) => set('crop', v === 'both' ? '' : v)}
        />
      </div>
      {found ? (
        found.length > 0 ? (
          <Cards list={found} crop={crop} told />
        ) : (
          <p role="status" className="text-soft">
            No match. Try the part and the colour: “brown fruit”, “yellow leaf”.
          </p>
        )
      ) : (
        GROUPS.map(([group, title]) => {
          const list = DISORDERS.filter((d) => d.group === group && fits(d));
          return (
            <section key={group} aria-label={title} className="mb-7">
              <h2 className="mb-2 text-xl">{title}</h2>
              <Cards list={list} crop={crop} />
            </section>
          );
        })
      )}
    </>
  );
}

/** Tiles of the drawing and the name; a search adds the line that tells them apart. */
function Cards({ list, crop, told = false }: { list: readonly DisorderRow[]; crop: Crop | 'both'; told?: boolean }) {
  const link = useLink();
  return (
    <ul
      className={clsx(
        'grid gap-2',
        told ? 'sm:grid-cols-2 lg:grid-cols-3' : 'grid-cols-3 sm:grid-cols-4 md:grid-cols-6 lg:grid-cols-8',
      )}
    >
      {list.map((d) => (
        <li key={d.code}>
          <Link
            to={link('disorder', { disorder: d.code })}
            className={clsx(
              'flex h-full items-center rounded-xl p-1.5 hover:bg-leafwash',
              told ? 'gap-3' : 'flex-col gap-1 text-center',
            )}
          >
            <SignPicture
              sign={ownDrawing(d)}
              crop={crop === 'pepper' ? 'pepper' : (d.crop ?? 'tomato')}
              className={clsx('max-w-full shrink-0', told ? 'size-18' : 'size-22')}
            />
            <span>
              <span className={clsx('block font-semibold text-leaf', !told && 'text-sm leading-4.5')}>{d.label}</span>
              {told && <span className="block text-sm leading-5 text-soft">{d.line}</span>}
              {d.harmless && <span className="block text-sm leading-4.5 text-soft">harmless</span>}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
