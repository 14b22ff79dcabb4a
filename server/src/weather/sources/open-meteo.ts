import {
  type ClimateDay,
  daysOfHours,
  type DayOfHours,
  HOUR_MS,
  windAt2m,
  type WeatherHour,
} from '@candid-leaf/core/climate';
import { addDays, type Day, daysBetween } from '@candid-leaf/core/units';
import { dayIn, type Clock } from '../../shared/clock.js';
import { type KeptAnswers, type Question, sharesWeather } from './kept-answers.service.js';
import { asObject, type Outside } from './outside.js';
import {
  NoWeather,
  type SourcePlace,
  type StationDay,
  type StationForecastDay,
  type Wanted,
  WeatherSource,
} from './source.js';

const NAME = 'Open-Meteo';
/** Past days of a first request, and of the hourly ones: analyses are corrected for a day or two. */
export const FIRST_PAST_DAYS = 61;
const PAST_DAYS = 3;
const AHEAD_DAYS = 10;
/** Places in one request. */
const MOST_TOGETHER = 50;
/** Whole years for frost dates and means. */
const CLIMATE_YEARS = 10;
/** The archive is behind by a few days (from memory: five for the older analysis). */
const ARCHIVE_LAGS_DAYS = 5;
/** Fresh for slightly less than the hour between updates. */
const HOUR_FRESH_MS = 55 * 60_000;
const YEAR_FRESH_MS = 365 * 24 * HOUR_MS;
/** Wind is given at 10 m. */
const WIND_HEIGHT_M = 10;

/** The hourly variables, with the unit each must come in. Names and units from the published description, from memory. */
const HOURLY = {
  temperature_2m: '°C',
  relative_humidity_2m: '%',
  precipitation: 'mm',
  wind_speed_10m: 'm/s',
  shortwave_radiation: 'W/m²',
} as const;
const CHANCE = { precipitation_probability: '%' } as const;
const DAILY = { temperature_2m_min: '°C', temperature_2m_max: '°C', precipitation_sum: 'mm' } as const;

type Columns = Record<string, readonly (number | null)[]>;

/** Weather of Open-Meteo: hours of the last weeks and the next days, and its archive. */
export class OpenMeteo extends WeatherSource<SourcePlace> {
  constructor(
    private readonly urls: { forecast: string; archive: string; key: string | null },
    private readonly outside: Outside,
    private readonly kept: KeptAnswers,
    private readonly clock: Clock,
  ) {
    super();
  }

  override historyDays(): number {
    return FIRST_PAST_DAYS - 1;
  }

  async observed(place: SourcePlace, from: Day, to: Day): Promise<StationDay[]> {
    const today = this.today(place);
    const back = daysBetween(from, today);
    const hours = back <= FIRST_PAST_DAYS ? await this.recent(place, back) : await this.archive(place, from, to);
    return this.days(hours, place).filter((d) => d.date >= from && d.date <= to && d.date <= today);
  }

  async forecast(place: SourcePlace, issued: Day): Promise<StationForecastDay[]> {
    const hours = await this.recent(place, 0);
    return this.days(hours, place)
      .filter((d) => d.date > issued)
      .map((d) => ({ ...d, rainChancePct: d.rainChancePct ?? 0 }));
  }

  /** Asks for all places that have no fresh answer, up to fifty in one request; those within 5 km share one. */
  override async prepare(wanted: readonly Wanted<SourcePlace>[]): Promise<void> {
    for (const past of [FIRST_PAST_DAYS, PAST_DAYS]) {
      const asked: SourcePlace[] = [];
      for (const { place, back } of wanted)
        if (
          pastFor(back) === past &&
          !asked.some((a) => sharesWeather(a, place)) &&
          !(await this.kept.isKept(this.question(place, back)))
        )
          asked.push(place);
      for (let i = 0; i < asked.length; i += MOST_TOGETHER)
        await this.askTogether(asked.slice(i, i + MOST_TOGETHER), past);
    }
  }

