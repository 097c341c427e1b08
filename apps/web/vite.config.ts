import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwind()],
  build: { target: 'es2023', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
  server: { port: 4478, proxy: { '/api': 'http://127.0.0.1:4477' } },
});
