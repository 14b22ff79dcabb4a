import { type Crop, PARTS, SIGNS } from '@candid-leaf/core/records';
import { Link, useSearchParams } from 'react-router';
import { Choice } from '../../../ui/choice';
import { PART_WORDS } from '../../../signs/plant/touch-plant';
import { SignPicture } from '../../../signs/sign-picture';
import { HandbookPage } from '../../../frame/handbook-page';
import { tabLook } from '../../../ui/tabs';

const comeIntoView = (tab: HTMLElement | null) => tab?.scrollIntoView({ inline: 'center', block: 'nearest' });

/** All drawings, one part of the plant at a time. */
export function SignsPage() {
  const [params, setParams] = useSearchParams();
  const crop: Crop = params.get('crop') === 'pepper' ? 'pepper' : 'tomato';
  const part = PARTS.find((p) => p === params.get('part')) ?? 'leaves';
  return (
    <HandbookPage>
      {() => (
        <>
          <Choice
            label="Crop"
            value={crop}
            options={[
              ['tomato', 'Tomato'],
              ['pepper', 'Pepper'],
            ]}
            onChange={(v) => setParams({ crop: v, part }, { replace: true, preventScrollReset: true })}
          />
          <nav aria-label="Part" className="mt-2 flex gap-x-3 overflow-x-auto [scrollbar-width:none]">
            {PARTS.map((p) => (
              <Link
                key={p}
                ref={p === part ? comeIntoView : null}
                to={`?${new URLSearchParams({ crop, part: p })}`}
                replace
                preventScrollReset
                aria-current={p === part ? 'true' : undefined}
                className={tabLook({ isActive: p === part })}
              >
                {PART_WORDS[p]}
              </Link>
            ))}
          </nav>
          <section aria-label={PART_WORDS[part]} className="mt-4">
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
        </>
      )}
    </HandbookPage>
  );
}
