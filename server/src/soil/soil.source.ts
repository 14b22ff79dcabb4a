import { addDays } from '@candid-leaf/core/units';
import { CAUTIONS, MULCHES, spellOn, type Covering, type Inspection } from '@candid-leaf/core/records';
import { Injectable } from '@nestjs/common';
import { mulchOfPlace } from '@candid-leaf/core/care';
import { weatherInPlace } from '@candid-leaf/core/climate';
import { mulchInWords, type MulchPlan } from '@candid-leaf/core/soil';
import type { EntityManager } from 'typeorm';
import { weatherIn } from '../assessment/weather-lists.js';
import { isSinceStart } from '../assessment/plant-case.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { RecordsService } from '../records/records.service.js';
import { TreatmentsService } from '../treatments/treatments.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';

const MINUTES = 20;

/** Mulch, when the soil is warm and the plants are tall enough. In heat it is part of the heat plan. */
@Injectable()
export class SoilSource extends RecordingSource {
  readonly code = 'soil';

  constructor(
    records: RecordsService,
    private readonly treatments: TreatmentsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const elsewhere = await this.treatments.plantsWith(s.garden.id, (r) => r.dose === 'mulch');
    return livePlaces(s).flatMap((place): Task[] => {
      if (livePlantsIn(s, place.id).some((p) => elsewhere.has(p.id))) return [];
      const plan = mulchOf(s, place);
      if (plan.kind !== 'lay' || plan.because === 'heat' || livePlantsIn(s, place.id).length === 0) return [];
      return [
        {
          id: place.id,
          plantId: null,
          placeId: place.id,
          title: `${plan.settled ? 'Top up the mulch' : 'Mulch'}: ${place.name}`,
          where: 'Straw, leaves or clippings, away from the stems',
          why: mulchInWords(plan, s.format),
          dueOn: s.today,
          minutes: MINUTES,
          litres: null,
          remedy: null,
          dose: null,
          amount: `${s.format.centimetres(plan.depthCm)} deep${plan.litres === null ? '' : `, ${s.format.litres(plan.litres)}`}`,
          cautions: [
            'Hay, straw or manure from sprayed land can carry weedkiller: test it with a bean seedling.',
            'Dry material is dusty: dampen it.',
            ...(plan.paper ? [CAUTIONS['plain-paper']] : []),
          ],
        },
      ];
    });
  }

  /** Laid: the bed has mulch from today on. */
  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const place = livePlaces(s).find((p) => p.id === id);
    const plan = place && mulchOf(s, place);
    if (plan?.kind !== 'lay') return null;
    const lies = spellOn(place!.mulch, s.today);
    const liesCm = plan.settled?.liesCm ?? (lies?.depthMm ?? 0) / 10;
    const same = plan.settled && MULCHES.find((m) => m === lies?.kind);
    await this.records.write(m, s.garden.id, tick.accountId, s.today, {
      id: tick.recordId,
      type: 'covering',
      placeId: id,
      data: { date: s.today, what: 'mulch', did: 'on', material: same ?? 'straw', depthCm: plan.depthCm + liesCm },
    });
    return tick.recordId;
  }

  /** A mulched bed has nothing to postpone, but the task is known. */
  override knows(_m: EntityManager, s: GardenSnapshot, id: string): Promise<boolean> {
    return Promise.resolve(livePlaces(s).some((p) => p.id === id));
  }
}

/** Returns whether a bed needs mulch. */
export const mulchOf = (s: GardenSnapshot, place: PlaceEntity): MulchPlan =>
  mulchOfPlace({
    place,
    plants: livePlantsIn(s, place.id),
    history: [...place.history, ...(place.grown ?? [])],
    weather: weatherIn(s).map((w) => weatherInPlace(place, w, s.garden)),
    today: s.today,
    bareSeen: bareSeen(s, place) || isBareSoFar(s, place),
  });

/** Returns whether nothing lies there yet: so it was said, or the plants were entered when they were planted. */
function isBareSoFar(s: GardenSnapshot, place: PlaceEntity): boolean {
  if (place.mulch.length > 0) return false;
  const said = s.recordsOf(place.id).some((r) => r.type === 'covering' && (r.data as Covering).what === 'mulch');
  return said || livePlantsIn(s, place.id).every(isSinceStart);
}

const BARE_LASTS_DAYS = 30;
/** Returns the newest look that shows bare soil, later than any mulch laid. */
function bareSeen(s: GardenSnapshot, place: PlaceEntity): boolean {
  const since = [addDays(s.today, -BARE_LASTS_DAYS), ...place.mulch.map((x) => x.from)].sort().at(-1)!;
  return livePlantsIn(s, place.id).some((plant) =>
    s
      .recordsOf(plant.id)
      .some(
        (r) =>
          r.type === 'inspection' &&
          r.day > since &&
          (r.data as Inspection).signs.some((x) => x.sign === 'soil-bare' && x.present),
      ),
  );
}
