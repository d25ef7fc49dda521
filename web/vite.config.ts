import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vite';

// The build lands where Maven packs it into the jar that the server carries.
export default defineConfig({
  plugins: [svelte()],
  build: { outDir: 'target/classes/static', emptyOutDir: true, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:8484' } },
});
