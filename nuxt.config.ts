import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'

const core = fileURLToPath(new URL('./core', import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  // The server's code is built as it was written: its lines can be found without maps.
  sourcemap: false,
  telemetry: false,
  devtools: { enabled: false },
  experimental: {
    viteEnvironmentApi: true,
    // app/plugins/viewCode does better than to leave the page for one that nobody serves.
    emitRouteChunkError: 'manual',
    // What a view needs comes when its link is about to be pressed, so that it does not crowd out the first view.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  spaLoadingTemplate: 'spa-loading-template.html',
  modules: ['@pinia/nuxt'],
  alias: { '#core': core },
  css: ['~/assets/main.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  routeRules: {
    '/**': {
      headers: {
        'Content-Security-Policy': "frame-ancestors 'none'",
        'X-Frame-Options': 'DENY',
        'X-Content-Type-Options': 'nosniff',
        'Referrer-Policy': 'no-referrer',
      },
    },
  },
  nitro: {
    // Over this machine's own wire the better of two ways to pack saves nothing that can be felt.
    compressPublicAssets: { gzip: true, brotli: false },
    errorHandler: '~~/server/http/errorHandler',
    // It runs beside its packages: a copy of them takes a third of the build's time and four fifths of its room.
    externals: { trace: false },
  },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Inch Ahead',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Plan, sequence, do and log the refit of your boat.' },
        { name: 'color-scheme', content: 'light dark' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true },
      // Tests, benches and commands drive all of it: they are checked with the pages.
      include: ['../tests/**/*', '../bench/**/*', '../scripts/**/*.ts', '../*.config.ts'],
    },
    sharedTsConfig: { include: ['../core/**/*', '../demo/**/*'] },
  },
  // Tailwind's own does both.
  postcss: { plugins: { autoprefixer: false, cssnano: false } },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: 'es' },
    build: {
      target: 'es2022',
      reportCompressedSize: false,
      rolldownOptions: {
        output: {
          // A hundred files of a few hundred bytes cost the first view more than what they keep apart saves.
          // What many pages need itself needs only what at least as many need: no two of these files need each other.
          codeSplitting: {
            groups: [
              { name: 'base', minShareCount: 30 },
              { name: 'common', minShareCount: 10 },
              { name: 'shared', minShareCount: 4 },
            ],
          },
        },
      },
    },
  },
})
