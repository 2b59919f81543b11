/** Builds the production server when a source changed since the last build. */
import { ensureBuild } from './prepare.mjs'

ensureBuild()
