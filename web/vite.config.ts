import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { readdirSync } from 'node:fs';
import { defineConfig } from 'vite';
import { serviceWorker } from './sw/plugin';

export default defineConfig({
  plugins: [react(), tailwindcss(), serviceWorker(readdirSync(new URL('public', import.meta.url)))],
  // what a device has kept is of one build: another may want another form of it
  define: { __BUILT__: JSON.stringify(String(Date.now())) },
  build: {
    sourcemap: false,
    chunkSizeWarningLimit: 800,
    // a slow line asks a few times only: what every page needs comes together, and icons are not a file each
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'icons', test: /lucide-react/ },
            { name: 'shared', test: /(web\/src\/(lib|ui|offline)|core\/(src|dist)\/(units|records))\// },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': process.env.APP_URL ?? 'http://127.0.0.1:3210' } },
});
