// A yardstick for the comparison of watering methods: one season of a tomato in a 14 l pot, watered by need, as a bare loop over
// typed arrays: only the equations of core/src/water (no records, no objects, no choice of soil, place or method).
// It measures cost only; each run checks that it computes the same.

const SOIL_M2 = (volumeL) => (Math.PI / 4) * ((4 * volumeL) / 1000 / Math.PI) ** (2 / 3);
const es = (t) => 0.6108 * Math.exp((17.27 * t) / (t + 237.3));

/** One season's weather as the loop reads it. */
export const typed = ({ days, etoMm }) => ({
  tMin: Float64Array.from(days, (d) => d.tMinC),
  tMax: Float64Array.from(days, (d) => d.tMaxC),
  rain: Float64Array.from(days, (d) => d.rainMm),
  wind: Float64Array.from(days, (d) => d.windMs),
  rh: Float64Array.from(days, (d) => d.rhMeanPct),
  eto: Float64Array.from(etoMm),
});

/**
 * @param w typed arrays tMin, tMax, rain, wind (m/s), rh (%), eto (mm), one value a day
 * @param soil share (available of the volume), roomAbove, drainsPerDay, tew, rew, volumeL, wettedShare
 * @returns litres given over the season, days short of water, and what drained
 */
export function bareSeason(w, soil, heightM) {
  const n = w.eto.length;
  const soilM2 = SOIL_M2(soil.volumeL);
  const taw = (soil.share * soil.volumeL) / soilM2;
  const room = soil.roomAbove * taw;
  const out = { litres: 0, short: 0, drained: 0 };
  const left = new Float64Array(n);
  const ks = new Float64Array(n);
  let dr = 0;
  let surface = 0;
  let lastWettedShare = 1;
  for (let i = 0; i < n; i++) {
    const eto = w.eto[i];
    const start = Math.min(0.15, heightM);
    const height = i >= n - 1 ? heightM : start + (heightM - start) * Math.min(1, i / Math.min(n - 1, 60));
    const rh = Math.min(80, Math.max(20, (w.rh[i] * (es(w.tMin[i]) + es(w.tMax[i]))) / 2 / es(w.tMax[i])));
    const climate =
      (0.04 * (Math.min(6, Math.max(1, w.wind[i])) - 2) - 0.004 * (rh - 45)) * (Math.max(0.05, height) / 3) ** 0.3;
    const mid = height >= 1.5 ? 1.15 : 1.1;
    const covered = Math.min(0.35, (Math.PI / 4) * (0.7 * height) ** 2);
    const ofGround = Math.min(1, covered / soilM2);
    const full = i <= 115 ? mid : mid + Math.min(1, (i - 115) / 30) * (0.7 - mid);
    const plain = 0.15 + (full - 0.15) * Math.min(1, 2 * ofGround, ofGround ** (1 / (1 + height)));
    const kcb = plain >= 0.45 ? plain + climate : plain;
    const kcMax = Math.max(1.2 + climate, kcb + 0.05);
    const bare = 1 - Math.min(0.99, (Math.max(0.01, kcb - 0.15) / Math.max(0.01, kcMax - 0.15)) ** (1 + 0.5 * height));
    const grown = Math.max(1, mid);
    const leaf =
      i <= 30
        ? 1
        : i <= 70
          ? 1 + ((i - 30) / 40) * (grown - 1)
          : i <= 115
            ? grown
            : grown + Math.min(1, (i - 115) / 30) * (1 - grown);
    const demand = (Math.max(0.9, leaf + climate) * eto * covered) / soilM2;
    const wet = Math.min((kcMax - kcb) / bare, kcMax) * eto;
    // the morning: by need
    const p0 = Math.min(0.8, Math.max(0.1, 0.4 + 0.04 * (5 - kcb * eto)));
    const limit = Math.min(0.7 * taw, i >= 45 ? Math.min(p0 * taw, 0.4 * taw) : p0 * taw);
    const missing = Math.max(0, dr);
    const given = missing + demand + 0.3 * wet * bare >= limit ? missing * 1.1 : 0;
    // the day
    const rain = w.rain[i];
    const through = rain * (1 - 0.5 * Math.max(0, 1 - soilM2 / Math.max(covered, soilM2)));
    const caught = Math.min(through, Math.min(2, Math.max(0.2 * eto, 0.5)));
    const runoff = Math.max(0, through - caught - soil.soaksInMm);
    const soaked = through - caught - runoff;
    if (soaked > 0) lastWettedShare = 1;
    else if (given > 0) lastWettedShare = soil.wettedShare;
    const exposed = Math.min(bare, lastWettedShare);
    let layer = Math.max(0, surface - soaked - given / Math.max(given > 0 ? soil.wettedShare : 1, exposed));
    let lost = 0;
    if (wet > 0) {
      const rew = Math.min(soil.rew, 0.9 * soil.tew);
      const easy = Math.min(1, Math.max(0, (rew - layer) / wet));
      const rest = Math.max(0, soil.tew - (layer + easy * wet));
      lost = easy * wet + rest * (1 - Math.exp((-wet * (1 - easy)) / (soil.tew - rew)));
    }
    layer += lost;
    const evaporation = exposed * lost;
    const p = Math.min(0.8, Math.max(0.1, 0.4 + 0.04 * (5 - (kcb * eto + evaporation))));
    const watered = dr - soaked - given;
    let used = 0;
    if (demand > 0) {
      const easy = Math.min(1, Math.max(0, (p * taw - watered) / demand));
      const rest = taw - (watered + easy * demand);
      used = easy * demand + Math.max(0, rest * (1 - Math.exp((-demand * (1 - easy)) / ((1 - p) * taw))));
    }
    const evaporated = Math.min(evaporation, Math.max(0, taw - watered - used));
    dr = watered + used + evaporated;
    if (dr < 0) {
      const over = Math.max(0, -dr - room);
      const drains = over + soil.drainsPerDay * (-dr - over);
      dr += drains;
      out.drained += drains * soilM2;
    }
    left[i] = Math.min(1, Math.max(0, 1 - dr / taw));
    ks[i] = demand > 0 ? used / demand : 1;
    if (ks[i] < 0.8) out.short += 1;
    surface = Math.min(layer, Math.max(0, dr) / Math.max(0.05, exposed));
    out.litres += given * soilM2;
  }
  return out;
}
