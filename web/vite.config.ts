import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** What the entry asks for as soon as it runs is fetched along with it, and not one journey later. */
const preloadRouter: Plugin = {
  name: 'preload-router',
  transformIndexHtml: {
    order: 'post',
    handler(_, { bundle = {} }) {
      const chunks = Object.values(bundle).filter((file) => file.type === 'chunk');
      const router = chunks.find(({ name }) => name === 'router');
      const entry = chunks.find(({ isEntry }) => isEntry);
      const files = router ? [router.fileName, ...router.imports] : [];
      return files
        .filter((file) => file !== entry?.fileName && !entry?.imports.includes(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
          injectTo: 'head',
        }));
    },
  },
};

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    preloadRouter,
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: false,
      manifest: {
        name: 'Rundel',
        short_name: 'Rundel',
        description: 'Grow bags by checking: depth, water and pickings.',
        start_url: '/round',
        display: 'standalone',
        background_color: '#e5ebec',
        theme_color: '#3b1a42',
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
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 900,
  },
  worker: { format: 'es' },
  server: { port: 4616, host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4617' } },
});
