/**
 * npm run bench -- kill: the server is killed in the midst of everything it writes, again and again on one folder.
 * After each start: what was acknowledged is there, what was not is there whole or not at all.
 */
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { ask, startServer } from './benchServer.mjs'

const port = 4187
const pause = (ms) => new Promise((wait) => setTimeout(wait, ms))

/** A refit's first rows, with `jobs` jobs. */
function refitItems(id, name, jobs) {
  const refit = { name, boatName: 'Bench', loaM: 12, zone: 'UTC', currency: 'EUR' }
  const items = [
    { op: 'create', entity: 'refit', id, patch: { ...refit, startedOn: '2027-01-01' } },
  ]
  for (let at = 0; at < jobs; at++)
    items.push({
      op: 'create',
      entity: 'job',
      id: `first-${at}`,
      patch: { title: name, order: `b${at}` },
    })
  return items
}
const change = (items, more = {}) => ({
  changeId: randomUUID(),
  deviceId: 'bench',
  label: 'Bench',
  items,
  ...more,
})

/** A picture nobody has sent before: noise, 200 kB of it. The server writes it anew, without what is no picture. */
const side = 256
const noise = () =>
  sharp(randomBytes(side * side * 3), { raw: { width: side, height: side, channels: 3 } })
    .png()
    .toBuffer()

const faults = []
const counts = {}
const count = (what) => (counts[what] = (counts[what] ?? 0) + 1)

/** What has to be there, whatever happens. */
const told = { jobs: new Map(), batches: new Set(), pictures: new Set(), refits: new Map() }
const mainId = 'bench-main'

/** One stretch of work of a kind, until the server is gone. */
const works = {
  async changes(url, state) {
    for (let at = 0; !state.over; at++) {
      const id = `job-${randomUUID()}`
      const patch = { title: id, order: `c${at}` }
      const answer = await ask(
        `${url}/api/refits/${mainId}/changes`,
        change([{ op: 'create', entity: 'job', id, patch }]),
      )
      if (answer?.status === 200) {
        told.jobs.set(id, id)
        count('changes acknowledged')
      }
    }
  },
  async batches(url, state) {
    while (!state.over) {
      const batch = randomUUID()
      const items = Array.from({ length: 25 }, (_, at) => ({
        op: 'create',
        entity: 'system',
        id: `${batch}-${at}`,
        patch: { name: `${batch} ${at}`, kind: 'finish', order: `c${at}` },
      }))
      const answer = await ask(`${url}/api/refits/${mainId}/changes`, change(items))
      if (answer?.status === 200) {
        told.batches.add(batch)
        count('batches acknowledged')
      }
    }
  },
  async undo(url, state) {
    while (!state.over) {
      const [id] = told.jobs.keys()
      if (!id) return
      const whole = await ask(`${url}/api/refits/${mainId}`)
      const row = whole?.body.rows.job.find((one) => one.id === id)
      if (!row) return
      const deviceId = randomUUID()
      const title = randomUUID()
      const item = { op: 'patch', entity: 'job', id, baseVersion: row.version, patch: { title } }
      const path = `${url}/api/refits/${mainId}`
      const done = await ask(`${path}/changes`, change([item], { deviceId }))
      // Unanswered: either title may stand from now on.
      told.jobs.set(id, null)
      if (done?.status !== 200) return
      told.jobs.set(id, title)
      const wish = { changeId: randomUUID(), deviceId }
      const undone = await ask(`${path}/undo`, wish)
      if (undone?.status === 200) {
        told.jobs.set(id, row.title)
        count('undos acknowledged')
      } else {
        told.jobs.set(id, null)
        return
      }
    }
  },
  async uploads(url, state) {
    while (!state.over) {
      const answer = await ask(`${url}/api/refits/${mainId}/pictures`, await noise())
      if (answer?.status === 200) {
        told.pictures.add(answer.body.hash)
        count('uploads acknowledged')
      }
    }
  },
  async imports(url, state) {
    while (!state.over) {
      const id = randomUUID()
      const rows = { refit: [{ ...refitItems(id, id, 0)[0].patch, id }] }
      rows.job = refitItems(id, id, 150)
        .slice(1)
        .map((item) => ({ ...item.patch, id: item.id }))
      const file = { format: 'inch-ahead-refit', version: 1, refitId: id, rows }
      const answer = await ask(`${url}/api/import`, file)
      if (answer?.status === 200) {
        told.refits.set(id, [id])
        count('imports acknowledged')
      } else told.refits.set(id, [null, id])
    }
  },
  async inPlace(url, state) {
    while (!state.over) {
      const name = randomUUID()
      const rows = { refit: [{ ...refitItems('x', name, 0)[0].patch, id: 'x' }] }
      rows.job = refitItems('x', name, 150)
        .slice(1)
        .map((item) => ({ ...item.patch, id: item.id }))
      const before = told.refits.get('bench-place') ?? ['begun']
      told.refits.set('bench-place', [...before, name])
      const file = { format: 'inch-ahead-refit', version: 1, refitId: 'x', rows }
      const answer = await ask(`${url}/api/import?replace=bench-place`, file)
      if (answer?.status === 200) {
        told.refits.set('bench-place', [name])
        count('in place acknowledged')
      } else return
    }
  },
}

