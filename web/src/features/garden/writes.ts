import type { GardenDto, GardenInput, WeatherState } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const saveGarden = defineWrite('garden.save', ({ garden }: OfGarden & { garden: GardenInput }) =>
  api<GardenDto>('PUT', '/gardens', garden),
);
export const pullWeather = defineWrite('weather.pull', ({ gardenId }: OfGarden) =>
  api<WeatherState>('POST', apiOf(gardenId, 'weather', 'pull')),
);
