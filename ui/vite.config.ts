import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
  test: { environment: 'node', include: ['src/**/*.test.ts'], maxWorkers: 2, testTimeout: 30_000 },
  resolve: process.env.VITEST ? { conditions: ['browser'] } : undefined
});
