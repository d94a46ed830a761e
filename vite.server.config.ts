import { defineConfig } from 'vite';

/**
 * Packages that stay in node_modules: those with native parts, files beside their scripts, or parts
 * they look for while they run.
 */
const asInstalled = ['sqlite3', 'sharp', 'piscina', 'sequelize', 'pdfkit', 'js-aruco2', 'pino'];

/**
 * The server, bundled from its sources with what it uses: hundreds of small files of packages took
 * most of its start, and of every thread’s.
 */
export default defineConfig({
  publicDir: false,
  ssr: { noExternal: true, external: asInstalled },
  build: {
    ssr: true,
    rollupOptions: {
      // What runs on threads and in processes of its own has a file of its own.
      input: [
        'server/main.ts',
        'server/salvage-main.ts',
        'server/work/compute-worker.ts',
        'server/work/import-worker.ts',
        'server/photos/picture-process.ts',
      ],
    },
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    minify: false,
  },
});
