import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The finder of marks is written for Node and for pages of old, by `this`; here it is a module. */
const marksAsModule = (): Plugin => ({
  name: 'marks-as-module',
  transform(code, id) {
    if (!/js-aruco2[\\/]src[\\/](aruco|cv)\.js/.test(id)) return null;
    const isCv = id.includes('cv.js');
    const body = code
      .replace("var CV = this.CV || require('./cv').CV;", "import { CV } from './cv.js';")
      .replace('this.CV = CV;', '')
      .replace('this.AR = AR;', '');
    return { code: body + (isCv ? '\nexport { CV };' : '\nexport default { AR };'), map: null };
  },
});

/** The client. */
export default defineConfig({
  root: 'web',
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // The view beside the machine asks for it; nothing else of the app does.
      injectRegister: false,
      registerType: 'autoUpdate',
      manifest: {
        name: 'Pin Margin',
        short_name: 'Pin Margin',
        description: 'From a cloth and an edge to the hem that holds, with its margin.',
        start_url: '/',
        display: 'standalone',
        background_color: '#eee5d6',
        theme_color: '#eee5d6',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
      workbox: {
        // Nothing is fetched beforehand; what the view has shown is what it keeps (`web/screens/at/keep-view.ts`).
        globPatterns: [],
        inlineWorkboxRuntime: true,
        navigateFallback: null,
        runtimeCaching: [
          {
            // The page of the server, always; the one kept here only while nobody answers.
            urlPattern: ({ request, url }) =>
              request.mode === 'navigate' && url.pathname.startsWith('/at/'),
            handler: 'NetworkFirst',
            options: { cacheName: 'at-pages', networkTimeoutSeconds: 4 },
          },
          {
            // Their names are made from what is in them: one that is kept is never an old one.
            urlPattern: ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith('/assets/'),
            handler: 'CacheFirst',
            options: { cacheName: 'at-assets', expiration: { maxEntries: 120 } },
          },
        ],
      },
    }),
  ],
  worker: { format: 'es', plugins: () => [marksAsModule()] },
  build: {
    outDir: '../dist/client',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: {
      output: {
        codeSplitting: {
          // What every screen needs, and what all of sewing needs, comes in one file each: thirty
          // small ones pack worse, and each has its own headers. What an edge can be measured by is no
          // matter of a setting.
          groups: [
            { name: 'frame', tags: ['$initial'] },
            {
              name: 'finishes',
              test: /[\\/]core[\\/](stitch|edge(?![\\/](things|form-issues|form-course|course|derived)\.ts$)|finish|kit)[\\/]|[\\/]core[\\/]seam[\\/]crossing\.ts$|[\\/]words[\\/](facts|fill|starting-value)\.ts$/,
            },
          ],
        },
      },
    },
  },
});
