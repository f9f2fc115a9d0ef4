import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 900,
  },
  worker: { format: 'es' },
  server: { port: 4616, host: '127.0.0.1' },
});
