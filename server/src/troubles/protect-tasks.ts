import type { TaskDto } from '@candid-leaf/contract';
import {
  actInWords,
  addDays,
  AHEAD_DAYS,
  dayWords,
  FROST_AT_C,
  hardSpells,
  HEAT_FROM_C,
  showTemperature,
  spellPlan,
  type HardSpell,
} from '@candid-leaf/core';
import { forecastOf } from '../cases/case-builder.js';
import type { GardenBook } from '../cases/garden-book.js';
import type { InsightService } from '../cases/insight.service.js';
import type { PlaceEntity } from '../places/place.entity.js';

/** Keys of tasks that a hard spell brings: they change with the forecast, so nothing of them is stored. */
export const isProtectKey = (key: string): boolean => /^(heat|frost):/.test(key);

/** What the forecast asks for, place by place, from three days before on. */
export function protectTasks(book: GardenBook, insights: InsightService): TaskDto[] {
  const { today, garden } = book;
  const now = book.weather.filter((w) => w.day === today).map((w) => ({ ...w, date: w.day }));
  const spells = hardSpells(today, [...now, ...forecastOf(book)]).filter((s) => s.from <= addDays(today, AHEAD_DAYS));
  return spells.flatMap((spell) =>
    book.places
      .filter((p) => !p.retiredOn)
      .flatMap((place): TaskDto[] => {
        const acts = spellPlan(spell, today, inSpell(book, insights, place, spell));
        if (acts.length === 0) return [];
        const told = acts.map((a) => ({ on: a.on, ...actInWords(a, garden.units) }));
        return [
          {
            key: `${spell.kind}:${spell.from}:${place.id}`,
            kind: 'protect',
            plantId: null,
            placeId: place.id,
            title: spell.kind === 'heat' ? `Before the heat: ${place.name}` : `Before the frost: ${place.name}`,
            where: place.name,
            why: why(spell, today, garden.units),
            dueOn: today,
            remedy: null,
            dose: null,
            acts: told.map(({ on, text }) => ({ on, text })),
            cautions: [...new Set(told.flatMap((t) => t.caution ?? []))],
          },
        ];
      }),
  );
}

function why(s: HardSpell, today: string, units: GardenBook['garden']['units']): string {
  const when = s.from <= today ? 'from today' : `from ${dayWords(s.from)}`;
  const until = s.to === s.from ? '' : ` to ${dayWords(s.to)}`;
  return s.kind === 'heat'
    ? `${showTemperature(HEAT_FROM_C, units)} or more is expected ${when}${until}, up to ${showTemperature(s.extremeC, units)}`
    : `${showTemperature(FROST_AT_C, units)} or less is expected in the night ${when}${until}, down to ${showTemperature(s.extremeC, units)}`;
}

function inSpell(
  book: GardenBook,
  insights: InsightService,
  place: PlaceEntity,
  spell: HardSpell,
): Parameters<typeof spellPlan>[2] {
  const plants = book.plants.filter((p) => p.placeId === place.id && !p.retiredOn);
  const each = plants.map((plant) => insights.of(book, plant));
  const mean = (list: readonly number[]): number | null =>
    list.length > 0 ? list.reduce((a, b) => a + b, 0) / list.length : null;
  const total = (perPlant: readonly (number | null)[]): number | null =>
    perPlant.some((x) => x === null) || perPlant.length === 0 ? null : perPlant.reduce<number>((a, b) => a + b!, 0);
  return {
    facts: each[0]?.caseFile.place ?? place,
    plants: plants.length,
    areaM2: place.lengthM != null && place.widthM != null ? place.lengthM * place.widthM : null,
    stages: plants.map((p) => p.stage),
    usedPerDayL: total(each.map((x) => mean(x.report.water.daily.slice(-7).map((d) => d.demandL)))),
    spellPerDayL: total(
      each.map((x) =>
        mean(x.water.ahead.filter((d) => d.date >= spell.from && d.date <= spell.to).map((d) => d.demandL)),
      ),
    ),
    latitude: book.garden.latitude,
  };
}
