import type { Texture } from '@candid-leaf/core/records';

/**
 * The ground of a simulated garden, layer by layer, to judge the application by. It shares no equation with it: water
 * runs from layer to layer as each overflows, roots drink where they are, and evaporation falls with the dryness of
 * the top layer. Numbers from memory, after soil physics as taught: water a texture holds between full and wilting,
 * and how much of what is above full has run on after a day.
 */
interface Ground {
  /** mm of available water in 10 cm */
  holdsMm: number;
  /** mm above that in 10 cm until the soil is filled */
  roomMm: number;
  /** share of what is above full that runs on in a day */
  runsOn: number;
  /** mineral nitrogen freed by a square metre on a day at 20 °C, g */
  freesG: number;
}

const GROUND: Record<'sand' | 'sandy-loam' | 'loam' | 'silt-loam' | 'clay-loam' | 'clay' | 'mix', Ground> = {
  sand: { holdsMm: 7, roomMm: 20, runsOn: 0.98, freesG: 0.04 },
  'sandy-loam': { holdsMm: 12, roomMm: 16, runsOn: 0.95, freesG: 0.05 },
  loam: { holdsMm: 16, roomMm: 13, runsOn: 0.8, freesG: 0.06 },
  'silt-loam': { holdsMm: 18, roomMm: 11, runsOn: 0.7, freesG: 0.065 },
  'clay-loam': { holdsMm: 15, roomMm: 9, runsOn: 0.55, freesG: 0.065 },
  clay: { holdsMm: 14, roomMm: 7, runsOn: 0.45, freesG: 0.07 },
  mix: { holdsMm: 30, roomMm: 20, runsOn: 1, freesG: 0 },
};

/** Returns the ground of a texture; potting mix for pots. */
export function groundOf(texture: Texture): Ground {
  const row = GROUND[texture as keyof typeof GROUND];
  if (!row) throw new Error(`no simulated ground for ${texture}`);
  return row;
}
/** Potting mix. */
export const MIX = GROUND.mix;

/** Depth of a layer, cm, and how many there are in a bed. */
export const LAYER_CM = 10;
export const LAYERS = 6;

/** A column of soil: mm of available water by layer, from the top down; more than it holds is above full. */
export class Column {
  readonly mm: number[];

  constructor(
    readonly ground: Ground,
    layers: number,
    filled: number,
  ) {
    this.mm = Array.from({ length: layers }, () => filled * ground.holdsMm);
  }

  /** Water from above, mm. Returns what runs off or out below at once. */
  wet(mm: number): number {
    const { holdsMm, roomMm } = this.ground;
    let rest = mm;
    for (let i = 0; i < this.mm.length; i++) {
      const takes = Math.min(rest, Math.max(0, holdsMm - this.mm[i]!));
      this.mm[i]! += takes;
      rest -= takes;
    }
    // the rest stands in the pores from below up, and what they cannot hold is lost
    for (let i = this.mm.length - 1; i >= 0 && rest > 0; i--) {
      const takes = Math.min(rest, Math.max(0, holdsMm + roomMm - this.mm[i]!));
      this.mm[i]! += takes;
      rest -= takes;
    }
    return rest;
  }

  /** What is above full runs on for a day. Returns what leaves below, mm. */
  drain(): number {
    const { holdsMm, runsOn } = this.ground;
    let falling = 0;
    for (let i = 0; i < this.mm.length; i++) {
      const above = Math.max(0, this.mm[i]! + falling - holdsMm);
      const on = above * runsOn;
      this.mm[i] = this.mm[i]! + falling - on;
      falling = on;
    }
    return falling;
  }

  /** Bare soil dries at the top; the drier it is the slower. Returns mm. */
  evaporate(demandMm: number): number {
    const { holdsMm } = this.ground;
    // air dries the top below what roots can take
    const below = 0.4 * holdsMm;
    const share = Math.min(1, Math.max(0, (this.mm[0]! + below) / (holdsMm + below)));
    const mm = Math.min(this.mm[0]! + below, demandMm * share ** 1.5);
    this.mm[0]! -= mm;
    return mm;
  }

  /** Roots of this depth drink; what dry soil holds back is not taken. Returns mm taken. */
  drink(demandMm: number, rootsCm: number): number {
    let taken = 0;
    const weights = rootWeights(this.mm.length, rootsCm);
    const wetness = weights.map((w, i) => w * Math.min(1, Math.max(0, this.mm[i]! / this.ground.holdsMm)) ** 0.5);
    const all = wetness.reduce((a, b) => a + b, 0);
    if (all <= 0) return 0;
    for (let i = 0; i < this.mm.length; i++) {
      const want = (demandMm * wetness[i]!) / all;
      // roots drink freely down to a third, then less and less
      const free = Math.max(0, Math.min(1, this.mm[i]! / (0.35 * this.ground.holdsMm)));
      const mm = Math.max(0, Math.min(this.mm[i]!, want * free));
      this.mm[i]! -= mm;
      taken += mm;
    }
    return taken;
  }

  /** How full it is where the roots are: 1 is full, above 1 is wetter. */
  fullness(rootsCm: number): number {
    const weights = rootWeights(this.mm.length, rootsCm);
    return weights.reduce((sum, w, i) => sum + (w * Math.max(0, this.mm[i]!)) / this.ground.holdsMm, 0);
  }

  /** Roots grow sideways: a share of it is now soil of another column. */
  mix(other: Column, share: number): void {
    for (let i = 0; i < this.mm.length; i++) this.mm[i] = (1 - share) * this.mm[i]! + share * other.mm[i]!;
  }
}

/** Share of the roots in each layer: most of them high up. */
function rootWeights(layers: number, rootsCm: number): number[] {
  const raw = Array.from({ length: layers }, (_, i) => {
    const reaches = Math.min(1, Math.max(0, (rootsCm - i * LAYER_CM) / LAYER_CM));
    return reaches * (1 - (0.5 * i * LAYER_CM) / Math.max(LAYER_CM, rootsCm));
  });
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((w) => w / sum);
}
