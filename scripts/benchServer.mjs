/** The built server on a folder of its own, for benches that drive it from outside. */
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { root } from './prepare.mjs'

/** Starts it; `ready` resolves when it answers. */
export function startServer(port, folder, env = {}) {
  const child = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      LOG_LEVEL: 'fatal',
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_PORT: String(port),
      INCH_AHEAD_DATA: folder,
      ...env,
    },
    stdio: ['ignore', 'ignore', 'ignore'],
  })
  const url = `http://127.0.0.1:${port}`
  const gone = new Promise((resolve) => child.once('exit', resolve))
  const ready = (async () => {
    for (let tries = 0; tries < 400; tries++) {
      const answer = await fetch(`${url}/api/refits`).catch(() => null)
      if (answer) return answer
      await new Promise((wait) => setTimeout(wait, 25))
    }
    throw new Error('the server did not answer')
  })()
  // Whoever kills it before it answers does not wait for it.
  ready.catch(() => undefined)
  return { child, url, ready, kill: () => (child.kill('SIGKILL'), gone) }
}

/** JSON there and back; null when no answer came. */
export async function ask(url, body, method) {
  try {
    const answer = await fetch(url, {
      method: method ?? (body === undefined ? 'GET' : 'POST'),
      body:
        body === undefined ? undefined : body instanceof Uint8Array ? body : JSON.stringify(body),
    })
    return { status: answer.status, body: await answer.json() }
  } catch {
    return null
  }
}

/** The value below which a share of the list lies. */
export const quantile = (list, share) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]
