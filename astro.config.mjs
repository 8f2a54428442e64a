import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwind from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { cpSync } from 'node:fs';
import { build } from 'esbuild';
import { compressed } from './scripts/compressed.mjs';
import { preloads } from './scripts/preloads.mjs';

/** Puts what runs beside the app into the server's folder, each as one file: the thread that plans, and the door that everybody comes in by. */
const beside = {
  name: 'beside-the-app',
  hooks: {
    'astro:build:done': () => {
      cpSync('.generated/schemas', 'dist/schemas', { recursive: true });
      return build({
        entryPoints: { 'plan.thread': 'src/work/plan.thread.ts', entry: 'src/server/entry.ts' },
        outdir: 'dist/server',
        outExtension: { '.js': '.mjs' },
        external: ['./app.mjs', 'sirv', 'compression'],
        bundle: true,
        minify: true,
        platform: 'node',
        format: 'esm',
        logLevel: 'warning',
      });
    },
  },
};

/** Every shared part in every state, for those who build the program: only while it is developed. */
const gallery = {
  name: 'gallery',
  hooks: {
    'astro:config:setup': ({ command, injectRoute }) => {
      if (command === 'dev') injectRoute({ pattern: '/gallery', entrypoint: 'src/views/gallery/gallery.astro' });
    },
  },
};

/** Icons are one part: alone each is so small that it would be put beside something large that happens to need it too. */
const together = (id) => (id.includes('/lucide-react/') ? 'icons' : undefined);

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), beside, preloads(), compressed(), gallery],
  build: { serverEntry: 'app.mjs' },
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwind()],
    // Small files stay files: the page allows no data: scripts, and fonts come from this machine only.
    // Many small files come slower than few: each is a question of its own to the server.
    build: {
      assetsInlineLimit: 0,
      rollupOptions: { output: { experimentalMinChunkSize: 1000, manualChunks: together } },
    },
    worker: { format: 'es' },
    ssr: { external: ['piscina'] },
  },
  security: { checkOrigin: false },
  experimental: {
    csp: {
      // The one style that the package of the "Do …" list puts into the page (how pressed things answer to touch).
      styleDirective: { hashes: ['sha256-38RhXrc7EdReTKsOm23ZPOCUgniTUUcjky8QOOrQx6o='] },
      directives: [
        "default-src 'self'",
        "connect-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'self'",
        "form-action 'self'",
      ],
    },
  },
});
