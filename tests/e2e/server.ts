/** Starts and kills the built server on its own data folder and clock. */
import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const keptPort = (): string => `PORT_OF_${process.env.TEST_WORKER_INDEX ?? ''}`

/** In a worker of the browser's tests. */
const keepsPort = (): boolean => process.env.TEST_WORKER_INDEX !== undefined

/** A port nobody has; in a worker of the browser's tests always the same, so that its browser knows the program again. */
async function ownPort(): Promise<number> {
  const port = Number(process.env[keptPort()] ?? (await freePort()))
  if (keepsPort()) process.env[keptPort()] = String(port)
  return port
}

const addressOf = (port: number | string): string => `http://127.0.0.1:${port}`

/** Where the servers of this worker are; null: none was started yet. */
export const workerAddress = (): string | null => {
  const port = process.env[keptPort()]
  return port === undefined ? null : addressOf(port)
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer()
    server.listen(0, '127.0.0.1', () => {
      const address = server.address()
      const port = typeof address === 'object' && address ? address.port : 0
      server.close(() => resolve(port))
    })
  })

/** Saturday 17 April 2027, 08:30 in Dublin. */
export const saturday = Date.UTC(2027, 3, 17, 7, 30)

/** It lives for seconds here, on cores that others want: its code is not compiled anew. */
const shortLived = ['--no-opt', '--single-threaded-gc']

/** The server on the port of this worker: the next one on it has to end it first, or it would answer in its place. */
const onPort = { folder: '', end: (): Promise<void> => Promise.resolve() }

export class TestServer {
  private child: ChildProcess | null = null
  private port = 0
  readonly folder = mkdtempSync(join(tmpdir(), 'inch-ahead-e2e-'))

  constructor(fixedAt = saturday) {
    this.setClock(fixedAt)
  }

  /** Stands the clock still; takes effect at the next start. */
  setClock(fixedAt: number): void {
    writeFileSync(join(this.folder, 'clock.json'), JSON.stringify({ fixedAt }))
  }

  get url(): string {
    return addressOf(this.port)
  }

  get isUp(): boolean {
    return this.child !== null
  }

  /** What the server said on its way. */
  said = ''

  /** Starts it and waits until its refits can be read, or only until it answers at all. With `demo` on the demo. */
  async start(env: Record<string, string> = {}, answersAtAll = false): Promise<void> {
    const { INCH_AHEAD_SEED: seeds, ...others } = env
    const demo = process.env.DEMO_FOLDER
    return seeds && demo ? this.startOn(demo, others) : this.run(env, answersAtAll)
  }

  /** Starts it on a copy of a folder. */
  async startOn(folder: string, env: Record<string, string> = {}): Promise<void> {
    cpSync(folder, this.folder, {
      recursive: true,
      filter: (source) => !/(clock|rows)\.json$|in-use\.lock/.test(source),
    })
    return this.run(env, false)
  }

  private async run(env: Record<string, string>, answersAtAll: boolean): Promise<void> {
    if (this.port === 0) this.port = await ownPort()
    if (keepsPort()) {
      if (onPort.folder !== this.folder) await onPort.end()
      Object.assign(onPort, { folder: this.folder, end: () => this.kill() })
    }
    const child = spawn(process.execPath, [...shortLived, '.output/server/index.mjs'], {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        LOG_LEVEL: 'warn',
        HOST: '127.0.0.1',
        NITRO_HOST: '127.0.0.1',
        PORT: String(this.port),
        NITRO_PORT: String(this.port),
        INCH_AHEAD_DATA: this.folder,
        ...env,
      },
      stdio: ['ignore', 'ignore', 'pipe'],
    })
    this.child = child
    child.stderr.on('data', (text: Buffer) => {
      this.said += text.toString()
      process.stderr.write(text)
    })
    for (let tries = 0; tries < 200; tries++) {
      const ready = await fetch(`${this.url}/api/refits`).then(
        async (answer) =>
          answersAtAll ||
          (answer.ok && (!env.INCH_AHEAD_SEED || ((await answer.json()) as unknown[]).length > 0)),
        () => false,
      )
      if (ready && child.exitCode === null) return
      if (child.exitCode !== null) break
      await new Promise((wait) => setTimeout(wait, 100))
    }
    throw new Error('the server did not start')
  }

  /** Ends it as Ctrl-C does; gives its exit code. */
  async stop(): Promise<number | null> {
    const child = this.child
    if (!child) return null
    this.child = null
    const gone = new Promise<number | null>((resolve) => child.once('exit', resolve))
    child.kill('SIGTERM')
    return gone
  }

  /** Exit code of a server that ends by itself. */
  exited(): Promise<number | null> {
    const child = this.child
    return new Promise((resolve) => {
      if (!child || child.exitCode !== null) resolve(child?.exitCode ?? null)
      else child.once('exit', resolve)
    })
  }

  /** Ends it at once, as a power cut would. */
  async kill(): Promise<void> {
    const child = this.child
    if (!child) return
    this.child = null
    if (child.exitCode !== null) return
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
  }

  async end(): Promise<void> {
    await this.kill()
    rmSync(this.folder, { recursive: true, force: true })
  }

  /** Id of the only refit. */
  async refitId(): Promise<string> {
    const refits = (await (await fetch(`${this.url}/api/refits`)).json()) as { id: string }[]
    return refits[0]?.id ?? ''
  }
}
