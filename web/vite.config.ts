import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: false,
      manifest: {
        name: 'Rundel',
        short_name: 'Rundel',
        description: 'Grow bags by looking: depth, water and pickings.',
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
