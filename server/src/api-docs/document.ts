import type { Type } from '@nestjs/common';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { ModulesContainer, Reflector } from '@nestjs/core';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import type { Role } from '@candid-leaf/contract';
// @ts-expect-error the package tells its own schemas nowhere else, and gives no types for it
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { ENTRY_CLASSES } from '@candid-leaf/core/records';
import { EXAMPLES, FILE_ANSWERS, SHAPES, shapeOf } from './answers.js';
import { NEEDS_KEY, PUBLIC_KEY, SESSION_ONLY_KEY } from '../accounts/session.js';

type Operation = NonNullable<OpenAPIObject['paths'][string]['get']>;
const METHODS = ['get', 'head', 'put', 'post', 'patch', 'delete'] as const;

/** Check names for rules that a schema can't express. */
const CHECKS = {
  isCalendarDay: { type: 'string', format: 'date' },
  isUrl: { type: 'string', format: 'uri' },
} as const;

/** Routes whose body is a file. */
const FILES: Record<string, string> = {
  'PhotosController put': 'image/jpeg',
  'PhotosController add': 'application/offset+octet-stream',
  'TransferController preview': 'text/csv',
  'TransferController run': 'text/csv',
  'TransferController fill': 'application/zip',
  'UploadsController gateway': 'application/x-www-form-urlencoded',
};

/**
 * Builds the OpenAPI document from the running code: routes from the router, bodies from their validation classes,
 * and access from the guard's marks.
 */
export function apiDocument(app: NestExpressApplication, version: string): OpenAPIObject {
  const handlers = new Map<string, { handler: object; controller: Type }>();
  for (const { controllers } of app.get(ModulesContainer).values())
    for (const { metatype } of controllers.values()) {
      const controller = metatype as Type;
      const methods = controller.prototype as Record<string, object>;
      for (const name of Object.getOwnPropertyNames(methods))
        handlers.set(`${controller.name} ${name}`, { handler: methods[name]!, controller });
    }
  const info = new DocumentBuilder()
    .setTitle('Candid Leaf')
    .setDescription(
      'A script can use every request of the page, with a key to one garden. Amounts are metric and dates are the garden’s own. Each write carries an id that you make, so sending it twice does it once.',
    )
    .setVersion(version)
    .setLicense('MIT', '')
    .setOpenAPIVersion('3.1.0')
    .addBearerAuth(
      { type: 'http', scheme: 'bearer', description: 'A key to one garden, made under People and access.' },
      'key',
    )
    .addCookieAuth('candid-leaf', { type: 'apiKey', in: 'cookie' }, 'session')
    .build();
  const document = SwaggerModule.createDocument(app, info, {
    operationIdFactory: (controller, method) => `${controller} ${method}`,
  });
  for (const [path, operations] of Object.entries(document.paths))
    for (const method of METHODS) {
      const operation = operations[method];
      if (operation) describe(operation, path, method, handlers);
    }
  const shapes = Object.entries(SHAPES).filter(([name]) => !name.startsWith('Answer_'));
  document.components = { ...document.components, schemas: { ...schemas(), ...Object.fromEntries(shapes) } };
  return document;
}

function describe(
  operation: Operation,
  path: string,
  method: (typeof METHODS)[number],
  handlers: ReadonlyMap<string, { handler: object; controller: Type }>,
): void {
  const id = operation.operationId ?? '';
  const found = handlers.get(id);
  if (!found) return;
  const targets = [found.handler, found.controller] as never[];
  const marked = <T>(key: string): T | undefined => new Reflector().getAllAndOverride<T>(key, targets);
  const inGarden = path.includes('{gardenId}');
  // path parameters a handler does not read are in its address all the same
  const listed = new Set((operation.parameters ?? []).flatMap((p) => ('name' in p && p.in === 'path' ? [p.name] : [])));
  for (const [, name] of path.matchAll(/\{(\w+)\}/g))
    if (!listed.has(name!))
      operation.parameters = [
        ...(operation.parameters ?? []),
        { name: name!, in: 'path', required: true, schema: { type: 'string' } },
      ];
  const role = marked<Role>(NEEDS_KEY) ?? (method === 'get' ? 'look' : 'keep');
  const open = marked<boolean>(PUBLIC_KEY) === true;
  const keys = inGarden && !marked<boolean>(SESSION_ONLY_KEY);
  operation.operationId = id.replace(' ', '.').replace('Controller', '');
  operation.tags = [id.split('Controller')[0] ?? ''];
  operation.summary = open
    ? 'Open to anyone.'
    : `${inGarden ? `For who may ${role}` : 'For anyone signed in'}${keys ? '' : '; not for keys'}.`;
  operation.security = open ? [] : [{ session: [] }, ...(keys ? [{ key: [] }] : [])];
  const file = FILES[id];
  if (file)
    operation.requestBody = { required: true, content: { [file]: { schema: { type: 'string', format: 'binary' } } } };
  answer(operation);
  if (!open) operation.responses['401'] ??= { description: 'Not signed in, or the key does not work.' };
  if (inGarden) operation.responses['403'] ??= { description: 'Your role does not allow this.' };
  if (operation.requestBody) operation.responses['400'] ??= { description: 'What is wrong, field by field.' };
}

/** Adds what a route answers: its shape with an example, or which file it is. */
function answer(operation: Operation): void {
  const id = operation.operationId ?? '';
  const [tag, method] = id.split('.') as [string, string];
  const good = Object.keys(operation.responses).find((status) => status.startsWith('2')) ?? '200';
  const schema = shapeOf(tag, method);
  const file = FILE_ANSWERS[id];
  const content = schema
    ? { 'application/json': { schema, ...(id in EXAMPLES ? { example: EXAMPLES[id] } : {}) } }
    : file
      ? { [file]: { schema: { type: 'string', ...(file.startsWith('text/') ? {} : { format: 'binary' }) } } }
      : undefined;
  operation.responses[good] = content ? { description: 'Done.', content } : { description: 'Done, without an answer.' };
}

/** Returns every validation class as a schema; fields not in the class are refused. */
function schemas(): Record<string, object> {
  const made = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: CHECKS,
  });
  // the class of a record's data depends on its type
  const data = Object.values(ENTRY_CLASSES).map(({ name }) => ({ $ref: `#/components/schemas/${name}` }));
  Object.assign(made.RecordInput!.properties!, { data: { anyOf: data } });
  return Object.fromEntries(
    Object.entries(made).map(([name, schema]) => [name, { ...schema, additionalProperties: false }]),
  );
}
