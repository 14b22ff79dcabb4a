import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CLAIMS, VERDICT_WORDS } from '../src/claims/index.js';
import { COMPANION_ROWS, SURE_WORDS } from '../src/companions/index.js';
import { REMEDIES } from '../src/diagnosis/index.js';
import { SALVAGE } from '../src/harvest/index.js';
import { KIT } from '../src/reports/index.js';
import { DRENCHES } from '../src/soil/index.js';
import { SUPPORT_METHODS } from '../src/support/index.js';
import { WATERING_METHODS } from '../src/water/index.js';

// The page that lists every measure with its source is made from the tables: WRITE_MEASURES=1 writes it anew.

const FILE = join(__dirname, '../../docs/measures.md');
const COMMON = 'common practice';

interface Section {
  title: string;
  /** where the gardener meets it */
  where: string;
  rows: readonly (readonly [measure: string, says: string, source: string])[];
}

const SECTIONS: readonly Section[] = [
  {
    title: 'Remedies',
    where: 'With a finding, and as tasks on Today once they are taken on.',
    rows: REMEDIES.map((r) => [r.label, r.how, COMMON] as const),
  },
  {
    title: 'Watering methods',
    where: 'On the water page of a bed or pot, and on the bench that compares them.',
    rows: Object.values(WATERING_METHODS).map((m) => [m.label, m.line, COMMON] as const),
  },
  {
    title: 'Ways to hold plants up',
    where: 'On the plant’s page, under support.',
    rows: SUPPORT_METHODS.map((m) => [m.label, m.line, COMMON] as const),
  },
  {
    title: 'Drenches',
    where: 'In the shed, under soils.',
    rows: DRENCHES.map((d) => [d.name, `Only for ${d.when}. ${d.caution}`, d.source] as const),
  },
  {
    title: 'Companion plants and weeds',
    where: 'On the page of a bed or pot, and when weeds are noted in a look.',
    rows: COMPANION_ROWS.map((c) => [c.label, `${c.known} (${SURE_WORDS[c.sure]})`, c.source] as const),
  },
  {
    title: 'Damaged fruit',
    where: 'Where it is picked.',
    rows: SALVAGE.map((s) => [s.label, s.advice, COMMON] as const),
  },
  {
    title: 'Closing the year',
    where: 'Under season, when a year is closed.',
    rows: KIT.map((k) => [k.label, k.how, COMMON] as const),
  },
  {
    title: 'Claims',
    where: 'Once when someone records one, and in the handbook.',
    rows: CLAIMS.map(
      (c) => [c.claim, `${VERDICT_WORDS[c.verdict]}. ${c.reason} Instead: ${c.instead}`, c.source] as const,
    ),
  },
];

const cell = (text: string): string => text.replaceAll('|', '\\|');
const page = (): string =>
  [
    '# Measures and their sources',
    '',
    'Every measure that Candid Leaf advises, asks about or judges, with its source. “Common practice” is what practitioners and extension guides agree on. Made from the tables by `npm run measures`; a test compares the two. Limits and figures have their sources beside their rows in `core/src`.',
    ...SECTIONS.flatMap((s) => [
      '',
      `## ${s.title}`,
      '',
      s.where,
      '',
      '| measure | what it says | source |',
      '| --- | --- | --- |',
      ...s.rows.map((r) => `| ${r.map(cell).join(' | ')} |`),
    ]),
    '',
  ].join('\n');

test('the page of measures is that of the tables, and each measure has a source', () => {
  for (const { rows } of SECTIONS) for (const [measure, , source] of rows) expect([measure, source]).not.toContain('');
  if (process.env.WRITE_MEASURES) writeFileSync(FILE, page());
  // the formatter pads the columns
  const plain = (text: string): string => text.replaceAll(/ *\| */g, '|').replaceAll(/-+/g, '-');
  expect(plain(readFileSync(FILE, 'utf8'))).toBe(plain(page()));
});
