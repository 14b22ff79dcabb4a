// npm run api-answers: the shapes of all answers, from the types of the controllers, for the OpenAPI document.
// Examples are real answers of a test (see package.json). The server's tests compare real answers with them, so a type that changed without this being run is noticed.
import { readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { createGenerator } from 'ts-json-schema-generator';
import ts from 'typescript';
import { buildAll, ROOT } from './lib/build.mjs';
import { say } from './lib/say.mjs';

await buildAll(() => {});

/** Answers made by another thread leave as finished text; their types stand here. */
const MADE_ELSEWHERE = {
  'ViewsController garden': 'GardenView',
  'ViewsController plant': 'PlantView',
  'ViewsController case': 'CaseFile',
  'SoilController view': 'SoilView',
  'TreatmentsController start': 'TreatmentDto',
  'TreatmentsController close': 'TreatmentDto',
  'SprayLogController list': 'SprayLogRow[]',
  'TodayController done': '{ recordId: string | null }',
  'TrialsController list': 'TrialDto[]',
  'TrialsController put': 'TrialDto',
  'PlanController all': 'PlacePlanDto[]',
  'PlanController one': 'PlacePlanDto',
  'PlanController send': 'PlacePlanDto',
  'PlanController read': 'PlacePlanDto',
  'ReportsController report': 'SeasonReportView',
  'SeasonController view': 'SeasonView',
  'WateringListController read': 'WateringListView',
  'WateringListController done': '{ recordId: string | null }',
};
/** Answers that are not JSON, or empty. */
const NO_JSON = /^(void|string|StreamableFile)$/;
const source = join(ROOT, 'server/src');

/** Returns the type of each answer, and where the names in it come from. */
function answersOf(file) {
  const tree = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const imports = [];
  const answers = [];
  for (const node of tree.statements) {
    if (ts.isImportDeclaration(node)) {
      const from = node.moduleSpecifier.text;
      for (const name of node.importClause?.namedBindings?.elements ?? [])
        imports.push({ name: name.name.text, from: from.startsWith('.') ? join(file, '..', from) : from });
    }
    if (ts.isClassDeclaration(node) && node.name?.text.endsWith('Controller'))
      for (const method of node.members) {
        const routed =
          ts.canHaveDecorators(method) &&
          ts.getDecorators(method)?.some((d) => /^@(Get|Put|Post|Patch|Delete)\(/.test(d.getText()));
        if (!routed) continue;
        const id = `${node.name.text} ${method.name.getText()}`;
        const said = method.type.getText();
        answers.push({ id, type: MADE_ELSEWHERE[id] ?? /^Promise<([\s\S]+)>$/.exec(said)?.[1] ?? said });
      }
  }
  return { imports, answers };
}

const controllers = readdirSync(source, { recursive: true })
  .map((f) => join(source, f))
  .filter((f) => f.endsWith('.ts') && readFileSync(f, 'utf8').includes('@Controller('))
  .map(answersOf);
const answers = controllers
  .flatMap((c) => c.answers)
  .filter(({ type }) => !NO_JSON.test(type))
  .sort((a, b) => (a.id < b.id ? -1 : 1));
const used = new Set(answers.flatMap(({ type }) => type.match(/\w+/g)));
const named = new Map(controllers.flatMap((c) => c.imports.map(({ name, from }) => [name, from])));
/** Names the controllers themselves do not import. */
const ELSEWHERE = { CaseFile: '@candid-leaf/core/casefile' };
const contract = new Set(Object.values(MADE_ELSEWHERE).flatMap((t) => t.match(/\b[A-Z]\w+/g) ?? []));
const file = join(source, 'zz-answers.ts');
const from = (name) => {
  const module = named.get(name) ?? ELSEWHERE[name] ?? (contract.has(name) ? '@candid-leaf/contract' : undefined);
  if (!module) return [];
  const path = module.startsWith('/') ? `./${relative(source, module)}` : module;
  return [`import type { ${name} } from '${path}';`];
};
const key = (id) => id.replace('Controller ', '_');
writeFileSync(
  file,
  [...[...used].flatMap(from), ...answers.map(({ id, type }) => `export type Answer_${key(id)} = ${type};`), ''].join(
    '\n',
  ),
);
try {
  const schema = createGenerator({
    path: file,
    tsconfig: join(ROOT, 'server/tsconfig.json'),
    type: '*',
    expose: 'export',
    topRef: true,
    skipTypeCheck: true,
    additionalProperties: false,
    jsDoc: 'none',
    encodeRefs: false,
  }).createSchema('*');
  // the data of a record is checked by a class, which has a schema already
  const { CASE_LISTS, RECORD_CLASSES } = await import(join(ROOT, 'core/dist/records/index.js'));
  for (const type of Object.keys(RECORD_CLASSES)) delete schema.definitions[`RecordData<"${type}">`];
  const shapeOf = (type) => ({ $ref: `#/components/schemas/${RECORD_CLASSES[type].name}` });
  for (const { kind, list } of CASE_LISTS)
    schema.definitions.CaseRecords.properties[list] = { type: 'array', items: shapeOf(kind) };
  const out = JSON.stringify(schema.definitions)
    .replace(/#\/definitions\/RecordData<\\"([\w-]+)\\">/g, (_, type) => shapeOf(type).$ref)
    .replaceAll('#/definitions/', '#/components/schemas/');
  writeFileSync(join(ROOT, 'server/api-answers.json'), `${out}\n`);
  say(
    `${answers.length} answers, ${Object.keys(schema.definitions).length} shapes, ${Math.round(out.length / 1024)} KB`,
  );
} finally {
  rmSync(file);
}
