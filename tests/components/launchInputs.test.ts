/** What a launch rests on, on its page: what is typed as a list and cannot be is refused by its line. */
import { beforeEach, expect, it, vi } from 'vitest'
import { knownDemo } from '../../demo/known'
import { useTimeStore } from '../../app/stores/time'
import { press, typeIn, words } from './byName'
import { onPage } from './page'

/** Saturday 17 April 2027. */
const begin = () => (useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30))
const labelled = (begins: string) =>
  [...document.querySelectorAll('label')]
    .map((one) => (one.textContent ?? '').replace(/\s+/g, ' ').trim())
    .findLast((one) => one.startsWith(begins)) ?? ''
const type = (label: string, text: string) => typeIn(labelled(label), text)

beforeEach(() => onPage('launch/inputs', knownDemo(), { begin }))

it.each([
  [
    'Constituents: name',
    'M2 1.66 210\nQQ9 0.2 40',
    'Keep these constituents',
    'Line 2 (QQ9): its speed is not known here',
  ],
  [
    'Or high and low waters',
    '2027-06-05 14:51 0.5\n2027-06-05 08:20 4.7',
    'Keep this table',
    'Line 2, 2027-06-05 08:20, is not later',
  ],
  ['Chart of the crane', '5 12.4\n6 heavy', 'Keep the chart', 'Line 2, “6 heavy”, is no row.'],
])('refuses “%s” by its line, and keeps what was typed', async (label, text, keep, said) => {
  await type(label, text)
  await press(keep)
  expect(words()).toContain(said)
  const field = [...document.querySelectorAll('textarea')].find((one) => one.value === text)
  expect(field).toBeDefined()
})

it('says by how much a shallow slip lacks depth', async () => {
  await type('Charted depth at the slip', '-4 m')
  await vi.waitFor(
    () =>
      // She draws 1.75 m, and wants 0.30 m under her; the bottom dries by 4.
      expect(words()).toContain('She needs 6.05 m over chart datum'),
    20_000,
  )
})
