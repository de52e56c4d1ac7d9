import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  server: { host: process.env.HOST ?? '127.0.0.1', port: Number(process.env.PORT ?? 4321) },
  devToolbar: { enabled: false },
  // The middleware compares origins itself: behind a plain loopback address the built-in check refuses our own pages.
  security: { checkOrigin: false },
  experimental: {
    // Only the scripts that the build knows may run; `is:inline` ones are named by their hash in the pages' frame.
    csp: true,
  },
  vite: {
    ssr: { external: ['better-sqlite3'] },
    build: { assetsInlineLimit: 4096 },
  },
});
