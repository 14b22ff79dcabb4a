import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import ts from 'typescript';

const run = promisify(execFile);
const MODULES = join(__dirname, '../../node_modules');

/** One call of the docs: its method, path and body, and the part of the answer that the docs show. */
export interface DocsCall {
  method: string;
  /** with `$GARDEN` and the others */
  path: string;
  body: string | undefined;
  answer: string;
}

/** Reads a call from an example of the docs. */
export function callIn(script: string, answer: string): DocsCall {
  const method = /-X (\w+)/.exec(script)?.[1] ?? 'GET';
  const path = /\$LEAF([^"]+)"/.exec(script)![1]!;
  return { method, path, body: /-d '([\s\S]+)' \\/.exec(script)?.[1]?.replace(/'"(\$\w+)"'/g, '$1'), answer };
}

/** `$GARDEN` in an address, and the name it has in the document. */
const NAMES: Record<string, string> = { GARDEN: 'gardenId', PLACE: 'placeId', PLANT: 'plantId' };
const typed = ({ method, path, body, answer }: DocsCall, i: number): string => {
  const named = path.replace(/\$(\w+)/g, (_, n: string) => `{${NAMES[n]}}`);
  const params = [...path.matchAll(/\$(\w+)/g)].map(([, n]) => `${NAMES[n!]}: env.${n}!`);
  const sent = body === undefined ? '' : `, body: ${body.replace(/"\$(\w+)"/g, 'env.$1!')}`;
  return `
const r${i} = await client.${method}('${named}', { params: { path: { ${params.join(', ')} } }${sent} });
// what the docs show is a part of what the document promises, or of a refusal
const shown${i}: Part<NonNullable<typeof r${i}.data>> | { message: string } = ${answer.trim()};
void shown${i};
out.push(r${i}.data ?? r${i}.error);
`;
};

/**
 * Makes a typed client from the OpenAPI document, compiles the calls with it, and runs them.
 * @returns the answers
 * @throws what the compiler says
 */
export async function runTyped(
  document: object,
  calls: readonly DocsCall[],
  env: NodeJS.ProcessEnv,
): Promise<unknown[]> {
  const folder = mkdtempSync(join(tmpdir(), 'typed-client-'));
  const file = (name: string): string => join(folder, name);
  try {
    symlinkSync(MODULES, file('node_modules'));
    writeFileSync(file('package.json'), '{ "type": "module" }');
    writeFileSync(file('document.json'), JSON.stringify(document));
    await run(process.execPath, [join(MODULES, 'openapi-typescript/bin/cli.js'), 'document.json', '-o', 'api.ts'], {
      cwd: folder,
    });
    const source = `import createClient from 'openapi-fetch';
import type { paths } from './api.js';
type Part<T> = T extends readonly (infer U)[] ? Part<U>[] : T extends object ? { [K in keyof T]?: Part<T[K]> } : T;
const { env } = process;
const client = createClient<paths>({ baseUrl: env.LEAF!, headers: { authorization: \`Bearer \${env.KEY}\` } });
const out: unknown[] = [];
${calls.map(typed).join('')}
process.stdout.write(JSON.stringify(out));
`;
    writeFileSync(file('calls.ts'), source);
    const options = [
      '--noEmit',
      '--strict',
      '--skipLibCheck',
      '--module',
      'nodenext',
      '--target',
      'es2023',
      '--types',
      'node',
    ];
    await run(process.execPath, [join(MODULES, 'typescript-compiler/bin/tsc'), ...options, 'calls.ts'], {
      cwd: folder,
    }).catch((error: { stdout: string }) => {
      throw new Error(`the calls do not fit the document:\n${error.stdout}`);
    });
    const { outputText } = ts.transpileModule(source, {
      compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2023 },
    });
    writeFileSync(file('calls.js'), outputText);
    const { stdout } = await run(process.execPath, ['calls.js'], { cwd: folder, env });
    return JSON.parse(stdout) as unknown[];
  } finally {
    rmSync(folder, { recursive: true });
  }
}
