import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { PlacePlanDto, TimerView } from '@candid-leaf/contract';
import { addDays, roundTo, toTenth, type Day } from '@candid-leaf/core/units';
import { v5 } from 'uuid';
import { In, type DataSource } from 'typeorm';
import { livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { GardensService } from '../gardens/gardens.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { RecordsService } from '../records/records.service.js';
import { badRequest } from '../shared/http-errors.js';
import { HoseTimer, type TimerLogged, type TimerOnTap } from './hose-timer.js';
import { TimerSettings } from './timer-settings.service.js';
import { TimerRunEntity, TimerStateEntity } from './timer.entities.js';

/** Runs start at this hour: in the morning least is lost. */
const START = '06:00';
const READ_BACK_DAYS = 14;
/** A run within this share of the plan counts as planned. */
const NEAR = 0.15;
/** Namespace of ids for timer waterings: the same run always writes the same record. */
const RUN_IDS = '5f0c2ad8-2f6a-4f0e-9b43-0b7f1b6f6d11';

/** Sends a plan to the hose timer and reads what ran back as watering records. */
@Injectable()
export class TimerService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly timer: HoseTimer,
    private readonly settings: TimerSettings,
    private readonly gardens: GardensService,
    private readonly records: RecordsService,
  ) {}

  async view(place: PlaceEntity, today: Day): Promise<TimerView | null> {
    const zone = place.watering?.timerZone;
    if (!zone) return null;
    const [state, runs] = await Promise.all([
      this.db.manager.findOneBy(TimerStateEntity, { placeId: place.id }),
      this.db.manager.find(TimerRunEntity, { where: { placeId: place.id }, order: { day: 'ASC' } }),
    ]);
    const since = addDays(today, -READ_BACK_DAYS);
    return {
      zone,
      sentAt: state?.sentAt?.toISOString() ?? null,
      readAt: state?.readAt?.toISOString() ?? null,
      trouble: state?.trouble ?? null,
      runs: runs
        .filter((r) => r.day >= since)
        .map(({ day, minutes, litres, ranMinutes, ranLitres }) => ({
          day,
          minutes,
          litres,
          ranMinutes,
          ranLitres,
          differs: difference({ day, minutes, litres, ranMinutes, ranLitres }, today, state?.readAt != null),
        })),
    };
  }

  /** Sends the coming days of the plan to the timer. If it does not answer, nothing changes and the error is shown. */
  async send(s: GardenSnapshot, place: PlaceEntity, plan: PlacePlanDto): Promise<void> {
    const zone = place.watering?.timerZone;
    if (!zone)
      throw badRequest([
        { path: 'watering.timerZone', reason: 'no outlet of the timer is assigned to this bed or pot' },
      ]);
    const { flowLPerH } = place;
    if (!flowLPerH)
      throw badRequest([
        { path: 'flowLPerH', reason: 'the timer counts minutes: set the flow of this bed or pot first' },
      ]);
    // a bed on a timer is watered as one
    const [pour] = plan.pours;
    const runs = (pour?.plan?.days ?? []).flatMap((d) =>
      d.litres > 0 && d.steps && d.steps.minutes !== null
        ? [
            {
              day: d.date,
              litres: toTenth(d.litres * (pour?.plants.length ?? 1)),
              minutes: d.steps.minutes,
              times: d.steps.times,
              waitMinutes: d.steps.waitMinutes,
            },
          ]
        : [],
    );
    const trouble = await this.reach(s.garden.id, (timer) =>
      this.timer.write(timer, zone, {
        flowLPerH,
        runs: runs.map((r) => ({
          date: r.day,
          start: START,
          minutes: r.minutes,
          times: r.times,
          waitMinutes: r.waitMinutes,
        })),
      }),
    );
    await this.gardens.change(s.garden.id, async (m) => {
      const state = { placeId: place.id, gardenId: s.garden.id, trouble };
      if (trouble) return void (await m.upsert(TimerStateEntity, state, ['placeId']));
      await m.upsert(TimerStateEntity, { ...state, sentAt: new Date() }, ['placeId']);
      // future runs are replaced; past ones stay as sent
      const old = await m.findBy(TimerRunEntity, { placeId: place.id });
      const coming = old.filter((r) => r.day >= s.today && r.ranMinutes === null).map((r) => r.day);
      if (coming.length > 0) await m.delete(TimerRunEntity, { placeId: place.id, day: In(coming) });
      const kept = new Set(old.filter((r) => !coming.includes(r.day)).map((r) => r.day));
      for (const r of runs)
        if (!kept.has(r.day))
          await m.insert(TimerRunEntity, {
            placeId: place.id,
            day: r.day,
            gardenId: s.garden.id,
            minutes: r.minutes * r.times,
            litres: r.litres,
            ranMinutes: null,
            ranLitres: null,
          });
    });
  }

  /** Reads the log up to today: each run becomes one watering record and is compared with the plan. */
  async read(s: GardenSnapshot, accountId: string, place: PlaceEntity): Promise<void> {
    const plants = Math.max(1, livePlantsIn(s, place.id).length);
    const zone = place.watering?.timerZone;
    if (!zone)
      throw badRequest([
        { path: 'watering.timerZone', reason: 'no outlet of the timer is assigned to this bed or pot' },
      ]);
    let log: TimerLogged[] = [];
    // what the outlet gave before it was assigned here went to another bed
    const from = [addDays(s.today, -READ_BACK_DAYS), place.zoneSince ?? s.today].sort().at(-1)!;
    const trouble = await this.reach(s.garden.id, async (timer) => {
      log = from > s.today ? [] : await this.timer.log(timer, zone, from, s.today);
    });
    await this.gardens.change(s.garden.id, async (m) => {
      const state = { placeId: place.id, gardenId: s.garden.id, trouble };
      if (trouble) return void (await m.upsert(TimerStateEntity, state, ['placeId']));
      await m.upsert(TimerStateEntity, { ...state, readAt: new Date() }, ['placeId']);
      for (const run of log) {
        await m.update(
          TimerRunEntity,
          { placeId: place.id, day: run.date },
          { ranMinutes: run.minutes, ranLitres: run.litres },
        );
        // one run makes one record, whichever bed its outlet waters now; before outlets were assigned, ids used the
        // bed
        const id = v5(`${s.garden.id} ${zone} ${run.date}`, RUN_IDS);
        const before = v5(`${place.id} ${run.date}`, RUN_IDS);
        // a record changed or deleted by the gardener stays that way
        if (run.litres <= 0 || (await this.records.wasEverWritten(m, id, before))) continue;
        await this.records.write(m, s.garden.id, accountId, s.today, {
          id,
          type: 'watering',
          placeId: place.id,
          data: { date: run.date, litres: roundTo(run.litres / plants, 2) },
        });
      }
    });
  }

  /** Returns null on success, else the error. */
  private async reach(gardenId: string, work: (timer: TimerOnTap) => Promise<void>): Promise<string | null> {
    const timer = await this.settings.of(gardenId);
    if (!timer) return 'no hose timer is set up for this garden';
    try {
      await work(timer);
      return null;
    } catch (error) {
      return (error as Error).message.slice(0, 300);
    }
  }
}

/** Says how a run differs from the plan; null if it agrees or the day has not come. */
function difference(
  r: { day: Day; minutes: number; litres: number; ranMinutes: number | null; ranLitres: number | null },
  today: Day,
  read: boolean,
): string | null {
  if (r.ranLitres === null) return r.day < today && read ? 'it did not run' : null;
  const share = r.litres > 0 ? r.ranLitres / r.litres : 1;
  if (Math.abs(share - 1) <= NEAR) return null;
  const percent = Math.round(share * 100);
  return r.ranMinutes !== null && r.ranMinutes >= r.minutes * (1 - NEAR) && share < 1
    ? `it ran its full time but gave only ${percent} % of the water: check the filter`
    : `it gave ${percent} % of what was planned`;
}
