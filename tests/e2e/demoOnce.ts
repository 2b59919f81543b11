/** The demo is seeded once for all files; each server of theirs begins on a copy. */
import { rmSync } from 'node:fs'
import { TestServer } from './server'

export default async function demoOnce(): Promise<() => void> {
  const server = new TestServer()
  await server.seed()
  process.env.DEMO_FOLDER = server.folder
  return () => rmSync(server.folder, { recursive: true, force: true })
}
