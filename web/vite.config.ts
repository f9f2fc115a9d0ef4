import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { preloadPages, wholeOf } from './scripts/preload-pages.ts';
import { townsAsset } from './scripts/towns-asset.ts';

/** What the entry asks for as soon as it runs is fetched along with it, and not one journey later. */
const preloadApp: Plugin = {
  name: 'preload-app',
  transformIndexHtml: {
    order: 'post',
    handler(_, { bundle = {} }) {
      const chunks = Object.values(bundle).filter((file) => file.type === 'chunk');
      const whole = wholeOf(chunks);
      const entry = whole(chunks.find(({ isEntry }) => isEntry)?.fileName);
      const app = whole(chunks.find(({ name }) => name === 'App')?.fileName);
      return [...app]
        .filter((file) => !entry.has(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
          injectTo: 'head',
        }));
    },
  },
};

// what an earlier build kept in the browser of what it worked out is not read by a later one
process.env['VITE_BUILD_ID'] ??= Date.now().toString(36);

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    preloadApp,
    preloadPages,
    townsAsset,
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: false,
      manifest: {
        name: 'Rundel',
        short_name: 'Rundel',
        description: 'Grow bags by checking: depth, water and pickings.',
        start_url: '/round',
        display: 'standalone',
        background_color: '#e5eaea',
        theme_color: '#e5eaea',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,json}'],
        globIgnores: ['**/*vietnamese*'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  resolve: {
    // by its name it comes as older browsers need it
    alias: [{ find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.mjs' }],
  },
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 900,
  },
  worker: { format: 'es' },
  server: { port: 4616, host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4617' } },
});
