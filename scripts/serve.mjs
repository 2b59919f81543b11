/** Starts the built server on loopback and stays until Ctrl-C. */
import { spawn } from 'node:child_process'
import { join, resolve } from 'node:path'
import { portIsFree, root } from './prepare.mjs'

/** Serves a data folder; says where, ends cleanly with the server. */
export async function serve({ dataFolder, env = {} }) {
  const port = Number(process.env.INCH_AHEAD_PORT ?? 4180)
  if (!(port > 0 && port < 65536)) {
    console.error('INCH_AHEAD_PORT must be a port number, for example 4181.')
    process.exit(1)
  }
  if (!(await portIsFree(port))) {
    console.error(
      `Port ${port} is taken: is Inch Ahead running already? Stop the other program, or choose a port: INCH_AHEAD_PORT=4181`,
    )
    process.exit(1)
  }
  const child = spawn(process.execPath, [join(root, '.output', 'server', 'index.mjs')], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_PORT: String(port),
      INCH_AHEAD_DATA: resolve(dataFolder),
      ...env,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  let stopping = false
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      stopping = true
      child.kill('SIGTERM')
    })
  child.on('exit', (code) => process.exit(stopping ? 0 : (code ?? 1)))
  const url = `http://127.0.0.1:${port}`
  if (!(await answers(`${url}/api/clock`, () => true))) {
    console.error('The server did not start within 30 seconds.')
    process.exit(1)
  }
  // Whoever opens the demo at once finds it, and not the first page of an empty folder.
  if (env.INCH_AHEAD_SEED) await answers(`${url}/api/refits`, (refits) => refits.length > 0)
  console.log(`\n  Inch Ahead is at ${url}\n  Data: ${resolve(dataFolder)}\n  Ctrl-C stops it.\n`)
}

/** Whether an address comes to answer what is wanted, within half a minute. */
async function answers(url, isWanted) {
  for (let tries = 0; tries < 150; tries++) {
    const ok = await fetch(url).then(
      async (response) => response.ok && isWanted(await response.json()),
      () => false,
    )
    if (ok) return true
    await new Promise((wait) => setTimeout(wait, 200))
  }
  return false
}
