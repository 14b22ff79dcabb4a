import type { SampleCase } from './sample-case.js';

/** Members with the same signs, told apart by place, weather and records alone. */
export const pair = (
  name: string,
  group: SampleCase['group'],
  signs: SampleCase['signs'],
  members: readonly Omit<SampleCase, 'group' | 'signs' | 'pair'>[],
): SampleCase[] => members.map((m) => ({ ...m, name: `${name}: ${m.name}`, group, signs, pair: name }));
