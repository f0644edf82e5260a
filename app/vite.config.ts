import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { fewerFiles } from './vite.fewer-files';
import { shippedLicences } from './vite.licences';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit(), shippedLicences()],
  worker: { format: 'es', plugins: () => [shippedLicences()] },
  build: {
    chunkSizeWarningLimit: 900,
    // The component library does not say that its modules only define things: what is not shown would reach the page.
    rollupOptions: { treeshake: { moduleSideEffects: [{ test: /flowbite-svelte/, sideEffects: false }] } },
  },
  environments: { client: { build: { rollupOptions: { output: { codeSplitting: fewerFiles() } } } } },
  server: { fs: { allow: ['..'] } },
});