/** Everything that was promised, looked up in a server that has just been started. */
async function verify(url, cycle) {
  const wrong = (what) => faults.push(`cycle ${cycle}: ${what}`)
  const whole = await ask(`${url}/api/refits/${mainId}`)
  if (whole?.status !== 200) return wrong('the refit is not there')
  const jobs = new Map(whole.body.rows.job.map((one) => [one.id, one.title]))
  for (const [id, title] of told.jobs)
    if (!jobs.has(id) || (title !== null && jobs.get(id) !== title)) wrong(`job ${id} is lost`)
  for (const [id, title] of told.jobs) if (title === null) told.jobs.set(id, jobs.get(id))
  const batches = new Map()
  for (const { id } of whole.body.rows.system)
    if (/-\d+$/.test(id)) {
      const batch = id.replace(/-\d+$/, '')
      batches.set(batch, (batches.get(batch) ?? 0) + 1)
    }
  for (const [batch, many] of batches)
    if (many !== 25) wrong(`batch ${batch} is there by ${many} of 25`)
  for (const batch of told.batches) if (!batches.has(batch)) wrong(`batch ${batch} is lost`)
  for (const hash of told.pictures) {
    const answer = await fetch(`${url}/api/pictures/${hash}`).catch(() => null)
    const bytes = answer?.status === 200 ? Buffer.from(await answer.arrayBuffer()) : null
    if (!bytes || createHash('sha256').update(bytes).digest('hex') !== hash)
      wrong(`picture ${hash} is lost or torn`)
  }
  told.pictures.clear()
  for (const [id, names] of told.refits) {
    const there = await ask(`${url}/api/refits/${id}`)
    const name = there?.status === 200 ? there.body.rows.refit[0].name : null
    if (!names.includes(name)) wrong(`refit ${id} is ${name}, not one of ${names}`)
    const many = there?.body.rows?.job.length
    if (name !== null && name !== 'begun' && many !== 150)
      wrong(`refit ${id} has ${many} of 150 jobs`)
    told.refits.set(id, [name])
    if (id !== 'bench-place') told.refits.delete(id)
    if (id !== 'bench-place' && name !== null)
      await ask(`${url}/api/refits/${id}`, undefined, 'DELETE')
  }
}

/** A first start, or the start of an older folder, cut off somewhere; the next start has to work. */
async function cutStart(oldDatabase, dice) {
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-cut-'))
  if (oldDatabase) copyFileSync(oldDatabase, join(folder, 'inch-ahead.sqlite'))
  const first = startServer(port + 1, folder)
  await pause(300 + dice() * 500)
  await first.kill()
  const second = startServer(port + 1, folder)
  const answer = await second.ready.catch(() => null)
  const refits = answer?.status === 200 ? await answer.json() : null
  await second.kill()
  rmSync(folder, { recursive: true, force: true })
  const wanted = oldDatabase ? 1 : 0
  if (refits?.length !== wanted)
    faults.push(`a cut ${oldDatabase ? 'migration' : 'first start'}: ${JSON.stringify(refits)}`)
  count(oldDatabase ? 'migrations cut' : 'first starts cut')
}

/** `oldDatabase`: a file of the first make with one refit in it. Gives a table of figures. */
export async function benchKill({ cycles, oldDatabase, dice }) {
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-kill-'))
  mkdirSync(folder, { recursive: true })
  let server = startServer(port, folder)
  await server.ready
  await ask(`${server.url}/api/refits/${mainId}/changes`, change(refitItems(mainId, 'Main', 0)))
  await ask(
    `${server.url}/api/refits/bench-place/changes`,
    change(refitItems('bench-place', 'begun', 150)),
  )
  told.refits.set('bench-place', ['begun'])
  const kinds = Object.keys(works)
  for (let cycle = 0; cycle < cycles; cycle++) {
    if (cycle % 5 === 4) {
      await cutStart(cycle % 10 === 9 ? oldDatabase : null, dice)
      continue
    }
    const state = { over: false }
    const chosen = [kinds[cycle % kinds.length], kinds[Math.floor(dice() * kinds.length)]]
    const running = [...new Set(chosen)].map((kind) => works[kind](server.url, state))
    await pause(60 + dice() * 340)
    const killed = server.kill()
    state.over = true
    await killed
    await Promise.all(running)
    count('kills')
    server = startServer(port, folder)
    const answer = await server.ready
    if (answer.status !== 200) {
      faults.push(`cycle ${cycle}: the folder does not open: ${await answer.text()}`)
      break
    }
    await verify(server.url, cycle)
    if (told.jobs.size > 400) told.jobs.clear()
  }
  await server.kill()
  rmSync(folder, { recursive: true, force: true })
  return { counts, faults }
}
