import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./web/src', import.meta.url)) } },
  test: {
    // Nothing is timed here: this only ends a test that would never end, on a slow machine too.
    testTimeout: 60_000,
    setupFiles: ['scripts/same-draws.ts'],
    // Mutants of a room are held against the tests named here, not against all.
    include: process.env.FRANK_GAUGE_TESTS?.split(',') ?? [
      'core/**/*.test.ts',
      'web/src/**/*.test.ts',
      'demo/**/*.test.ts',
      'scripts/**/*.test.ts',
    ],
  },
});
