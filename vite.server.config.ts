import { defineConfig } from 'vite';

/** The server, bundled from its sources; packages stay in node_modules. */
export default defineConfig({
  publicDir: false,
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
