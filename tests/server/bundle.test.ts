/** The files of the built page: they are bundled in tiers, and none may need one that needs it. */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { circleFrom } from '#core/graph'

const folder = '.output/public/_nuxt'
const scripts = readdirSync(folder).filter((name) => name.endsWith('.js'))
/** The files that one needs before its own first line runs; what it asks for later is no matter here. */
const needs = new Map(
  scripts.map((name) => {
    const text = readFileSync(join(folder, name), 'utf8')
    const said = text.matchAll(/\b(?:import|from)\s*["']\.\/([\w.-]+\.js)["']/g)
    return [name, [...said].map((one) => one[1] as string)]
  }),
)

it('need each other one way', () => {
  // Some hundred: where none is read, nothing is proved.
  expect([...needs.values()].flat().length).toBeGreaterThan(100)
  expect(circleFrom(scripts, (name) => needs.get(name) ?? [])).toBeNull()
})
