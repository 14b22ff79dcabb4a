import type { Crop, Stage } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { Column, groundOf, LAYER_CM, LAYERS, MIX } from './soil.js';
import type { SeasonGarden } from './climates.js';

/** What the air does to a plant on one day, where it stands. */
export interface Air {
  date: Day;
  tMinC: number;
  tMaxC: number;
  rainMm: number;
  solarMj: number;
}

/** One living plant of a simulated garden, as it was set out. */
export interface Setting {
  crop: Crop;
  /** of one pot; null in a bed */
  potL: number | null;
  /** ground of one plant, m² */
  areaM2: number;
  growing: { date: Day; stage: Stage; heightM: number }[];
  garden: SeasonGarden;
}

/** A day on which a watering of these days ago still explains that the ground is too wet. */
const WATERED_DAYS = 3;
const DRY_BELOW = 0.3;
const TOO_WET_ABOVE = 1.15;
const WET_DAYS = 2;

/** Leaves of a plant in full growth, m², and the leaves that shade their ground fully: three layers (from memory). */
const LEAVES_M2: Record<Crop, number> = { tomato: 2.6, pepper: 1 };
const FULL_LAYERS = 3;
/** Height at which they have them, m; before, leaves grow with height and width (judgement). */
const GROWN_M: Record<Crop, number> = { tomato: 1.6, pepper: 0.7 };
/** What leaves breathe out in full sun, over what a meadow does. */
const LEAVES_OVER_MEADOW = 1.1;
/** Dry matter made from light caught, g per MJ of all radiation (about half of it usable), from memory. */
const DRY_G_PER_MJ = 0.85;
/** Nitrogen in the dry matter of a growing tomato: 4.53 W^-0.327 % with W in t/ha (Tei et al. 2002, from memory). */
const nitrogenPct = (tPerHa: number): number => Math.min(4.5, 4.53 * Math.max(1, tPerHa) ** -0.327);

/**
 * Water that roots cannot take, mm in 10 cm: a mix holds 50 to 60 % of its volume after draining and gives about 30 (Argo
 * 1998, HortTechnology 8, from memory). Little in the ground, where nitrogen also moves in fewer paths: see `lose`.
 */
const OUT_OF_REACH_MM = { ground: 5, mix: 25 } as const;

/** A plant with its ground: drinks, grows, and takes up nitrogen. */
export class LivingPlant {
  private readonly inside: Column;
  private readonly outside: Column | null;
  /** ground with roots, m² */
  private rootedM2: number;
  private lastWatered: Day | null = null;
  private wetFor = 0;
  private dryG = 0;
  /** g of nitrogen: needed so far, and what reached its roots */
  needG = 0;
  readonly had: { soil: number; fed: number; washed: number };
  /** mineral nitrogen now around the roots, g */
  private mineralG: number;
  private slow: { perDayG: number; days: number }[] = [];
  day = 0;

  constructor(readonly setting: Setting) {
    const { potL, garden, areaM2 } = setting;
    if (potL === null) {
      this.inside = new Column(groundOf(garden.texture), LAYERS, 0.8);
      this.outside = new Column(groundOf(garden.texture), LAYERS, 0.8);
      this.rootedM2 = Math.min(0.06, areaM2);
    } else {
      // a pot is as deep as it is wide; its mix holds the same share everywhere
      const deepCm = (potL * 1000) ** (1 / 3) * 1.05;
      this.inside = new Column(MIX, Math.max(2, Math.round(deepCm / LAYER_CM)), 0.8);
      this.outside = null;
      this.rootedM2 = potL / (this.inside.mm.length * LAYER_CM * 10);
    }
    // fresh mix comes with about 0.1 g per litre; a garden's topsoil with 3 g per m² (from memory)
    this.mineralG = potL === null ? 3 * areaM2 : 0.1 * potL;
    this.had = { soil: this.mineralG, fed: 0, washed: 0 };
  }

  get now(): Setting['growing'][number] {
    return this.setting.growing[Math.min(this.day, this.setting.growing.length - 1)]!;
  }

  /** How it will be some days later. */
  inDays(days: number): Setting['growing'][number] {
    return this.setting.growing[Math.min(this.day + days, this.setting.growing.length - 1)]!;
  }

  private get rootsCm(): number {
    const { potL } = this.setting;
    if (potL !== null) return this.inside.mm.length * LAYER_CM;
    return Math.min(LAYERS * LAYER_CM, 12 + 0.75 * this.day);
  }

  /** How a finger finds it, at about 7 cm. */
  get feel(): 'dry' | 'damp' | 'wet' {
    const top = (this.inside.mm[0]! + (this.inside.mm[1] ?? this.inside.mm[0]!)) / 2 / this.inside.ground.holdsMm;
    return top < 0.35 ? 'dry' : top > 1.02 ? 'wet' : 'damp';
  }
  get fullness(): number {
    return this.inside.fullness(this.rootsCm);
  }

  water(date: Day, litres: number): void {
    if (litres <= 0) return;
    this.lastWatered = date;
    const wettedM2 = this.setting.potL === null ? Math.max(0.12, this.rootedM2) : this.rootedM2;
    this.lose(this.inside.wet(litres / wettedM2));
  }

  feed(grams: number, slowly: boolean): void {
    if (slowly) this.slow.push({ perDayG: (0.7 * grams) / 60, days: 60 });
    else {
      this.mineralG += grams;
      this.had.fed += grams;
    }
  }

