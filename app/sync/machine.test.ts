/** The sync machine against a fake server that can be deaf, slow, out of order or somebody else's. */
import { draws } from '../../tests/draws'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyRows } from '#core/model/applyChange'
import type { Change, ChangeItem, Heard, RowChange } from '#core/model/changes'
import { isComputed } from '#core/model/references'
import { withInitials } from '#core/model/newRow'
import { emptyRefit, job } from '#core/testing/build'
import type { RefitRows } from '#core/model/refit'
import { SyncMachine } from './machine'
import type { Hearing, Ports } from './ports'

class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
  ) {
    super(code)
  }
}

type Loose = Readonly<Record<string, unknown>>

/** One refit as a server keeps it: versions, numbers, the same change once, a clash on the same field. */
class FakeServer {
  rows: RefitRows = withJob()
  epoch = 'first'
  seq = 1
  deaf = false
  /** What comes before the answer to a change: a bad signal. */
  signal: Promise<void> = Promise.resolve()
  /** What an answer to a reading waits for, after it was read. */
  onItsWay: Promise<void> = Promise.resolve()
  /** Takes the next change and loses the answer. */
  loseAnswer = false
  readonly asked: string[] = []
  readonly listeners = new Set<Hearing>()
  readonly log: {
    readonly epoch: string
    readonly seq: number
    readonly rows: RowChange[]
    readonly changeId: string
    readonly fields: Set<string>
  }[] = []
  private readonly answers = new Map<string, Heard>()

  row(item: { entity: ChangeItem['entity']; id: string }): Loose | undefined {
    return (this.rows[item.entity] as unknown as Loose[]).find((row) => row.id === item.id)
  }

  pass(change: Change, tell = true): Heard {
    const before = this.answers.get(change.changeId)
    if (before) return before
    if (change.epoch !== undefined && change.epoch !== this.epoch)
      throw new Refused(409, 'otherLife')
    const rows = change.items.map((item): RowChange => {
      const row = this.row(item)
      const { entity, id } = item
      if (item.op === 'create') {
        if (row) throw new Refused(422, 'there')
        return { entity, id, row: { id, version: 1, ...withInitials(entity, item.patch as never) } }
      }
      if (!row) throw new Refused(422, 'gone')
      if (item.baseVersion > Number(row.version)) throw new Refused(422, 'unknownVersion')
      if (item.op === 'patch' && item.patch.title === 'bad') throw new Refused(422, 'bad')
      const since = this.log.filter(
        (one) =>
          one.epoch === this.epoch &&
          one.rows.some(
            (other) => other.id === id && Number(other.row?.version) > item.baseVersion,
          ) &&
          !(change.basedOn ?? []).includes(one.changeId),
      )
      const fields = item.op === 'patch' ? Object.keys(item.patch) : []
      if (since.some((one) => fields.some((field) => one.fields.has(field))))
        throw new Refused(409, 'clash')
      const version = Number(row.version) + 1
      return { entity, id, row: item.op === 'patch' ? { ...row, ...item.patch, version } : null }
    })
    this.seq++
    this.rows = applyRows(this.rows, rows)
    const fields = new Set(
      change.items.flatMap((item) => (item.op === 'patch' ? Object.keys(item.patch) : [])),
    )
    this.log.push({ epoch: this.epoch, seq: this.seq, rows, changeId: change.changeId, fields })
    const heard: Heard = {
      seq: this.seq,
      epoch: this.epoch,
      changeId: change.changeId,
      deviceId: change.deviceId,
      label: change.label,
      rows: rows.filter(({ entity }) => !isComputed(entity)),
      numbers: rows
        .filter(({ entity }) => isComputed(entity))
        .map(({ entity, id, row }) => ({ entity, id, version: Number(row?.version) })),
    }
    this.answers.set(change.changeId, heard)
    if (tell) for (const one of this.listeners) one.change(heard)
    return heard
  }

  /** What every question is answered with. */
  wrong: Refused | null = null