  override async tenYears(place: SourcePlace): Promise<ClimateDay[] | null> {
    const year = Number(this.today(place).slice(0, 4)) - 1;
    const [from, to] = [`${year - CLIMATE_YEARS + 1}-01-01`, `${year}-12-31`];
    return this.kept.get<ClimateDay[]>({ source: 'open-meteo', what: 'ten-years', place, since: from }, async () => {
      const [answer] = await this.ask(this.urls.archive, [place], {
        daily: Object.keys(DAILY).join(),
        start_date: from,
        end_date: to,
        timezone: place.timeZone,
      });
      const { times, columns } = columnsOf(answer, 'daily', DAILY);
      const body = times.flatMap((date, i): ClimateDay[] => {
        const [tMinC, tMaxC, rainMm] = Object.keys(DAILY).map((name) => possible(columns[name]?.[i]));
        return tMinC == null || tMaxC == null ? [] : [{ date: String(date), tMinC, tMaxC, rainMm: rainMm ?? 0 }];
      });
      return { freshUntil: this.later(YEAR_FRESH_MS), body };
    });
  }

  /** The last days and the next ones: asked once an hour for all gardens near. */
  private async recent(place: SourcePlace, back: number): Promise<WeatherHour[]> {
    const past = pastFor(back);
    return this.kept.get<WeatherHour[]>(this.question(place, Math.max(back, 0)), async () => {
      const [hours] = await this.hoursOf([place], past);
      return { freshUntil: this.later(HOUR_FRESH_MS), since: addDays(this.today(place), -past), body: hours };
    });
  }

  private async archive(place: SourcePlace, from: Day, to: Day): Promise<WeatherHour[]> {
    const newest = addDays(this.today(place), -ARCHIVE_LAGS_DAYS);
    const until = to < newest ? to : newest;
    const q: Question = { source: 'open-meteo', what: `archive to ${until}`, place, since: from };
    return this.kept.get<WeatherHour[]>(q, async () => {
      const [answer] = await this.ask(this.urls.archive, [place], {
        hourly: Object.keys(HOURLY).join(),
        start_date: from,
        end_date: until,
        ...FORM,
      });
      return { freshUntil: this.later(YEAR_FRESH_MS), body: hoursFrom(answer, HOURLY) };
    });
  }

  private async askTogether(places: readonly SourcePlace[], past: number): Promise<void> {
    const all = await this.hoursOf(places, past);
    for (const [i, place] of places.entries())
      await this.kept.keep(this.question(place, past), {
        freshUntil: this.later(HOUR_FRESH_MS),
        body: all[i] ?? [],
      });
  }

  private async hoursOf(places: readonly SourcePlace[], past: number): Promise<WeatherHour[][]> {
    const units = { ...HOURLY, ...CHANCE };
    const answers = await this.ask(this.urls.forecast, places, {
      hourly: Object.keys(units).join(),
      past_days: String(past),
      forecast_days: String(AHEAD_DAYS),
      ...FORM,
    });
    return answers.map((answer) => hoursFrom(answer, units));
  }

  private async ask(
    base: string,
    places: readonly SourcePlace[],
    more: Record<string, string>,
  ): Promise<Record<string, unknown>[]> {
    const list = (of: (p: SourcePlace) => number): string => places.map((p) => String(of(p))).join();
    const query = new URLSearchParams({
      // a hundredth of a degree is about a kilometre: nearer than any forecast, and not the garden's gate
      latitude: list((p) => rough(p.latitude)),
      longitude: list((p) => rough(p.longitude)),
      elevation: list((p) => Math.round(p.elevationM)),
      ...more,
      ...(this.urls.key ? { apikey: this.urls.key } : {}),
    });
    const { text } = await this.outside.get(`${base}?${query.toString()}`);
    const answer = asObject(NAME, text);
    // one place comes alone, several as a list
    const list_ = Array.isArray(answer) ? answer : [answer];
    if (list_.length !== places.length) throw new NoWeather(`${NAME} sent weather for other places than we asked for.`);
    return list_ as Record<string, unknown>[];
  }

