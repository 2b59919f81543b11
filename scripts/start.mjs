/** npm start: your own data. */
import { ensureBuild, ensurePackages } from './prepare.mjs'
import { serve } from './serve.mjs'

ensurePackages()
ensureBuild()
await serve({ dataFolder: process.env.INCH_AHEAD_DATA ?? '.data' })
