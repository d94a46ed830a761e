import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** The client. */
export default defineConfig({
  root: 'web',
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
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