  /** The rest of the day. Returns whether it was too dry, or too wet from watering. */
  live(air: Air, mulched: boolean, meadowMm: number): { dry: boolean; wet: boolean } {
    const { potL, areaM2, crop } = this.setting;
    const { heightM } = this.now;
    const tMean = (air.tMinC + air.tMaxC) / 2;
    const most = potL === null ? LEAVES_M2[crop] : Math.min(LEAVES_M2[crop], 0.25 + 0.05 * potL);
    const leaves = most * Math.min(1, (heightM / GROWN_M[crop]) ** 2);
    const shades =
      potL === null ? areaM2 * (1 - Math.exp((-0.9 * leaves) / (areaM2 * FULL_LAYERS * 0.5))) : leaves / FULL_LAYERS;
    if (this.outside) {
      const grown = Math.min(areaM2, Math.PI * (0.14 + 0.009 * this.day) ** 2);
      if (grown > this.rootedM2) this.inside.mix(this.outside, (grown - this.rootedM2) / grown);
      this.rootedM2 = grown;
    }
    // rain: the leaves of a pot's plant throw half of it beyond the rim
    const rain = air.rainMm * (potL !== null && leaves > 2 * this.rootedM2 ? 0.5 : 1);
    this.lose(this.inside.wet(rain) + this.inside.drain());
    if (this.outside) {
      this.outside.wet(air.rainMm);
      this.outside.drain();
    }
    const bare = (1 - Math.min(1, shades / Math.max(areaM2, 0.01))) * (mulched ? 0.35 : 1);
    this.inside.evaporate(meadowMm * (potL === null ? bare : mulched ? 0.3 : 0.7));
    this.outside?.evaporate(meadowMm * bare);
    const litres = meadowMm * LEAVES_OVER_MEADOW * shades;
    const drank = this.inside.drink(litres / this.rootedM2, this.rootsCm) * this.rootedM2;
    this.grow(air, shades, litres > 0 ? drank / litres : 1, tMean);
    this.day += 1;
    const f = this.fullness;
    this.wetFor = f > TOO_WET_ABOVE ? this.wetFor + 1 : 0;
    const byHand = this.lastWatered !== null && daysApart(this.lastWatered, air.date) <= WATERED_DAYS;
    return { dry: f < DRY_BELOW, wet: this.wetFor >= WET_DAYS && byHand };
  }

  private grow(air: Air, shades: number, drinks: number, tMean: number): void {
    const { potL, areaM2, garden } = this.setting;
    const warm = 2 ** ((tMean - 20) / 10);
    if (potL === null) {
      const g = groundOf(garden.texture).freesG * areaM2 * warm;
      this.mineralG += g;
      this.had.soil += g;
    }
    for (const s of this.slow) {
      if (s.days <= 0) continue;
      s.days -= 1;
      this.mineralG += s.perDayG;
      this.had.fed += s.perDayG;
    }
    const fit = Math.max(0, Math.min(1, (tMean - 8) / 10)) * (tMean > 32 ? 0.6 : 1);
    const before = this.needed();
    this.dryG += air.solarMj * shades * DRY_G_PER_MJ * drinks * fit;
    const need = Math.max(0, this.needed() - before);
    this.needG += need;
    this.mineralG -= Math.min(this.mineralG, need);
  }
  private needed(): number {
    const tPerHa = this.dryG / 100 / Math.max(0.1, this.setting.areaM2);
    return (this.dryG * nitrogenPct(tPerHa)) / 100;
  }

  /** Water that leaves below takes its share of nitrogen along: what is dissolved in all water, that out of reach too. */
  private lose(mm: number): void {
    if (mm <= 0) return;
    const outOfReach = this.setting.potL === null ? OUT_OF_REACH_MM.ground : OUT_OF_REACH_MM.mix;
    const stored = this.inside.mm.reduce((a, b) => a + Math.max(0, b), 0) + this.inside.mm.length * outOfReach;
    const gone = this.mineralG * Math.min(0.9, mm / (mm + stored)) * (this.setting.potL === null ? 0.5 : 1);
    this.mineralG -= gone;
    this.had.washed += gone;
  }
}

const daysApart = (a: Day, b: Day): number => Math.round((Date.parse(b) - Date.parse(a)) / 86_400_000);

/**
 * Water a meadow breathes out in a day, mm, from temperatures and latitude alone (Hargreaves and Samani 1985); the
 * application uses humidity, wind and measured sun instead.
 */
export function meadowMm(air: Pick<Air, 'date' | 'tMinC' | 'tMaxC'>, latitude: number): number {
  const day = daysApart(`${air.date.slice(0, 4)}-01-01`, air.date) + 1;
  const lat = (latitude * Math.PI) / 180;
  const tilt = 0.409 * Math.sin((2 * Math.PI * day) / 365 - 1.39);
  const set = Math.acos(Math.max(-1, Math.min(1, -Math.tan(lat) * Math.tan(tilt))));
  const nearer = 1 + 0.033 * Math.cos((2 * Math.PI * day) / 365);
  const sun =
    37.6 * nearer * (set * Math.sin(lat) * Math.sin(tilt) + Math.cos(lat) * Math.cos(tilt) * Math.sin(set)) * 0.408;
  const mean = (air.tMinC + air.tMaxC) / 2;
  return Math.max(0, 0.0023 * sun * (mean + 17.8) * Math.sqrt(Math.max(0, air.tMaxC - air.tMinC)));
}
