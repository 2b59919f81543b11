import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': at('./core'), '~~': at('.'), '#shared': at('./shared') } },
  test: {
    include: ['core/**/*.test.ts', 'shared/**/*.test.ts', 'tests/server/**/*.test.ts'],
    // Searches and property runs share two cores with each other.
    testTimeout: 60_000,
  },
})
