import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { build, type Plugin } from 'vite';

/** Not kept for later: it is fetched anew each time. */
const NOT_KEPT = /(^sw\.js$|\.map$|\.br$)/;

/** Builds the service worker after the page, with the list of all files that the page is made of. */
export function serviceWorker(publicFiles: readonly string[]): Plugin {
  let root = '';
  let outDir = '';
  return {
    name: 'candid-leaf-service-worker',
    apply: 'build',
    configResolved(config) {
      root = config.root;
      outDir = config.build.outDir;
    },
    async writeBundle(_options, bundle) {
      const revision = (content: string | Uint8Array): string =>
        createHash('sha256').update(content).digest('hex').slice(0, 16);
      const built = Object.values(bundle)
        .filter((f) => !NOT_KEPT.test(f.fileName))
        .map((f) => ({
          url: `/${f.fileName}`,
          // files in assets have their content in their name
          revision: f.fileName.startsWith('assets/') ? null : revision(f.type === 'chunk' ? f.code : f.source),
        }));
      const given = publicFiles.map((name) => ({
        url: `/${name}`,
        revision: revision(readFileSync(`${root}/public/${name}`)),
      }));
      await build({
        configFile: false,
        root,
        logLevel: 'warn',
        publicDir: false,
        define: { 'self.__FILES': JSON.stringify([...built, ...given]), 'process.env.NODE_ENV': '"production"' },
        build: {
          outDir,
          emptyOutDir: false,
          lib: { entry: `${root}/sw/sw.ts`, formats: ['iife'], name: 'sw', fileName: () => 'sw.js' },
        },
      });
    },
  };
}