  hear(): void {
    if (this.wrong) throw this.wrong
    if (this.deaf) throw new Refused(0, 'offline')
  }
}

function withJob(): RefitRows {
  const rows = emptyRefit()
  job(rows, 'deck', { title: 'Deck' })
  return rows
}

/** A machine on a fake server, with its own kept storage and clock. */
function window(server: FakeServer, storage = new Map<string, readonly Change[]>()) {
  const later = new Map<number, () => void>()
  const refused: { change: Change; error: unknown }[] = []
  let ids = 0
  const ports: Ports = {
    readWhole: async () => {
      server.hear()
      return { epoch: server.epoch, seq: server.seq, rows: server.rows }
    },
    readSince: async (_, since, epoch) => {
      server.hear()
      server.asked.push(`since ${since}`)
      if (epoch !== server.epoch) return { epoch: server.epoch, seq: server.seq, rows: null }
      const rows = server.log
        .filter((one) => one.seq > since)
        .flatMap((one) => one.rows.map(({ entity, id }) => ({ entity, id })))
        .map(({ entity, id }): RowChange => ({
          entity,
          id,
          row: server.row({ entity, id }) ?? null,
        }))
      const { epoch: life, seq } = server
      await server.onItsWay
      return { epoch: life, seq, rows }
    },
    send: async (_, change) => {
      server.hear()
      await server.signal
      server.asked.push(change.changeId)
      const heard = server.pass(change)
      if (!server.loseAnswer) return heard
      server.loseAnswer = false
      throw new Refused(0, 'offline')
    },
    undo: async (_, wish) => {
      server.hear()
      await server.signal
      server.asked.push(`undo ${wish.changeId}`)
      if (server.loseAnswer) {
        server.loseAnswer = false
        throw new Refused(0, 'offline')
      }
      const now = versionOf(server.rows)
      return { ...server.pass(rename(wish.changeId, now, 'As before')), label: 'Undo: it' }
    },
    listen: (_, hearing) => {
      server.listeners.add(hearing)
      return () => server.listeners.delete(hearing)
    },
    keep: (id, waiting) => {
      storage.set(id, waiting)
      return true
    },
    adopt: async (id) => storage.get(id) ?? [],
    refusalOf: (error) =>
      error instanceof Refused
        ? { status: error.status, code: error.code, message: error.message }
        : null,
    later: (_, work) => {
      const id = ++ids
      later.set(id, work)
      return () => later.delete(id)
    },
    newId: () => `undo-${++ids}`,
  }
  const machine = new SyncMachine(
    ports,
    () => undefined,
    (change, error) => refused.push({ change, error }),
  )
  /** Everything that was put off happens now, until nothing is left or it only tries again. */
  const settle = async () => {
    for (let round = 0; round < 5; round++) {
      await new Promise((next) => setTimeout(next, 0))
      const due = [...later]
      later.clear()
      for (const [, work] of due) work()
      await new Promise((next) => setTimeout(next, 0))
    }
  }
  return { machine, settle, refused, storage }
}

const changeOf = (changeId: string, items: ChangeItem[]): Change => ({
  changeId,
  deviceId: 'd',
  personId: null,
  label: changeId,
  quiet: false,
  items,
})
const rename = (changeId: string, baseVersion: number, title: string): Change =>
  changeOf(changeId, [{ op: 'patch', entity: 'job', id: 'deck', baseVersion, patch: { title } }])
const titles = (rows: RefitRows) => rows.job.map((one) => one.title)
const versionOf = (rows: RefitRows) => rows.job[0]?.version ?? 0

