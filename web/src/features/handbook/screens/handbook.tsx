import { type DisorderRow, DISORDERS } from '@candid-leaf/core/diagnosis';
import type { Crop } from '@candid-leaf/core/records';
import { Lightbulb, Shapes, Scale } from 'lucide-react';
import { useDeferredValue, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { Choice } from '../../../ui/choice';
import { SignPicture } from '../../../signs/sign-picture';
import { GardenPage } from '../../../frame/garden-page';
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
  return <GardenPage title={() => 'Handbook'}>{() => <Handbook />}</GardenPage>;
}

function Handbook() {
  const link = useLink();
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
        <Link className={buttonLook('plain')} to={link('practice', {})}>
          <Lightbulb aria-hidden size={18} /> Practice
        </Link>
        <Link className={buttonLook('quiet')} to={link('signs', {})}>
          <Shapes aria-hidden size={18} /> All drawings
        </Link>
        <Link className={buttonLook('quiet')} to={link('claims', {})}>
          <Scale aria-hidden size={18} /> Garden claims, checked
        </Link>
      </div>
      {found ? (
        found.length > 0 ? (
          <Cards list={found} crop={crop} />
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

function Cards({ list, crop }: { list: readonly DisorderRow[]; crop: Crop | 'both' }) {
  const link = useLink();
  return (
    <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
      {list.map((d) => (
        <li key={d.code}>
          <Link
            to={link('disorder', { disorder: d.code })}
            className="-mx-2 flex h-full items-center gap-3 rounded-xl px-2 py-1.5 hover:bg-leafwash"
          >
            <SignPicture
              sign={ownDrawing(d)}
              crop={crop === 'pepper' ? 'pepper' : (d.crop ?? 'tomato')}
              className="size-18 shrink-0"
            />
            <span>
              <span className="block font-semibold text-leaf">
                {d.label}
                {d.harmless && <span className="font-normal text-soft"> · harmless</span>}
              </span>
              <span className="block text-sm leading-5 text-soft">{d.line}</span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
