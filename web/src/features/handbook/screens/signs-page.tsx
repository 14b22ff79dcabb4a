import { type Crop, PARTS, SIGNS } from '@candid-leaf/core/records';
import { useSearchParams } from 'react-router';
import { Choice } from '../../../ui/choice';
import { PART_WORDS } from '../../../signs/plant/touch-plant';
import { SignPicture } from '../../../signs/sign-picture';
import { GardenPage } from '../../../frame/garden-page';

/** All drawings, by part. */
export function SignsPage() {
  const [params, setParams] = useSearchParams();
  const crop: Crop = params.get('crop') === 'pepper' ? 'pepper' : 'tomato';
  return (
    <GardenPage title={() => 'All drawings'}>
      {() => (
        <>
          <Choice
            label="Crop"
            value={crop}
            options={[
              ['tomato', 'Tomato'],
              ['pepper', 'Pepper'],
            ]}
            onChange={(v) => setParams({ crop: v }, { replace: true, preventScrollReset: true })}
          />
          {PARTS.map((part) => (
            <section key={part} aria-label={PART_WORDS[part]} className="mt-6">
              <h2 className="mb-2 text-xl">{PART_WORDS[part]}</h2>
              <ul className="grid grid-cols-3 gap-2 sm:grid-cols-5 lg:grid-cols-8">
                {SIGNS.filter((s) => s.parts[0] === part && (!s.crop || s.crop === crop)).map((s) => (
                  <li
                    key={s.code}
                    className="rounded-xl border border-line bg-card p-2 text-center text-sm leading-4"
                    title={s.line}
                  >
                    <SignPicture sign={s.code} crop={crop} className="mx-auto size-24 max-w-full" />
                    {s.label}
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </>
      )}
    </GardenPage>
  );
}
