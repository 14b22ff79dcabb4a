import type { PlaceDto } from '@candid-leaf/contract';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { ON_RUBBISH, SOIL_BORNE } from '@candid-leaf/core/planning';
import type { DisorderCode, EarlierYear } from '@candid-leaf/core/records';
import { seasonYear } from '@candid-leaf/core/season';
import { asInput } from '../../../lib/as-input';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Toggles } from '../../../ui/toggles';
import { Unfold } from '../../../ui/unfold';
import { useWrite } from '../../../ui/use-write';
import { savePlace } from '../../../data/places';

/** Problems that a bed can pass on to the next year. */
const LASTING: [DisorderCode, string][] = [...SOIL_BORNE, ...ON_RUBBISH].map((d) => [d, disorderRow(d).label]);

/** Asks what grew here in the last two years, one tap a year, and which problems there were. */
export function EarlierYears({ place, known }: { place: PlaceDto; known: readonly EarlierYear[] }) {
  const garden = useGarden();
  const save = useWrite(savePlace, garden.id);
  const before = place.history ?? [];
  const put = (history: EarlierYear[], said: string) =>
    save.mutate(
      { place: { ...asInput(place), history } },
      {
        said,
        undo: (now) => save.mutate({ place: { ...asInput(now), history: before } }),
      },
    );
  const now = seasonYear({ latitude: garden.latitude, seasonMode: garden.seasonMode ?? undefined }, garden.today);
  const open = [now - 1, now - 2].filter((year) => !known.some((y) => y.year === year));
  const told = before.filter((y) => y.family === 'nightshade' && y.year >= now - 2);
  const having = (changed: EarlierYear) => [...before.filter((y) => y.year !== changed.year), changed];
  return (
    <>
      {open.map((year) => (
        <div key={year} className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="min-w-40 flex-1">What grew here in {year}?</span>
          <span className="flex flex-wrap gap-1">
            <Button
              disabled={save.isPending}
              aria-label={`${year}: tomatoes, peppers or relatives`}
              onClick={() =>
                put(having({ year, family: 'nightshade' }), `${year}: tomatoes, peppers or relatives. Any problems?`)
              }
            >
              Tomatoes, peppers or relatives
            </Button>
            <Button
              disabled={save.isPending}
              aria-label={`${year}: others or nothing`}
              onClick={() => put(having({ year, family: 'other' }), `${year}: others or nothing.`)}
            >
              Others or nothing
            </Button>
          </span>
        </div>
      ))}
      {told.map((y) => (
        <Unfold
          key={y.year}
          className="mt-2"
          look="act"
          title={y.problems ? `Problems in ${y.year}` : `Any problems in ${y.year}?`}
        >
          {() => (
            <>
              <Toggles
                label={`Problems in ${y.year}`}
                options={LASTING}
                value={y.problems ?? []}
                onChange={(problems) =>
                  put(having({ ...y, problems: problems as DisorderCode[] }), `${y.year}: problems saved.`)
                }
              />
              {!y.problems && (
                <Button
                  className="mt-2"
                  disabled={save.isPending}
                  onClick={() => put(having({ ...y, problems: [] }), `${y.year}: none of these.`)}
                >
                  None of these
                </Button>
              )}
            </>
          )}
        </Unfold>
      ))}
    </>
  );
}
