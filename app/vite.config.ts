import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  // What is bundled, with its licences: docs/licences.md is made of it.
  build: { chunkSizeWarningLimit: 900, license: true },
  server: { fs: { allow: ['..'] } },
});