describe('the sync machine', () => {
  it('lets a change wait when nobody answers, shows it as done, and sends it once', async () => {
    const server = new FakeServer()
    const { machine, settle, storage } = window(server)
    await machine.open('r')
    server.deaf = true
    expect(await machine.send(rename('a', 1, 'Side deck'))).toBe('waits')
    expect(titles(machine.state.rows)).toEqual(['Side deck'])
    expect(machine.state).toMatchObject({ connected: false, kept: true })
    // A second edit of the same field rests on the first, which the server has not seen.
    await machine.send(rename('b', versionOf(machine.state.rows), 'Foredeck'))
    expect(storage.get('r')).toHaveLength(2)
    expect(titles(server.rows)).toEqual(['Deck'])
    server.deaf = false
    await settle()
    expect(titles(server.rows)).toEqual(['Foredeck'])
    expect(machine.state).toMatchObject({ connected: true, waiting: [] })
    expect(storage.get('r')).toEqual([])
    expect(server.log.map((one) => one.changeId)).toEqual(['a', 'b'])
  })

  it('leaves nobody before a bad signal: what was typed is shown, and what comes of it is heard late', async () => {
    const server = new FakeServer()
    const { machine, settle, refused } = window(server)
    await machine.open('r')
    let comes = () => {}
    const goesAway = () => (server.signal = new Promise((resolve) => (comes = resolve)))
    goesAway()
    const [first, second] = [
      machine.send(rename('a', 1, 'Side deck')),
      machine.send(
        changeOf('b', [{ op: 'create', entity: 'job', id: 'new', patch: { title: 'New' } }]),
      ),
    ]
    expect(titles(machine.state.rows)).toEqual(['Deck'])
    await settle()
    expect(await Promise.all([first, second])).toEqual(['waits', 'waits'])
    expect(titles(machine.state.rows)).toEqual(['Side deck', 'New'])
    expect(machine.state).toMatchObject({
      connected: false,
      trouble: 'The program takes long to answer.',
    })
    comes()
    await settle()
    expect(server.log.map((one) => one.changeId)).toEqual(['a', 'b'])
    expect(machine.state).toMatchObject({ connected: true, trouble: '', waiting: [] })
    goesAway()
    const bad = machine.send(rename('c', versionOf(machine.state.rows), 'bad'))
    await settle()
    expect(await bad).toBe('waits')
    comes()
    await settle()
    expect(refused.map((one) => one.change.changeId)).toEqual(['c'])
    expect(titles(machine.state.rows)).toEqual(['Side deck', 'New'])
    expect(machine.state).toMatchObject({ connected: true, trouble: '' })
  })

  it('sends what waited in a window that is gone, once though its answer was lost', async () => {
    const server = new FakeServer()
    const first = window(server)
    await first.machine.open('r')
    server.loseAnswer = true
    expect(await first.machine.send(rename('a', 1, 'Side deck'))).toBe('waits')
    server.deaf = true
    await first.machine.send(rename('b', versionOf(first.machine.state.rows), 'Foredeck'))
    first.machine.close()
    server.deaf = false
    const second = window(server, first.storage)
    await second.machine.open('r')
    await second.settle()
    expect(server.log.map((one) => one.changeId)).toEqual(['a', 'b'])
    expect(titles(second.machine.state.rows)).toEqual(['Foredeck'])
  })

  it('throws a refusal to whoever asked, and says one that comes later', async () => {
    const server = new FakeServer()
    const { machine, settle, refused } = window(server)
    await machine.open('r')
    await expect(machine.send(rename('a', 1, 'bad'))).rejects.toThrow('bad')
    expect(machine.state.waiting).toEqual([])
    server.deaf = true
    await machine.send(rename('b', 1, 'bad'))
    await machine.send(rename('c', 2, 'Good'))
    server.deaf = false
    await settle()
    expect(refused.map(({ change }) => change.changeId)).toEqual(['b'])
    // What came after it stands all the same.
    expect(titles(machine.state.rows)).toEqual(['Good'])
  })

  it('asks about the same field, and not about its own change before it', async () => {
    const server = new FakeServer()
    const { machine, settle, refused } = window(server)
    await machine.open('r')
    server.deaf = true
    await machine.send(rename('mine', 1, 'Mine'))
    server.pass(rename('theirs', 1, 'Theirs'), false)
    server.deaf = false
    await settle()
    expect(refused.map(({ error }) => (error as Refused).code)).toEqual(['clash'])
  })

  it('reads what it missed from every opening of the stream, and fills a gap', async () => {
    const server = new FakeServer()
    const { machine, settle } = window(server)
    await machine.open('r')
    server.pass(rename('x', 1, 'Missed'), false)
    for (const one of server.listeners) one.hello({ epoch: server.epoch, seq: server.seq })
    await settle()
    expect(titles(machine.state.rows)).toEqual(['Missed'])
    server.pass(rename('y', 2, 'Also missed'), false)
    server.pass(
      changeOf('z', [
        { op: 'create', entity: 'job', id: 'mast', patch: { title: 'Mast', order: 'z' } },
      ]),
    )
    await settle()
    expect(titles(machine.state.rows)).toEqual(['Also missed', 'Mast'])
    expect(machine.state.seq).toBe(server.seq)
  })

  it('does not bring back what was removed while an older answer was on its way', async () => {
    const server = new FakeServer()
    const { machine, settle } = window(server)
    await machine.open('r')
    server.pass(rename('x', 1, 'Missed'), false)
    let arrive = () => {}
    server.onItsWay = new Promise((resolve) => (arrive = resolve))
    const asked = machine.catchUp()
    const last = server.pass(
      changeOf('z', [{ op: 'delete', entity: 'job', id: 'deck', baseVersion: 2 }]),
      false,
    )
    for (const one of server.listeners) one.change({ ...last, seq: 2 })
    for (const one of server.listeners) one.change({ ...last, seq: 3 })
    arrive()
    await asked
    await settle()
    expect(titles(machine.state.rows)).toEqual([])
  })

  it('reads a refit anew that was brought in anew, and refuses what was made for the one before', async () => {
    const server = new FakeServer()
    const { machine, settle, refused } = window(server)
    await machine.open('r')
    server.deaf = true
    await machine.send(rename('old', 1, 'Old'))
    Object.assign(server, { epoch: 'second', rows: withJob(), seq: 9, deaf: false })
    for (const one of server.listeners) one.reload()
    await settle()
    expect(machine.state).toMatchObject({ epoch: 'second', seq: 9, waiting: [] })
    expect(titles(machine.state.rows)).toEqual(['Deck'])
    expect(refused.map(({ error }) => (error as Refused).code)).toEqual(['otherLife'])
  })

  it('takes its own plan without asking for it, and fetches another window’s', async () => {
    const server = new FakeServer()
    const [one, other] = [window(server), window(server)]
    await one.machine.open('r')
    await other.machine.open('r')
    const patch = { inputsHash: 'h', at: 1, result: {} }
    await one.machine.sendQuietly(
      changeOf('p', [{ op: 'create', entity: 'plan', id: 'plan', patch }]),
    )
    expect(one.machine.state.rows.plan[0]).toMatchObject({ inputsHash: 'h', version: 1 })
    expect(server.asked).toEqual(['p'])
    await other.settle()
    expect(other.machine.state.rows.plan[0]?.inputsHash).toBe('h')
    expect(server.asked).toEqual(['p', 'since 1'])
  })

  it('lets another window’s plan stand, and says when its own is refused for itself', async () => {
    const server = new FakeServer()
    const { machine } = window(server)
    await machine.open('r')
    const create = (id: string): ChangeItem => ({ op: 'create', entity: 'plan', id, patch: {} })
    server.pass(changeOf('theirs', [create('plan')]), false)
    await machine.sendQuietly(changeOf('mine', [create('plan')]))
    expect(machine.state.rows.plan).toHaveLength(1)
    const wrong: ChangeItem = { op: 'delete', entity: 'plan', id: 'no', baseVersion: 1 }
    await expect(machine.sendQuietly(changeOf('wrong', [wrong]))).rejects.toThrow('gone')
  })

  it('undoes what was never sent by not sending it, and sends a lost wish again as the same', async () => {
    const server = new FakeServer()
    const { machine, settle } = window(server)
    const who = { deviceId: 'd', personId: null, force: false }
    await machine.open('r')
    server.deaf = true
    await machine.send(rename('a', 1, 'One'))
    await machine.send(rename('b', 2, 'Two'))
    expect(await machine.undo(who)).toBe('Not sent: b')
    expect(titles(machine.state.rows)).toEqual(['One'])
    // Whether the first arrived is not known: it cannot be left out any more.
    await expect(machine.undo(who)).rejects.toThrow('not saved yet')
    server.deaf = false
    await settle()
    server.loseAnswer = true
    await expect(machine.undo(who)).rejects.toThrow('offline')
    await machine.undo(who)
    const [first, second] = server.asked.filter((one) => one.startsWith('undo'))
    expect(first).toBe(second)
  })

  it('knows whether this window changed something last, or another one', async () => {
    const server = new FakeServer()
    const [mine, other] = [window(server), window(server)]
    const seen = () => [mine.machine.state.isTheirs, other.machine.state.isTheirs]
    await mine.machine.open('r')
    await other.machine.open('r')
    expect(seen()).toEqual([false, false])
    await mine.machine.send(rename('a', 1, 'One'))
    expect(seen()).toEqual([false, true])
    await other.machine.send(rename('b', 2, 'Two'))
    expect(seen()).toEqual([true, false])
    // What the program worked out is nobody's change.
    const patch = { inputsHash: 'x', result: {}, seed: 1, iterations: 1, at: 1 } as never
    await mine.machine.sendQuietly(
      changeOf('plan', [{ op: 'create', entity: 'plan', id: 'plan', patch }]),
    )
    expect(seen()[1]).toBe(false)
    await mine.machine.undo({ deviceId: 'd', personId: null, force: false })
    expect(seen()).toEqual([false, true])
    // What this window worked out may be heard only after its newer change was answered.
    const listening = [...server.listeners]
    server.listeners.clear()
    server.signal = new Promise((go) => setTimeout(go, 5))
    const plan = {
      op: 'patch',
      entity: 'plan',
      id: 'plan',
      baseVersion: 1,
      patch: { at: 2 },
    } as const
    const late = mine.machine.sendQuietly(changeOf('later plan', [plan]))
    const early = server.pass(changeOf('later plan', [plan]), false)
    server.signal = Promise.resolve()
    await mine.machine.send(rename('newer', 4, 'Newer'))
    for (const one of listening) one.change(early)
    await late
    expect(seen()[0]).toBe(false)
    for (const one of listening) server.listeners.add(one)
    // Not heard, and asked for afterwards.
    server.pass(rename('unheard', 5, 'Three'), false)
    await mine.machine.catchUp()
    expect(seen()[0]).toBe(true)
    // Brought in anew: nobody else is about to plan it.
    server.epoch = 'second'
    for (const one of server.listeners) one.reload()
    await mine.settle()
    expect(seen()[0]).toBe(false)
  })

  it('takes back two changes by two presses, however quick', async () => {
    const server = new FakeServer()
    const { machine } = window(server)
    const who = { deviceId: 'd', personId: null, force: false }
    await machine.open('r')
    await machine.send(rename('a', 1, 'One'))
    await machine.send(rename('b', 2, 'Two'))
    await Promise.all([machine.undo(who), machine.undo(who)])
    const [first, second, ...more] = server.asked.filter((one) => one.startsWith('undo'))
    expect([first === second, more]).toEqual([false, []])
    // One that failed does not hold up the next.
    server.loseAnswer = true
    const both = [machine.undo(who), machine.undo(who)]
    expect((await Promise.allSettled(both)).map((one) => one.status)).toEqual([
      'rejected',
      'fulfilled',
    ])
  })

  it('says that a refit is gone when its stream is refused, and comes back from a folder that was shut', async () => {
    const server = new FakeServer()
    const { machine, settle } = window(server)
    await machine.open('r')
    server.wrong = new Refused(503, 'folderShut')
    for (const one of server.listeners) one.lost()
    await settle()
    expect(machine.state).toMatchObject({ phase: 'ready', connected: false, trouble: 'folderShut' })
    server.wrong = null
    for (const one of server.listeners) one.hello({ epoch: server.epoch, seq: server.seq })
    expect(machine.state).toMatchObject({ connected: true, trouble: '' })
    // A stream that is cut while answers come is no reason to say that nobody answers; asking takes its place.
    for (const one of server.listeners) one.lost()
    server.pass(rename('unheard', 1, 'Unheard'), false)
    await settle()
    expect(machine.state.connected).toBe(true)
    expect(titles(machine.state.rows)).toEqual(['Unheard'])
    server.wrong = new Refused(404, 'notFound')
    for (const one of server.listeners) one.lost()
    await settle()
    expect(machine.state.phase).toBe('missing')
    expect(server.listeners.size).toBe(0)
  })

  it('leaves nothing behind when it is closed, and never shows the refit before', async () => {
    const server = new FakeServer()
    const { machine } = window(server)
    const opening = machine.open('r')
    machine.close()
    await opening
    expect(machine.state).toMatchObject({ phase: 'closed', refitId: '' })
    expect(server.listeners.size).toBe(0)
  })

  it('comes to what the server has, whatever is lost on the way', async () => {
    const step = fc.oneof(
      fc.record({ do: fc.constant('mine' as const), title: fc.integer({ min: 0, max: 99 }) }),
      fc.record({ do: fc.constant('theirs' as const), heard: fc.boolean() }),
      fc.constant({ do: 'deaf' as const }),
      fc.constant({ do: 'hears' as const }),
      fc.constant({ do: 'loses' as const }),
      fc.constant({ do: 'anew' as const }),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 14 }), async (steps) => {
        const server = new FakeServer()
        const { machine, settle, refused } = window(server)
        await machine.open('r')
        const sent = new Set<string>()
        let failed = 0
        for (const [at, one] of steps.entries()) {
          if (one.do === 'mine') {
            sent.add(`mine-${at}`)
            const change = rename(`mine-${at}`, versionOf(machine.state.rows), `Mine ${one.title}`)
            await machine.send(change).catch(() => failed++)
          } else if (one.do === 'theirs') {
            const base = versionOf(server.rows)
            const patch = { detail: `theirs ${at}` }
            server.pass(
              changeOf(`theirs-${at}`, [
                { op: 'patch', entity: 'job', id: 'deck', baseVersion: base, patch },
              ]),
              one.heard,
            )
          } else if (one.do === 'anew') {
            Object.assign(server, { epoch: `life ${at}`, rows: withJob(), seq: server.seq + 1 })
            for (const each of server.listeners) each.reload()
          } else if (one.do === 'loses') server.loseAnswer = true
          else server.deaf = one.do === 'deaf'
        }
        Object.assign(server, { deaf: false, loseAnswer: false })
        for (const one of server.listeners) one.hello({ epoch: server.epoch, seq: server.seq })
        await settle()
        for (const one of server.listeners) one.hello({ epoch: server.epoch, seq: server.seq })
        await settle()
        // Each change is on the server once, or somebody was told.
        const arrived = server.log
          .filter((one) => sent.has(one.changeId))
          .map((one) => one.changeId)
        expect(new Set(arrived).size).toBe(arrived.length)
        expect(arrived.length + refused.length + failed).toBeGreaterThanOrEqual(sent.size)
        expect(machine.state.waiting).toEqual([])
        expect(machine.state.rows.job).toEqual(server.rows.job)
        expect(machine.state).toMatchObject({ seq: server.seq, epoch: server.epoch })
      }),
      { numRuns: draws(70) },
    )
  }, 60_000)
})
