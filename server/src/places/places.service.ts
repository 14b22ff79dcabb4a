import { Injectable } from '@nestjs/common';
import type { BedRule, PlaceDto, PlaceInput } from '@candid-leaf/contract';
import { soilTestFaults, withLevels } from '@candid-leaf/core/soil';
import { byDate, type Fault, isPotted, placeFaults } from '@candid-leaf/core/records';
import type { GardenEntity } from '../gardens/garden.entity.js';
import { formatterFor, type Formatter } from '@candid-leaf/core/units';
import { GardensService } from '../gardens/gardens.service.js';
import { IsNull, Not, type EntityManager } from 'typeorm';
import { badRequest, notFound, throwIfFaults } from '../shared/http-errors.js';
import { nextPosition, reorder } from '../shared/ordering.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { PlaceEntity } from './place.entity.js';

/** Returns a bed or pot without the server's own fields. */
export const placeDto = (p: PlaceEntity): PlaceDto => {
  const { gardenId: _g, deletedAt: _d, revision: _r, zoneSince: _z, grown: _w, roofed: _o, ...rest } = p;
  return rest;
};

/** Most drip flow per square metre, L an hour (twenty emitters of 8 L), and per pot. */
const MOST_DRIP = { perM2: 160, perPot: 32 };

/** Questions a flow no drip line gives: nearly always a unit mix-up. */
function flowFaults(input: PlaceInput, f: Formatter): Fault[] {
  if (input.irrigation !== 'drip' || !input.flowLPerH) return [];
  const most = isPotted(input) ? MOST_DRIP.perPot * 20 : MOST_DRIP.perM2 * (input.lengthM ?? 1) * (input.widthM ?? 1);
  return input.flowLPerH > most
    ? [
        {
          path: 'flowLPerH',
          reason: `is more than drip gives here (about ${f.litres(most)} an hour): is it for the whole bed or pot?`,
        },
      ]
    : [];
}

/** Creates and changes beds and pots. */
@Injectable()
export class PlacesService {
  constructor(private readonly gardens: GardensService) {}

  async put(gardenId: string, input: PlaceInput): Promise<PlaceDto> {
    return this.gardens.change(gardenId, (m, garden) => this.write(m, garden, input));
  }

  /** The same within another transaction. */
  async write(m: EntityManager, garden: GardenEntity, input: PlaceInput): Promise<PlaceDto> {
    const gardenId = garden.id;
    const tests = [...(input.soilTests ?? []), ...(input.soilTest ? [input.soilTest] : [])]
      .filter((t, i, all) => all.findLastIndex((x) => x.date === t.date) === i)
      .sort(byDate);
    const newest = tests.at(-1);
    throwIfFaults([
      ...placeFaults(input, ''),
      ...(input.soilTest ? soilTestFaults(input.soilTest, 'soilTest') : []),
      ...(!isPotted(input) && (input.lengthM == null || input.widthM == null)
        ? [
            {
              path: input.lengthM == null ? 'lengthM' : 'widthM',
              reason: 'a bed needs its length and width: they decide how much water it gets',
            },
          ]
        : []),
      ...flowFaults(input, formatterFor(garden.units, garden.dateForm)),
    ]);
    const zone = input.watering?.timerZone ?? null;
    await refuseTakenZone(m, gardenId, input.id, zone);
    const old = await m.findOneBy(PlaceEntity, { id: input.id, gardenId });
    const rebound = zone !== (old?.watering?.timerZone ?? null);
    const today = this.gardens.today(garden);
    const row = await putVersioned(
      m,
      PlaceEntity,
      { id: input.id, gardenId, version: input.version },
      {
        name: input.name,
        kind: input.kind,
        texture: input.texture,
        cover: input.cover ?? null,
        vents: input.vents ?? null,
        hollow: input.hollow ?? null,
        sunHours: input.sunHours ?? null,
        lowEnd: input.lowEnd ?? null,
        slope: input.slope ?? null,
        windy: input.windy ?? null,
        footpath: input.footpath ?? null,
        roomTMinC: input.roomTMinC ?? null,
        roomTMaxC: input.roomTMaxC ?? null,
        fillingCm: input.fillingCm ?? null,
        volumeL: input.volumeL ?? null,
        potMaterial: input.potMaterial ?? null,
        lengthM: input.lengthM ?? null,
        widthM: input.widthM ?? null,
        mulch: input.mulch ?? [],
        shade: input.shade ?? [],
        irrigation: input.irrigation ?? null,
        flowLPerH: input.flowLPerH ?? null,
        drainageMmPerH: input.drainageMmPerH ?? null,
        soilTest: newest ? withLevels(newest) : null,
        soilTests: tests.length > 0 ? tests : null,
        history: input.history ?? [],
        watering: input.watering ?? null,
        looking: input.looking ?? null,
        pondNear: input.pondNear ?? null,
        rules: oneOfEach(input.rules ?? []),
        zoneSince: rebound ? (zone === null ? null : today) : (old?.zoneSince ?? null),
      },
      { position: await nextPosition(m, PlaceEntity, { gardenId }), retiredOn: null },
    );
    return placeDto(row);
  }

  order(gardenId: string, ids: string[]): Promise<void> {
    return this.gardens.change(gardenId, (m) => reorder(m, PlaceEntity, ids, { gardenId }));
  }

  /** Brings an archived bed or pot back; `retirePlace` archives it. */
  async restore(gardenId: string, placeId: string): Promise<void> {
    await this.gardens.change(gardenId, async (m) => {
      const place = await m.findOneBy(PlaceEntity, { id: placeId, gardenId });
      if (!place) throw notFound('place');
      await refuseTakenZone(m, gardenId, placeId, place.watering?.timerZone ?? null);
      await updateRows(m, PlaceEntity, { id: placeId, gardenId }, { retiredOn: null });
    });
  }
}

/** Refuses an outlet that already waters another bed or pot. */
async function refuseTakenZone(
  m: EntityManager,
  gardenId: string,
  placeId: string,
  zone: number | null,
): Promise<void> {
  if (zone === null) return;
  const others = await m.findBy(PlaceEntity, { gardenId, id: Not(placeId), retiredOn: IsNull(), deletedAt: IsNull() });
  const taken = others.find((p) => p.watering?.timerZone === zone);
  if (taken)
    throw badRequest([
      {
        path: 'watering.timerZone',
        reason: `outlet ${zone} already waters ${taken.name}: one outlet serves one bed or pot`,
      },
    ]);
}

/** The first of each rule: a tap that is sent twice makes one. */
const oneOfEach = (rules: readonly BedRule[]): BedRule[] =>
  rules.filter((r, i) => rules.findIndex((x) => x.rule === r.rule) === i);
