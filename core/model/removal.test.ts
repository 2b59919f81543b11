/** Taking rows away: nothing dangles, nothing else goes, and what was worked stays on record. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { supposing } from './applyChange'
import { entities, entityNames } from './entities'
import type { Fields } from './field'
import { fieldsOf, references } from './references'
import type { RefitRows } from './refit'
import { jobsRemoval, removal } from './removal'

type Plain = Readonly<Record<string, unknown>>
const rowsOf = (rows: RefitRows, name: keyof RefitRows) => rows[name] as unknown as readonly Plain[]
const dangling = (rows: RefitRows): string[] =>
  references.flatMap(({ from, field, to }) => {
    const ids = new Set(rowsOf(rows, to).map((row) => row.id))
    return rowsOf(rows, from).flatMap((row) =>
      [row[field]]
        .flat()
        .filter((id) => id !== null && !ids.has(id))
        .map((id) => `${from}.${field} ${String(id)}`),
    )
  })

/** Jobs j0…, each with two steps and one of everything that can hang on it or point to it. */
function crowded(count: number, worked: readonly number[]): Building {
  const rows = emptyRefit()
  add(rows, 'person', 'ida', { name: 'Ida', order: 'b' })
  for (let n = 0; n < count; n++) {
    const id = `j${n}`
    job(rows, id, { parentJobId: n > 0 ? `j${n - 1}` : null })
    for (const half of ['a', 'b']) step(rows, id, `${id}${half}`)
    add(rows, 'bringLine', `bring${n}`, { stepId: `${id}a`, what: 'Tape', order: 'b' })
    add(rows, 'part', `part${n}`, { name: 'Bolt', jobId: id, neededByStepId: `${id}b` })
    add(rows, 'webLink', `web${n}`, { url: 'http://x.y', title: 'x', jobId: id })
    add(rows, 'bag', `bag${n}`, {
      code: `B${n}`,
      what: 'Screws',
      jobId: id,
      wantedByStepId: `${id}b`,
      order: 'b',
    })
    add(rows, 'finding', `found${n}`, { title: 'Crack', foundAt: 1, duringJobId: id })
    add(rows, 'clock', `clock${n}`, {
      title: 'Pot',
      kind: 'pot',
      stepId: `${id}a`,
      startedAt: 1,
      assumedC: 15,
    })
    if (n > 0) add(rows, 'link', `link${n}`, { fromJobId: `j${n - 1}`, toJobId: id })
    if (worked.includes(n))
      add(rows, 'hoursEntry', `h${n}`, {
        stepId: `${id}a`,
        personId: 'ida',
        on: '2027-04-10',
        hours: 1,
      })
  }
  add(rows, 'dayPlan', 'day', { on: '2027-04-17', stepOrder: rows.step.map((one) => one.id) })
  return rows
}

describe('descriptions of kinds of rows', () => {
  it('say what becomes of a row that cannot stand without what it points to', () => {
    const homeless = references.filter(({ from, field, many, onDelete }) => {
      const mayStand = (entities[from] as Fields)[field]?.nullable || many
      return !mayStand && onDelete === 'letsGo'
    })
    expect(homeless).toEqual([])
  })

  it('name only states that there are, and leave none without a way on', () => {
    for (const entity of entityNames)
      for (const [field, { moves, options }] of fieldsOf(entity))
        if (moves) {
          const all = [...(options ?? [])].sort()
          expect(Object.keys(moves).sort(), `${entity}.${field}`).toEqual(all)
          for (const next of Object.values(moves)) {
            expect(next.length).toBeGreaterThan(0)
            expect(next.every((one) => all.includes(one))).toBe(true)
          }
        }
  })
})

describe('removing jobs', () => {
  it('leaves nothing dangling, touches each row once, and keeps what was worked', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 7 }),
        fc.uniqueArray(fc.nat(6)),
        fc.uniqueArray(fc.nat(6)),
        (count, worked, asked) => {
          const rows = crowded(count, worked)
          const { items, kept } = jobsRemoval(
            rows,
            rows.job.filter((one) => asked.some((n) => one.id === `j${n}`)),
          )
          expect(new Set(items.map((item) => item.id)).size).toBe(items.length)
          const after = supposing(rows, items)
          expect(dangling(after)).toEqual([])
          for (let n = 0; n < count; n++) {
            const left = after.job.find((one) => one.id === `j${n}`)
            const isAsked = asked.includes(n)
            const isWorked = worked.includes(n)
            expect(left !== undefined).toBe(!isAsked || isWorked)
            expect(kept.some((one) => one.id === `j${n}`)).toBe(isAsked && isWorked)
            if (left) {
              expect(left.decision).toBe(isAsked ? 'dropped' : 'plan')
              expect(after.step.filter((one) => one.jobId === left.id)).toHaveLength(2)
            }
          }
          // Findings, bags and clocks outlive the job they were about.
          for (const name of ['finding', 'bag', 'clock', 'hoursEntry'] as const)
            expect(after[name]).toHaveLength(rows[name].length)
          expect(after.dayPlan[0]?.stepOrder.sort()).toEqual(after.step.map((one) => one.id).sort())
        },
      ),
      { numRuns: 150 },
    ))

  it('takes a launch with its haul-out, and lets its jobs and other gates go on', () => {
    const rows = emptyRefit()
    add(rows, 'haulOut', 'haul', {
      name: 'One',
      liftOutAimed: '2027-04-01',
      launchAimed: '2027-05-01',
    })
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
    add(rows, 'gate', 'rigger', {
      name: 'Rigger',
      kind: 'dated',
      on: '2027-04-20',
      haulOutId: 'haul',
    })
    job(rows, 'hull', { gateId: 'launch', haulOutId: 'haul' })
    const after = supposing(rows, removal(rows, 'haulOut', ['haul']))
    expect(after.gate.map((one) => [one.id, one.haulOutId])).toEqual([['rigger', null]])
    expect(after.job[0]).toMatchObject({ gateId: null, haulOutId: null })
    for (const name of entityNames.filter((one) => one !== 'gate' && one !== 'haulOut'))
      expect(after[name]).toHaveLength(rows[name].length)
  })
})
