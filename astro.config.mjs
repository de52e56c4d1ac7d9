import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';
import { fileURLToPath } from 'node:url';
import { build } from 'vite';
import { licencesPlugin } from './scripts/licences.mjs';

/** Programs of their own beside the server: threads that compute, print and encrypt, and what the shell does with backups. */
const besides = {
  compute: 'src/server/compute/compute.worker.ts',
  keeping: 'src/server/keeping/command-line.ts',
  cipher: 'src/server/keeping/cipher.worker.ts',
  paper: 'src/server/paper/paper.worker.ts',
};
const programsBeside = {
  name: 'programs-beside',
  hooks: {
    'astro:build:done': () =>
      build({
        configFile: false,
        logLevel: 'warn',
        publicDir: false,
        build: {
          ssr: true,
          outDir: 'dist/server/workers',
          rollupOptions: { input: besides, output: { entryFileNames: '[name].mjs' } },
        },
      }),
  },
};

/** Islands are drawn in one go (src/ui/frame/drawn-at-once.ts). */
const drawnAtOnce = {
  name: 'drawn-at-once',
  enforce: 'pre',
  resolveId: (id, importer) =>
    id === 'react-dom/server' && importer?.includes('@astrojs/react')
      ? fileURLToPath(new URL('src/ui/frame/drawn-at-once.ts', import.meta.url))
      : undefined,
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), programsBeside],
  server: { host: process.env.HOST ?? '127.0.0.1', port: Number(process.env.PORT ?? 4321) },
  devToolbar: { enabled: false },
  // The middleware compares origins itself: behind a plain loopback address the built-in check refuses our own pages.
  security: { checkOrigin: false },
  experimental: {
    // Only our own files and the inline scripts that the build knows by their hash may run.
    csp: true,
  },
  vite: {
    plugins: [drawnAtOnce, licencesPlugin(fileURLToPath(new URL('.', import.meta.url)))],
    ssr: { external: ['better-sqlite3-multiple-ciphers'] },
    build: { assetsInlineLimit: 4096 },
    // The same in the browser and on the server, and another one for each build.
    define: { __BUILD__: JSON.stringify(Date.now().toString(36)) },
  },
});
