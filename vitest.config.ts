import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';
import { fileURLToPath } from 'node:url';

export default defineConfig({
  plugins: [svelte()],
  resolve: { alias: { $lib: fileURLToPath(new URL('./app/src/lib', import.meta.url)) } },
  test: { include: ['core/**/*.test.ts', 'app/src/**/*.test.ts'], testTimeout: 60_000 },
});
