import { createHash } from 'node:crypto'
import { problem } from '#shared/problems'

const sha256 = (text: string): string =>
  `'sha256-${createHash('sha256').update(text).digest('base64')}'`

/** Scripts that stand in the page itself; those with a source of their own come from this server. */
const inline = /<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g

/** What a page may load: only what this server sends, and its own inline scripts by their hashes. */
const policyOf = (html: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' ${[...html.matchAll(inline)].map(([, text]) => sha256(text ?? '')).join(' ')}`,
    "worker-src 'self' blob:",
    // Vue sets styles one by one, and the transitions of the dialogs write them into the page.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
  ].join('; ')

/** Writes the policy into every page, those made at build time too, and leaves out who made it. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response, { event }) => {
    // A page never answers for a route of the server: a method that it does not know ends here.
    if (event.path.startsWith('/api/')) {
      response.statusCode = 404
      response.headers = { 'content-type': 'application/json' }
      response.body = JSON.stringify(problem('notFound', 'There is nothing at that address.'))
      return
    }
    if (response.headers) delete response.headers['x-powered-by']
    if (typeof response.body !== 'string') return
    const policy = `<meta http-equiv="Content-Security-Policy" content="${policyOf(response.body)}">`
    response.body = response.body.replace('<head>', `<head>${policy}`)
  })
})
