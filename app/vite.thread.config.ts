import { defineConfig } from 'vite';
import { shippedLicences } from './vite.licences';

/** The script of the threads that read for the server: the core in one file, beside the built server. */
export default defineConfig({
  plugins: [shippedLicences()],
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'build',
    emptyOutDir: false,
    copyPublicDir: false,
    rollupOptions: {
      input: { 'reading-thread': 'src/lib/server/reading-task.ts' },
      output: { entryFileNames: '[name].js', format: 'es' },
    },
  },
});
