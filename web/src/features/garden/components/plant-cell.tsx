import type { PlantOnView } from '@candid-leaf/contract';
import type { PotMaterial } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { DRY_LEFT } from '@candid-leaf/core/water';
import { Check, CircleDot, TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { PlantDrawing } from '../../../signs/plant-drawing';
import { percent, Pot, SoilSlice } from '../../../ui/water-left';
import { useRecordOnce } from '../../records/components/use-record-once';

/** Water left on a day of the ribbon. */
export const leftOn = (p: PlantOnView, day: Day): number | null =>
  p.course.find((c) => c.day === day)?.fractionAvailable ?? null;

interface Props {
  view: PlantOnView;
  left: number | null;
  /** what its pot is of; null in a bed */
  pot: PotMaterial | null;
  isToday: boolean;
}

/** A plant as it stands in its strip, with the soil under it and what there is to say of it. */
export function PlantCell({ view, left, pot, isToday }: Props) {
  const link = useLink();
  const { plant } = view;
  const scale = Math.min(1, Math.max(0.5, (plant.heightM ?? 1) / 1.7));
  return (
    <li className="relative flex flex-col items-center self-stretch text-center">
      <Link
        to={link('plant', { plantId: plant.id })}
        className="group flex w-full flex-1 flex-col items-center justify-end hover:bg-leafwash"
      >
        <span className="flex min-h-14 items-end pt-1" aria-hidden>
          <PlantDrawing plant={plant} bare style={{ height: `${scale * 8}rem` }} />
        </span>
        {pot ? <Pot fraction={left} material={pot} id={plant.id} /> : <SoilSlice fraction={left} />}
        <span className="mt-1 px-1 leading-5 font-semibold text-ink group-hover:underline">{plant.name}</span>
        {pot && left !== null && <span className="text-sm tabular-nums">{percent(left)} left</span>}
        <span className="min-h-5 px-1 text-sm leading-5">
          <Said view={view} />
        </span>
      </Link>
      {isToday && <AllClear plant={plant} />}
    </li>
  );
}

/** What is said under a plant: its trouble, its thirst, or nothing. */
function Said({ view }: { view: PlantOnView }) {
  const format = useFormat();
  const { today } = useGarden();
  if (view.finding && !view.finding.harmless)
    return (
      <span className="flex items-start gap-1 font-semibold text-ripe">
        <CircleDot aria-hidden size={15} className="mt-1 shrink-0" /> {view.finding.label}
      </span>
    );
  if (view.unclear)
    return (
      <span className="flex items-start gap-1 font-semibold">
        <TriangleAlert aria-hidden size={15} className="mt-1 shrink-0" /> Not clear yet
      </span>
    );
  if ((view.fractionAvailable ?? 1) < DRY_LEFT)
    return (
      <span className="flex items-start gap-1 font-semibold text-ripe">
        <TriangleAlert aria-hidden size={15} className="mt-1 shrink-0" /> Dry
      </span>
    );
  if (view.finding) return <span className="text-soft">{view.finding.label}: harmless</span>;
  if (!view.lastLook) return <span className="text-soft">not looked at yet</span>;
  return (
    <span className="text-soft">
      {view.lastLook === today ? 'looked at today' : `seen ${format.day(view.lastLook)}`}
    </span>
  );
}

/** One touch: looked at, nothing wrong. */
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
