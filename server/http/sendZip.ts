import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { setResponseHeader } from 'h3'
import type { H3Event } from 'h3'
import { log } from '../services/log'
import { zipOf } from '../services/zipOut'
import type { ZipEntry } from '../services/zipOut'

/** Sends files as one zip while it is made. Cut off in the midst, the connection breaks, so that nobody takes half a zip for a whole one. */
export async function sendZip(
  event: H3Event,
  name: string,
  entries: readonly ZipEntry[],
): Promise<void> {
  setResponseHeader(event, 'Content-Type', 'application/zip')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}"`)
  const { res } = event.node
  try {
    await pipeline(Readable.from(zipOf(entries)), res)
  } catch (error) {
    // Whoever asked has gone: there is nobody to tell.
    if ((error as NodeJS.ErrnoException).code === 'ERR_STREAM_PREMATURE_CLOSE') return
    log.error({ err: error, path: event.path }, 'a zip broke off')
    res.destroy()
  }
}
