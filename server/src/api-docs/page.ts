import type { OpenAPIObject } from '@nestjs/swagger';
import escape from 'escape-html';

interface Schema {
  type?: string | string[];
  format?: string;
  enum?: unknown[];
  $ref?: string;
  items?: Schema;
  anyOf?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  minimum?: number;
  maximum?: number;
  maxLength?: number;
}
type Operation = NonNullable<OpenAPIObject['paths'][string]['get']>;

const METHODS = ['get', 'head', 'put', 'post', 'patch', 'delete'] as const;
const nameIn = (ref: string): string => ref.split('/').at(-1) ?? '';
/** Lists with more choices than this are shortened. */
const MOST_CHOICES = 8;

/** Describes a field's type in a few words. */
function wordsOf(s: Schema): string {
  if (s.$ref) return `<a href="#${escape(nameIn(s.$ref))}">${escape(nameIn(s.$ref))}</a>`;
  if (s.anyOf?.length) return s.anyOf.map(wordsOf).join(' or ');
  if (s.type === 'array') return `a list of ${s.items ? wordsOf(s.items) : 'anything'}`;
  if (s.enum)
    return s.enum.length > MOST_CHOICES
      ? `one of ${s.enum.length} words, such as ${escape(String(s.enum[0]))}`
      : s.enum.map((e) => escape(String(e))).join(', ');
  const limits = [
    s.minimum === undefined ? '' : `from ${s.minimum}`,
    s.maximum === undefined ? '' : `to ${s.maximum}`,
    s.maxLength === undefined ? '' : `up to ${s.maxLength} characters`,
  ].filter(Boolean);
  return [s.format ?? [s.type ?? 'anything'].flat().join(' or '), ...limits].join(' ');
}

function fields(name: string, schema: Schema): string {
  const must = new Set(schema.required);
  const rows = Object.entries(schema.properties ?? {}).map(
    ([field, s]) =>
      `<tr><th scope="row"><code>${escape(field)}</code></th><td>${wordsOf(s)}</td><td>${must.has(field) ? 'needed' : ''}</td></tr>`,
  );
  return `<section><h3 id="${escape(name)}">${escape(name)}</h3>${
    rows.length > 0 ? `<table><tbody>${rows.join('')}</tbody></table>` : '<p>No fields.</p>'
  }</section>`;
}

function one(method: string, path: string, operation: Operation): string {
  const body = operation.requestBody && 'content' in operation.requestBody ? operation.requestBody.content : {};
  const takes = Object.entries(body).map(([type, { schema }]) =>
    type === 'application/json' && schema ? wordsOf(schema as Schema) : `a file, ${escape(type)}`,
  );
  const done = Object.entries(operation.responses).find(([status]) => status.startsWith('2'))?.[1];
  const gives = Object.entries(done && 'content' in done ? (done.content ?? {}) : {}).map(([type, { schema }]) =>
    type === 'application/json' && schema ? wordsOf(schema as Schema) : `a file, ${escape(type)}`,
  );
  const asks = (operation.parameters ?? []).flatMap((p) => ('name' in p && p.in === 'query' ? [p.name] : []));
  return `<li><p><code><b>${method.toUpperCase()}</b> ${escape(path)}</code></p><p>${escape(operation.summary ?? '')}${
    takes.length > 0 ? ` Takes ${takes.join(' or ')}.` : ''
  }${gives.length > 0 ? ` Answers with ${gives.join(' or ')}.` : ''}${asks.length > 0 ? ` Can be queried with ${asks.map((a) => `<code>${escape(a)}</code>`).join(', ')}.` : ''}</p></li>`;
}

const STYLE = `:root{color-scheme:light dark}body{font:1.05rem/1.5 system-ui,sans-serif;max-width:62rem;margin:0 auto;padding:1.5rem}
h1,h2,h3{line-height:1.2}h2{margin-top:2.5rem}ul{list-style:none;padding:0}li{border-top:1px solid color-mix(in srgb,currentColor 25%,transparent);padding:.5rem 0}
li p,section h3{margin:.15rem 0}code{overflow-wrap:anywhere}section{margin-top:1.25rem}table{border-collapse:collapse}th{text-align:left;font-weight:400}
td,th{padding:.15rem 1.25rem .15rem 0;vertical-align:top}a{color:inherit}`;

/** Renders the document as a readable page: no script, nothing fetched. */
export function apiPage(document: OpenAPIObject): string {
  const groups = new Map<string, string[]>();
  for (const [path, operations] of Object.entries(document.paths))
    for (const method of METHODS) {
      const operation = operations[method];
      const tag = operation?.tags?.[0] ?? '';
      if (operation) groups.set(tag, [...(groups.get(tag) ?? []), one(method, path, operation)]);
    }
  const routes = [...groups].map(
    ([tag, list]) =>
      `<h2>${escape(tag.replace(/(?<=[a-z])(?=[A-Z])/g, ' ').replace(/^./, (c) => c.toUpperCase()))}</h2><ul>${list.join('')}</ul>`,
  );
  const shapes = Object.entries(document.components?.schemas ?? {}).map(([name, s]) => fields(name, s as Schema));
  const { title, description = '', version } = document.info;
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">
<title>${escape(title)}: API</title><style>${STYLE}</style></head><body><main>
<h1>${escape(title)}: API</h1><p>${escape(description)}</p>
<p>Version ${escape(version)}. The same as OpenAPI, for programs: <a href="/api/openapi.json">/api/openapi.json</a>.</p>
${routes.join('\n')}
<h2>Request bodies</h2><p>Fields that are not listed are refused.</p>
${shapes.join('\n')}
</main></body></html>`;
}
