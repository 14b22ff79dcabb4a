import type { GardenDto, PlaceDto, PlantDto, PlantView, RecordDto, RecordType } from '@candid-leaf/contract';
import type { Report } from '@candid-leaf/core/assessment';
import type { PlantCase } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

const NOBODY = '00000000-0000-0000-0000-000000000000';

/** A case file as the view of a plant, so that somebody else's plant is shown by the same page. */
export function viewOfCase(caseFile: PlantCase, report: Report, reader: GardenDto): PlantView {
  const { place, plant, records, asOf } = caseFile;
  const record = (type: RecordType, i: number, data: { date: Day }): RecordDto => ({
    id: `${type}-${i}`,
    version: 1,
    type,
    day: data.date,
    plantId: NOBODY,
    placeId: null,
    data: data as RecordDto['data'],
    createdAt: data.date,
  });
  const days = [...new Set(caseFile.observations.map((o) => o.date))];
  const looks = days.map((date) => ({
    date,
    allClear: false,
    signs: caseFile.observations.filter((o) => o.date === date).map(({ date: _date, ...sign }) => sign),
  }));
  const lists: [RecordType, readonly { date: Day }[]][] = [
    ['watering', records.watering],
    ['soil-check', records.soilChecks],
    ['pot-weight', records.potWeights],
    ['feeding', records.feeding],
    ['pruning', records.pruning],
    ['spray', records.sprays],
    ['event', records.events],
    ['inspection', looks],
  ];
  return {
    garden: { ...reader, today: asOf },
    place: { ...place, id: NOBODY, name: placeName(place.kind), version: 1, position: 0, retiredOn: null } as PlaceDto,
    plant: {
      ...plant,
      id: NOBODY,
      placeId: NOBODY,
      name: plant.name || `A ${plant.crop}`,
      version: 1,
      position: 0,
      retiredOn: null,
    } as PlantDto,
    caseFile,
    report,
    forecast: [],
    records: lists
      .flatMap(([type, list]) => list.map((d, i) => record(type, i, d)))
      .sort((a, b) => (a.day < b.day ? 1 : -1)),
    troubles: [],
  };
}

const placeName = (kind: string): string => `a ${kind.replaceAll('-', ' ')}`;
