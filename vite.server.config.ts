import { defineConfig } from 'vite';

/** The server, bundled from its sources; packages stay in node_modules. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: 'server/main.ts',
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    minify: false,
  },
});
