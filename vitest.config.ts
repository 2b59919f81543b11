import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import unimport from 'unimport/unplugin'
import { defineConfig } from 'vitest/config'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const alias = {
  '#components': at('./tests/components/components.ts'),
  '#core': at('./core'),
  '#shared': at('./shared'),
  '~~': at('.'),
  '~': at('./app'),
}

/** Tests without a page. What one file has loaded serves the next: core remembers only what is the same for everybody. */
const plain = (name: string, include: string[]) => ({
  resolve: { alias },
  test: {
    name,
    isolate: false,
    // What goes wrong on purpose is judged by what is answered.
    env: { LOG_LEVEL: 'silent' },
    include,
    setupFiles: ['./tests/properties.ts'],
    // Searches and property runs share two cores with each other.
    testTimeout: 180_000,
  },
})

export default defineConfig({
  test: {
    // One more would know the program once more for what it gains by waiting for the disk.
    maxWorkers: availableParallelism(),
    projects: [
      plain('core', [
        'core/**/*.test.ts',
        'shared/**/*.test.ts',
        'app/{book,sync,workers}/**/*.test.ts',
        'tests/look/**/*.test.ts',
      ]),
      plain('server', ['tests/{server,judge}/**/*.test.ts']),
      {
        resolve: { alias },
        plugins: [
          vue(),
          // What the framework imports by itself in the app.
          unimport.vite({
            include: [/\/(app|tests)\/.*\.(ts|vue)$/],
            presets: [{ from: 'pinia', imports: ['defineStore', 'storeToRefs'] }],
            dirs: [at('./app/composables'), at('./app/stores'), at('./app/utils')],
            addons: { vueTemplate: true },
          }),
        ],
        test: {
          name: 'components',
          isolate: false,
          include: ['tests/components/**/*.test.ts'],
          environment: 'happy-dom',
          setupFiles: ['./tests/properties.ts', './tests/components/setup.ts'],
          // Every field of every row is put into a page, on two cores that others use too.
          testTimeout: 60_000,
        },
      },
    ],
  },
})
