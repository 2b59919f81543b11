/** What several views say is one thing: the Tape, Sequence and Hours of the demo, and its rows summed by hand. */
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import { makePlan } from '#core/plan/makePlan'
import { add } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { components } from './components'
import { onPage } from './page'
import { withWorkers } from './workers'

function demo(): Building {
  const rows = { ...knownDemo() } as Building
  const { plan: result } = makePlan(rows, demoNow)
  add(rows, 'plan', 'plan', { inputsHash: '', at: demoNow, seed: 1, iterations: 1, result })
  return rows
}

const inOneLine = (text: string | undefined) => (text ?? '').replace(/\s+/g, ' ').trim()

it('says one launch, and the inches and hours that its rows come to', async () => {
  withWorkers()
  const rows = demo()
  const { wrapper } = await onPage('sequence', rows)
  const tape = mount(components.TapeBar as object)
    .get('[aria-label^="The Tape"]')
    .attributes('aria-label')
  const launch = /launch planned (\d+ \w+)/.exec(tape ?? '')?.[1]
  expect(inOneLine(wrapper.get('h1').text())).toMatch(
    new RegExp(
      `^Work is ready on .+; (the yard lifts|the first lift that suits the people is) on ${launch}`,
    ),
  )
  const inches = rows.step.reduce((sum, one) => sum + (one.earnedIn ?? 0), 0)
  expect(tape).toContain(`${Math.round(inches)} of 480 in`)
  const minutes = Math.round(rows.hoursEntry.reduce((sum, one) => sum + one.hours, 0) * 60)
  const { wrapper: hours } = await onPage('hours', rows)
  expect(inOneLine(hours.text())).toContain(
    `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${String(minutes % 60).padStart(2, '0')}` : ''} written down`,
  )
})
