import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    // Both cores: what is left over for the machine itself is enough.
    maxWorkers: 2,
    projects: [
      { test: { name: 'unit', include: ['core/**/*.test.ts', 'contracts/**/*.test.ts', 'app/**/*.test.ts', 'bin/**/*.test.ts'], testTimeout: 60_000 } },
      { test: { name: 'reference', include: ['tests/reference/**/*.test.ts'], testTimeout: 120_000 } },
      { test: { name: 'server', include: ['server/**/*.test.ts', 'tests/server/**/*.test.ts'], testTimeout: 60_000, hookTimeout: 60_000 } },
    ],
  },
})
