import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { shippedLicences } from './vite.licences';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit(), shippedLicences()],
  worker: { format: 'es', plugins: () => [shippedLicences()] },
  build: { chunkSizeWarningLimit: 900 },
  server: { fs: { allow: ['..'] } },
});
