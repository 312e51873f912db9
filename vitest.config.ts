import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./web/src', import.meta.url)) } },
  test: {
    include: [
      'core/**/*.test.ts',
      'web/src/**/*.test.ts',
      'demo/**/*.test.ts',
      'scripts/**/*.test.ts',
    ],
  },
});
