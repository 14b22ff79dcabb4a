import type {
  FrostsDto,
  NewStation,
  SoilProbeDto,
  SoilProbeInput,
  SoilProbePoint,
  OwnStationDto,
  StationReading,
  WeatherServiceCode,
  WeatherServiceDto,
} from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

const LONG_MS = 3_600_000;

/** The weather services this server allows. */
export const servicesQuery = () =>
  queryOptions({
    queryKey: ['weather', 'services'],
    queryFn: () => api<WeatherServiceDto[]>('GET', '/weather/services'),
    staleTime: LONG_MS,
  });

interface Point {
  latitude: number;
  longitude: number;
  elevationM: number;
  timeZone: string;
}

/** The usual frosts of a place, from years of weather; none while the place or the service is not known. */
export const frostsQuery = (at: Point | null, service: WeatherServiceCode | null) =>
  queryOptions({
    queryKey: ['weather', 'frosts', at?.latitude, at?.longitude, at?.elevationM, service],
    queryFn: () => {
      const { latitude, longitude, elevationM, timeZone } = at!;
      const query = new URLSearchParams({
        latitude: String(latitude),
        longitude: String(longitude),
        elevationM: String(elevationM),
        timeZone,
        service: service!,
      });
      return api<{ frosts: FrostsDto | null }>('GET', `/weather/frosts?${query.toString()}`);
    },
    enabled: at !== null && service !== null,
    staleTime: LONG_MS,
  });

/** The garden's own station. */
export const stationQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'station'] as const,
    queryFn: () => api<{ station: OwnStationDto | null }>('GET', apiOf(gardenId, 'weather', 'station')),
  });

export const connectStation = defineWrite('station.connect', ({ gardenId }: OfGarden) =>
  api<NewStation>('POST', apiOf(gardenId, 'weather', 'station')),
);
export const removeStation = defineWrite('station.remove', ({ gardenId }: OfGarden) =>
  api('DELETE', apiOf(gardenId, 'weather', 'station')),
);
export const settleStation = defineWrite(
  'station.settle',
  ({ gardenId, reading }: OfGarden & { reading: StationReading }) =>
    api('POST', apiOf(gardenId, 'weather', 'station', 'reading'), { reading }),
);

/** Soil probes of the garden's own station. */
export const probesQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'probes'] as const,
    queryFn: () => api<SoilProbeDto[]>('GET', apiOf(gardenId, 'weather', 'station', 'probes')),
  });

export const placeProbe = defineWrite(
  'probe.place',
  ({ gardenId, channel, probe }: OfGarden & { channel: string; probe: SoilProbeInput }) =>
    api('PUT', apiOf(gardenId, 'weather', 'station', 'probes', channel), probe),
);
export const pointProbe = defineWrite(
  'probe.point',
  ({ gardenId, channel, as }: OfGarden & { channel: string } & SoilProbePoint) =>
    api('POST', apiOf(gardenId, 'weather', 'station', 'probes', channel, 'point'), { as }),
);
