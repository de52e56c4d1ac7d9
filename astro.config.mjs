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
    // Only our own files and the inline scripts that the build knows by their hash may run.
    csp: true,
  },
  vite: {
    ssr: { external: ['better-sqlite3'] },
    build: { assetsInlineLimit: 4096 },
  },
});
