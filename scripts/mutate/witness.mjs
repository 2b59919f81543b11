/**
 * Laid beside the tests in the spoilt copy, and loaded before each file of them: says which change is on, and notes
 * which changes each test came past.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { afterAll, beforeEach } from 'vitest'

const { on, only, note } = JSON.parse(readFileSync(process.env.MUTATE_WISH, 'utf8'))
/** Outside any test: while a file is read, or in what stands before its tests. */
const outside = ''
let now = outside
const past = new Map([[outside, new Set()]])

globalThis.isChanged$ = (number) => {
  past.get(now).add(number)
  return number === on
}
const nameOf = (task) => {
  const names = []
  for (let one = task; one && one.type !== 'module'; one = one.suite) names.unshift(one.name)
  return names.join(' > ')
}
let hasFailed = false
beforeEach(({ task, skip, onTestFailed, onTestFinished }) => {
  const name = nameOf(task)
  if (hasFailed || (only && !only.includes(name))) skip()
  now = name
  if (!past.has(name)) past.set(name, new Set())
  onTestFailed(() => (hasFailed = true))
  onTestFinished(() => (now = outside))
})
afterAll(() => {
  if (note)
    writeFileSync(note, JSON.stringify([...past].map(([name, numbers]) => [name, [...numbers]])))
})
