import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/**
 * What several screens share comes in a few files, not in a hundred small ones, each of which would be
 * asked for by itself; what one screen alone needs comes with it.
 */
const codeSplitting = {
  groups: [
    { name: 'packages', test: /node_modules/, minShareCount: 6 },
    { name: 'shared', test: /packages[\\/](core|contract)|apps[\\/]web[\\/]src/, minShareCount: 3 },
  ],
};

export default defineConfig({
  plugins: [react(), tailwind()],
  build: {
    target: 'es2023',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting } },
  },
  worker: { format: 'es' },
  server: { port: 4478, proxy: { '/api': 'http://127.0.0.1:4477' } },
});
