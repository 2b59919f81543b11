/** The air until the next visit: said as far as it is known, rain, dew and where a cure stands still drawn. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import type { Curing } from '#core/today/curing'
import { useTimeStore } from '../../app/stores/time'
import { words } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'

/** From Saturday 17 April 2027, 17:00. */
const hour = 3_600_000
const from = Date.UTC(2027, 3, 17, 17)
interface Hour {
  tempC?: number
  dewC?: number
  rain?: boolean
}

async function night(
  list: readonly (Hour | null)[],
  hoursLong: number,
  curing: readonly object[] = [],
) {
  const rows = emptyRefit()
  const hours = list.flatMap((one, at) =>
    one ? [{ at: from + at * hour, tempC: 10, dewC: 2, rain: false, ...one }] : [],
  )
  add(rows, 'forecast', 'f', { station: 'S', takenAt: from - hour, hours } as never)
  await openOn(rows, () => (useTimeStore().now = from))
  mount(components.NightAir, {
    props: {
      from,
      to: from + hoursLong * hour,
      curing: curing as readonly Curing[],
      nextSaid: 'Sun 09:00',
    },
    attachTo: document.body,
  })
  await flushPromises()
}
const rects = (fill: string) =>
  [...document.querySelectorAll(`rect[fill="${fill}"]`)].map((one) =>
    Number(one.getAttribute('width')),
  )

it('says how cold it gets and that no rain comes, all through the night', async () => {
  await night([{ tempC: 11 }, {}, { tempC: 4 }, { tempC: 6 }], 4)
  expect(words()).toContain('Air 11 °C down to 4 °C, no rain.')
})

it('says so of no more than the forecast reaches, up to its first gap', async () => {
  await night([{}, {}, {}], 8)
  expect(words()).toContain('no rain until Sat 17 Apr 20:00.')
  document.body.innerHTML = ''
  await night([{}, null, {}, {}], 4)
  expect(words()).toContain('no rain until Sat 17 Apr 18:00.')
  document.body.innerHTML = ''
  // Six days until somebody comes: two of them are looked at.
  await night(
    Array.from({ length: 150 }, () => ({})),
    144,
  )
  expect(words()).toContain('no rain until Mon 19 Apr 17:00.')
})

it('says when the rain begins, and that nothing is known where nothing is', async () => {
  await night([{}, {}, { rain: true }, { rain: true }, {}, { rain: true }], 6)
  expect(words()).toContain('rain from 19:00.')
  // Two spells, the first twice as long.
  const [first, second] = rects('var(--water)')
  expect((first ?? 0) / (second ?? 1)).toBeCloseTo(2)
  document.body.innerHTML = ''
  await night([], 8)
  expect(words()).toContain('No forecast reaches this night.')
  document.body.innerHTML = ''
  await night([null, null, {}], 8)
  expect(words()).toContain('No forecast reaches this night.')
})

it('shades hours within three degrees of dew', async () => {
  await night([{ dewC: 7 }, { dewC: 7.1 }, { dewC: 8 }, { dewC: 2 }], 4)
  // The second and third hour of four.
  const [dew, ...others] = rects('var(--rule2)')
  const whole = 600 - 96
  expect(others).toEqual([])
  expect(dew).toBeCloseTo(whole / 2)
})