  private question(place: SourcePlace, past: number): Question {
    return { source: 'open-meteo', what: 'hours', place, since: addDays(this.today(place), -past) };
  }

  private days(hours: readonly WeatherHour[], { timeZone }: SourcePlace): DayOfHours[] {
    return daysOfHours(hours, timeZone, this.clock.now().getTime());
  }

  private today(place: SourcePlace): Day {
    return dayIn(place.timeZone, this.clock.now());
  }

  private later(ms: number): Date {
    return new Date(this.clock.now().getTime() + ms);
  }
}

/** Past days of a request that covers so many. */
const pastFor = (back: number): number => (back <= PAST_DAYS ? PAST_DAYS : FIRST_PAST_DAYS);

/** A value of a day that can be one: °C or mm. */
const possible = (v: unknown): number | null => (typeof v === 'number' && v >= -60 && v <= 800 ? v : null);

const FORM = { timeformat: 'unixtime', timezone: 'GMT', wind_speed_unit: 'ms' } as const;
const rough = (degrees: number): number => Math.round(degrees * 100) / 100;

/** Returns the columns of a part of the answer; a unit that is missing or another one is refused. */
function columnsOf(
  answer: unknown,
  part: 'hourly' | 'daily',
  units: Readonly<Record<string, string>>,
): { times: readonly (number | string)[]; columns: Columns } {
  const a = answer as Record<string, Record<string, unknown> | undefined> | null;
  const stated = a?.[`${part}_units`];
  const columns = a?.[part];
  if (!columns || !stated) throw new NoWeather(`${NAME} sent no ${part} values with units.`);
  for (const [name, unit] of Object.entries(units))
    if (stated[name] !== unit)
      throw new NoWeather(
        `${NAME} sent ${name} ${stated[name] === undefined ? 'without a unit' : `in ${JSON.stringify(stated[name])}`}. We need ${unit}, so we did not use it.`,
      );
  const times = columns.time;
  const lists = Object.keys(units).map((name) => columns[name]);
  if (!Array.isArray(times) || !lists.every((l) => Array.isArray(l) && l.length === times.length))
    throw new NoWeather(`${NAME} sent lists of different lengths.`);
  return { times: times as (number | string)[], columns: columns as Columns };
}

/** Energy of an hour at one watt per square metre, MJ. */
const MJ_PER_WATT_HOUR = 0.0036;

/**
 * Returns the hours of an answer. Rain and sun are those of the hour before the time stated, the rest is of that moment;
 * hours without a value stay out (a gap).
 */
function hoursFrom(answer: unknown, units: Readonly<Record<string, string>>): WeatherHour[] {
  const { times, columns } = columnsOf(answer, 'hourly', units);
  const value = (name: string, i: number): number | null => {
    const v = columns[name]?.[i];
    return typeof v === 'number' && Number.isFinite(v) ? v : null;
  };
  return times.flatMap((time, i): WeatherHour[] => {
    const tC = value('temperature_2m', i);
    if (typeof time !== 'number' || tC === null) return [];
    const wind = value('wind_speed_10m', i);
    const sun = value('shortwave_radiation', i + 1);
    return [
      {
        at: time * 1000,
        tC,
        rainMm: value('precipitation', i + 1),
        rainChancePct: value('precipitation_probability', i + 1),
        rhPct: value('relative_humidity_2m', i),
        windMs: wind === null ? null : Math.round(windAt2m(wind, WIND_HEIGHT_M) * 100) / 100,
        solarMj: sun === null ? null : Math.round(sun * MJ_PER_WATT_HOUR * 1000) / 1000,
      },
    ];
  });
}
