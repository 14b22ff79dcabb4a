import type { PlantOnView } from '@candid-leaf/contract';
import type { PotMaterial } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { Check, CircleDot, Droplet, Eye, ShoppingBasket, TriangleAlert, Waves, type LucideIcon } from 'lucide-react';
import { asGrown } from '../../../lib/plant-now';
import clsx from 'clsx';
import { Link } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { percent, Pot, SoilSlice } from '../../../ui/water-left';
import type { Mark } from '../marks';
import { useRecordOnce } from '../../../frame/acts/use-record-once';

/** Cover over the plants of a bed. */
export type Over = 'cloth' | 'roof' | 'tunnel' | 'glasshouse' | null;

/** Drawn behind the plants: cloth as a woven band, film and glass as their frame. */
const OVER: Record<NonNullable<Over>, string> = {
  cloth:
    'bg-[repeating-linear-gradient(45deg,var(--color-cloth)_0_1.5px,transparent_1.5px_5px),repeating-linear-gradient(-45deg,var(--color-cloth)_0_1.5px,transparent_1.5px_5px)] bg-[length:100%_0.9rem] bg-no-repeat',
  roof: 'border-t-4 border-timber',
  tunnel: 'rounded-t-[50%_2rem] border-t-3 border-soft',
  glasshouse:
    'border-t-3 border-soft bg-[linear-gradient(to_right,var(--color-line)_0_2px,transparent_2px)] bg-[length:2.5rem_100%]',
};

/** Returns the water left on a day of the ribbon. */
export const leftOn = (p: PlantOnView, day: Day): number | null =>
  p.course.find((c) => c.day === day)?.fractionAvailable ?? null;

interface Props {
  view: PlantOnView;
  left: number | null;
  /** what it needs, most urgent first */
  marks: readonly Mark[];
  /** its pot's material; null in a bed */
  pot: PotMaterial | null;
  over: Over;
  mulched: boolean;
  isToday: boolean;
}

/** A plant in its strip, with the soil under it and its status: three rows shared by all plants of the strip. */
export function PlantCell({ view, left, marks, pot, over, mulched, isToday }: Props) {
  const link = useLink();
  const { stands } = view;
  const plant = asGrown(view);
  const scale = Math.min(1, Math.max(0.5, (plant.heightM ?? 1) / 1.7));
  return (
    <li className="relative row-span-3 grid grid-rows-subgrid text-center">
      <Link
        to={link('plant', { plantId: plant.id })}
        className="group row-span-3 grid grid-rows-subgrid justify-items-center hover:bg-leafwash"
      >
        <span className={clsx('flex min-h-21 w-full items-end justify-center pt-1', over && OVER[over])} aria-hidden>
          <PlantDrawing
            plant={{ ...plant, load: stands.load, limp: stands.limp }}
            held={stands.held}
            ailing={stands.ailing}
            bare
            style={{ height: `${scale * 7}rem` }}
          />
        </span>
        {pot ? (
          <Pot fraction={left} material={pot} id={plant.id} mulched={mulched} />
        ) : (
          <SoilSlice fraction={left} mulched={mulched} />
        )}
        <span className="flex flex-col px-0.5 pt-1">
          <span className="leading-5 font-semibold text-ink group-hover:underline">{plant.name}</span>
          {pot && left !== null && <span className="text-sm tabular-nums">{percent(left)} left</span>}
          <span className="px-0.5 text-sm leading-5">
            <Said view={view} marks={marks} />
          </span>
        </span>
      </Link>
      {isToday && <AllClear plant={plant} />}
    </li>
  );
}

/** Each mark by shape and word; urgent ones stand out. */
const LOOKS: Record<Mark, { icon: LucideIcon; word: string; look: string }> = {
  sick: { icon: CircleDot, word: '', look: 'font-semibold text-ripe' },
  unclear: { icon: TriangleAlert, word: 'Not clear yet', look: 'font-semibold' },
  dry: { icon: Droplet, word: 'Dry', look: 'font-semibold text-ripe' },
  ripe: { icon: ShoppingBasket, word: 'Ripe: pick', look: 'font-semibold' },
  look: { icon: Eye, word: 'Look due', look: 'font-semibold' },
  wet: { icon: Waves, word: 'Wet', look: 'text-soft' },
};

/** Text under a plant: what it needs first, or that it was looked over. */
function Said({ view, marks: [first] }: { view: PlantOnView; marks: readonly Mark[] }) {
  const { today } = useGarden();
  const harmless = view.finding?.harmless && <span className="text-soft">{view.finding.label}</span>;
  // "look due" is also in Today; "wet" is only shown if nothing else is
  const mark = first === 'look' ? !harmless : first === 'wet' ? !harmless && view.lastLook !== today : first;
  if (first && mark) {
    const { icon: Icon, word, look } = LOOKS[first];
    return (
      <span className={`inline-flex items-start gap-1 text-left ${look}`}>
        <Icon aria-hidden size={15} className="mt-0.5 shrink-0" />
        {/* Today says it in words */}
        <span className={clsx(first === 'look' && 'sr-only')}>{first === 'sick' ? view.finding?.label : word}</span>
      </span>
    );
  }
  if (harmless) return harmless;
  if (!view.lastLook) return <span className="text-soft">not looked over yet</span>;
  return view.lastLook === today && <span className="text-soft">looked over today</span>;
}

/** One touch: looked over, nothing wrong. */
function AllClear({ plant }: { plant: PlantOnView['plant'] }) {
  const garden = useGarden();
  const record = useRecordOnce(garden.id);
  const allClear = () =>
    record.write(
      { type: 'inspection', plantId: plant.id, data: { date: garden.today, allClear: true, signs: [] } },
      `${plant.name}: all clear.`,
    );
  return (
    <button
      type="button"
      title="All clear"
      className="absolute top-0 right-0 grid size-11 place-items-center rounded-full text-leaf hover:bg-leafwash disabled:opacity-50"
      onClick={allClear}
      disabled={record.isPending}
      aria-label={`${plant.name}: all clear`}
    >
      <span className="grid size-7 place-items-center rounded-full border border-leaf">
        <Check aria-hidden size={16} />
      </span>
    </button>
  );
}
