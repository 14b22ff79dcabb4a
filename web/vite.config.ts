import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { sourcemap: false, chunkSizeWarningLimit: 800 },
  server: { proxy: { '/api': process.env.APP_URL ?? 'http://127.0.0.1:3210' } },
});
