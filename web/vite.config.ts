import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { readdirSync } from 'node:fs';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { serviceWorker } from './sw/plugin';

/**
 * What only forms need: they come when one is opened. The barrels of core and contract lead to it from every page, so it is named here;
 * `test/first-load.test.ts` holds what is loaded first against its limit.
 */
const OF_FORMS =
  /class-(validator|transformer)|node_modules.validator|react-hook-form|reflect-metadata|records.dist.(record-classes|observation|parts|dated|checked)\./;

// packed once, as small as it gets; the server hands it on as it lies
const packed = compression({ algorithms: ['brotliCompress'], include: /\.(js|css|svg|webmanifest)$/, threshold: 1000 });

/** What pages share later, from the layer that imports nothing of the others upwards. */
const SHARED: [string, RegExp][] = [
  ['packages', /node_modules/],
  ['core', /(core|contract).dist/],
  ['shared', /web.src/],
];

export default defineConfig({
  plugins: [react(), tailwindcss(), serviceWorker(readdirSync(new URL('public', import.meta.url))), packed],
  // what a device has kept is of one build: another may want another form of it
  define: { __BUILT__: JSON.stringify(String(Date.now())) },
  build: {
    sourcemap: false,
    chunkSizeWarningLimit: 800,
    // a slow line asks a few times only: what every page needs comes in one file, and what pages share later in a few
    rolldownOptions: {
      preserveEntrySignatures: 'allow-extension',
      output: {
        chunkFileNames: ({ name }) => `assets/${name.split('~')[0]}-[hash].js`,
        codeSplitting: {
          groups: [
            // what is read again for each of its errors stands apart: reading it is dear on a slow phone
            {
              name: 'react',
              tags: ['$initial'],
              test: /node_modules\/(react|react-dom|scheduler)\//,
              includeDependenciesRecursively: false,
            },
            {
              name: 'first',
              tags: ['$initial'],
              test: (id: string) => !OF_FORMS.test(id),
              includeDependenciesRecursively: false,
            },
            // layer by layer, so that no file waits for one that waits for it
            ...SHARED.map(([name, test]) => ({
              name,
              test,
              minShareCount: 2,
              entriesAware: name === 'packages',
              entriesAwareMergeThreshold: 20_000,
              includeDependenciesRecursively: false,
            })),
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': process.env.APP_URL ?? 'http://127.0.0.1:3210' } },
});
