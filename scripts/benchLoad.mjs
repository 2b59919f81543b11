/** npm run bench -- server: twenty people at once on a refit of 5,000 steps, each with a stream of events open. */
import { gzipSync } from 'node:zlib'
import { mkdtempSync, rmSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { Agent, get, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ask, quantile, startServer } from './benchServer.mjs'

const port = 4186
const round = (ms) => Math.round(ms * 10) / 10

// Plain requests: on a small machine what these twenty take is taken from the server that is measured.
const agent = new Agent({ keepAlive: true })

/** Listens until the server is gone; gives how much came and whether it was dropped. */
function hear(url, heard) {
  const end = () => (heard.ended = true)
  get(url, (answer) => {
    answer.on('data', (chunk) => (heard.bytes += chunk.length))
    answer.on('close', end)
  }).on('error', end)
}

/** JSON there and back. */
const post = (url, body) =>
  new Promise((answered, fail) => {
    const asked = request(url, { agent, method: 'POST' }, (answer) => {
      const chunks = []
      answer.on('data', (chunk) => chunks.push(chunk))
      answer.on('error', fail)
      answer.on('end', () =>
        answered({ status: answer.statusCode, body: JSON.parse(Buffer.concat(chunks).toString()) }),
      )
    })
    asked.on('error', fail)
    asked.end(JSON.stringify(body))
  })

const pause = (ms) => new Promise((wait) => setTimeout(wait, ms))

/** Edits one after the other for a while, each on a step of its own. Who thinks does not begin with the others. */
async function edit(url, steps, untilMs, thinkMs, times) {
  if (thinkMs > 0) await pause(thinkMs * Math.random())
  for (let at = 0; Date.now() < untilMs; at++) {
    const step = steps[at % steps.length]
    const body = {
      changeId: randomUUID(),
      deviceId: `client-${steps[0].id}`,
      label: 'Bench',
      items: [
        {
          op: 'patch',
          entity: 'step',
          id: step.id,
          baseVersion: step.version,
          patch: { title: `Step ${at}`, hoursLikely: 1 + (at % 20) },
        },
      ],
    }
    const began = performance.now()
    const answer = await post(`${url}/changes`, body)
    times.push(performance.now() - began)
    if (answer.status !== 200) throw new Error(JSON.stringify(answer))
    step.version = answer.body.rows[0].row.version
    if (thinkMs > 0) await pause(thinkMs * (0.5 + Math.random()))
  }
}

/** `file`: a refit file's text with at least 5,000 steps. */
export async function benchLoad(file, clients = 20) {
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-load-'))
  let server = startServer(port, folder)
  await server.ready
  const brought = await ask(`${server.url}/api/import`, Buffer.from(file))
  await server.kill()
  // A fresh process: nothing is in memory yet.
  server = startServer(port, folder)
  await server.ready
  const url = `${server.url}/api/refits/${brought.body.refitId}`
  const rows = []
  try {
    const began = performance.now()
    const answer = await fetch(url, { headers: { 'Accept-Encoding': 'gzip' } })
    const text = await answer.text()
    rows.push({
      what: 'first load, nothing in memory',
      'p50, ms': round(performance.now() - began),
    })
    rows.push({
      what: `whole refit, ${Math.round(text.length / 1e3)} kB of JSON; packed kB`,
      'p50, ms': Math.round(gzipSync(text, { level: 1 }).length / 1e3),
    })
    const steps = JSON.parse(text).rows.step
    const heard = Array.from({ length: clients }, () => ({ bytes: 0 }))
    heard.forEach((one) => hear(`${url}/events`, one))
    const first = []
    const each = Math.floor(steps.length / clients)
    const own = heard.map((_, at) => steps.slice(at * each, (at + 1) * each))
    await Promise.all(own.map((list) => edit(url, list, Date.now() + 1, 0, first)))
    rows.push({
      what: 'the first edit of each, all at once',
      edits: first.length,
      'p50, ms': round(quantile(first, 0.5)),
      'p99, ms': round(quantile(first, 0.99)),
    })
    for (const [think, seconds] of [
      [1000, 8],
      [200, 8],
      [0, 8],
    ]) {
      const times = []
      const until = Date.now() + seconds * 1000
      await Promise.all(own.map((list) => edit(url, list, until, think, times)))
      rows.push({
        what: `${clients} clients, ${think === 0 ? 'without a pause' : `an edit every ${think} ms each`}`,
        edits: times.length,
        'p50, ms': round(quantile(times, 0.5)),
        'p95, ms': round(quantile(times, 0.95)),
        'p99, ms': round(quantile(times, 0.99)),
      })
    }
    rows.push({
      what: 'bytes heard by a listener an edit',
      'p50, ms': Math.round(heard[0].bytes / rows.reduce((sum, row) => sum + (row.edits ?? 0), 0)),
    })
    return rows
  } finally {
    await server.kill()
    rmSync(folder, { recursive: true, force: true })
  }
}
