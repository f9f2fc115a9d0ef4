import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { preloadPages, wholeOf } from './scripts/preload-pages.ts';
import { townsAsset } from './scripts/towns-asset.ts';

/**
 * For a plain server of files, under whatever path (`npm run build`): every address in it is relative, and places are behind a #,
 * since such a server knows of no page but the first.
 */
const IS_STATIC = process.env['RUNDEL_STATIC'] === 'yes';
const BASE = IS_STATIC ? './' : '/';

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
          attrs: { rel: 'modulepreload', crossorigin: true, href: `${BASE}${file}` },
          injectTo: 'head',
        }));
    },
  },
};

/** What draws every page: by itself a bundler makes thirty files of it, by who shares what, and each is asked for apart. */
const LIBS = [
  'react',
  'react-dom',
  'scheduler',
  'react-router',
  'cookie',
  'set-cookie-parser',
  '@tanstack/(react-query|query-core)',
  'comlink',
  'clsx',
  'stylis',
  'hoist-non-react-statics',
  'react-is',
  '@emotion/[^/]+',
  '@mui/(system|styled-engine|private-theming)',
  '@mui/material/(styles|Box|ButtonBase|Button|IconButton|Typography|useMediaQuery|DefaultPropsProvider|zero-styled|generateUtilityClass(es)?|CircularProgress|transitions)',
];

// what an earlier build kept in the browser of what it worked out is not read by a later one
process.env['VITE_IS_STATIC'] = IS_STATIC ? 'yes' : '';
process.env['VITE_BUILD_ID'] ??= Date.now().toString(36);

export default defineConfig({
  root: import.meta.dirname,
  base: BASE,
  plugins: [
    react(),
    preloadApp,
    preloadPages,
    townsAsset,
    // once here and not by the server for each that asks; a plain server of files would not know what to do with them
    ...(IS_STATIC ? [] : [compression({ algorithms: ['gzip'], include: /\.(js|css|json|svg)$/ })]),
    VitePWA({
      // a newer build waits until the grower takes it: nothing is swapped under what is being typed
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Rundel',
        short_name: 'Rundel',
        description: 'Grow bags by checking: depth, water and pickings.',
        start_url: IS_STATIC ? './' : '/round',
        scope: BASE,
        id: 'rundel',
        display: 'standalone',
        background_color: '#e5eaea',
        theme_color: '#e5eaea',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: 'icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: 'mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,json}'],
        globIgnores: ['**/*vietnamese*'],
        navigateFallback: `${BASE}index.html`,
        navigateFallbackDenylist: [/\/api\//, /\/calendar\//],
        importScripts: ['reminded.js'],
        // a first visit may go offline too, without being loaded anew
        clientsClaim: true,
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  resolve: {
    // by its name it comes as older browsers need it
    alias: [{ find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.mjs' }],
  },
  build: {
    outDir: IS_STATIC ? 'dist-static' : 'dist',
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'libs', test: new RegExp(`node_modules/(${LIBS.join('|')})/`) },
            // what most pages reckon with
            {
              name: 'basics',
              test: /core\/src\/(calendar|errors|assumed|statistics|units)\//,
              minShareCount: 6,
            },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { port: 4616, host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4617' } },
});
