// Writes the service worker of the built web app: every screen on the device, data as last seen.
import { join } from 'node:path';
import { generateSW } from 'workbox-build';
import { root } from './steps.mjs';

const built = join(root, 'apps/web/dist');
const MEGABYTE = 1e6;

const { warnings } = await generateSW({
  globDirectory: built,
  globPatterns: ['**/*.{js,css,html,woff2,svg,wasm}'],
  swDest: join(built, 'offline.js'),
  inlineWorkboxRuntime: true,
  sourcemap: false,
  mode: 'production',
  clientsClaim: true,
  skipWaiting: true,
  cleanupOutdatedCaches: true,
  maximumFileSizeToCacheInBytes: 8 * MEGABYTE,
  // The page and what it shows come from the workshop's computer while that answers.
  runtimeCaching: [
    {
      urlPattern: ({ request }) => request.mode === 'navigate',
      handler: 'NetworkFirst',
      options: {
        cacheName: 'brookrain-pages',
        networkTimeoutSeconds: 4,
        precacheFallback: { fallbackURL: '/index.html' },
      },
    },
    {
      urlPattern: ({ url, sameOrigin }) =>
        sameOrigin && /^\/api\/(catalogue|builds(\/[^/.]+(\/record)?)?)$/.test(url.pathname),
      handler: 'NetworkFirst',
      options: { cacheName: 'brookrain-data', networkTimeoutSeconds: 4 },
    },
  ],
});
for (const warning of warnings) console.error(warning);
