/** A count sheet by its page: marks by pressing on, a stretch drawn, what mending costs against what she is worth, bays. */
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { fieldOf, press, tick, typeIn, words } from './byName'
import { onPage } from './page'
import { pointsAsTheyAre } from './pointsAsTheyAre'
import { sentTo } from './setup'

async function onSheet() {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] ?? {}, { worthNowMinor: 2_000_000, ownHourMinor: 2500 })
  add(rows, 'countSheet', 's', {
    title: 'Frames',
    mendHours: 2,
    mendMinor: 1000,
    renewHours: 40,
    order: 'a',
  })
  for (let station = 1; station <= 4; station++)
    add(rows, 'member', `m${station}`, { sheetId: 's', kind: 'frame', station, side: 'port' })
  const page = await onPage('walk/members/[sheet]', rows, { params: { sheet: 's' } })
  const member = (id: string) => page.store.rows.member.find((one) => one.id === id)
  return { ...page, member }
}
const drawn = (station: number) =>
  document.querySelectorAll<SVGElement>('[data-member]')[station - 1] as SVGElement
const pressOn = (station: number) =>
  drawn(station).dispatchEvent(new MouseEvent('click', { bubbles: true }))

it('pressed it is chosen, pressed on it goes through its marks and round again', async () => {
  const { member } = await onSheet()
  pressOn(1)
  await vi.waitFor(() => expect(drawn(1).getAttribute('aria-pressed')).toBe('true'))
  expect(member('m1')).toMatchObject({ seen: false })
  const said: unknown[] = []
  for (let times = 0; times < 6; times++) {
    const { version } = member('m1') ?? {}
    pressOn(1)
    await vi.waitFor(() => expect(member('m1')?.version).toBeGreaterThan(version ?? 0))
    said.push(member('m1')?.seen ? (member('m1')?.marks.join() ?? '') : 'not seen')
  }
  expect(said).toEqual(['', 'cracked', 'soft', 'broken', 'missing', 'not seen'])
  expect(document.querySelector('h1')?.textContent).toContain('4 frames')
})

it('a stretch drawn along it is soft, unless it is marked already', async () => {
  const { member } = await onSheet()
  pointsAsTheyAre(document.querySelector('svg[role="group"]'))
  const draw = (station: number, from: number, to: number) => {
    const events = [
      ['pointerdown', from],
      ['pointermove', to],
      ['pointerup', to],
    ] as const
    for (const [name, clientY] of events)
      drawn(station).dispatchEvent(new PointerEvent(name, { clientY, bubbles: true }))
  }
  // To port from 176 outwards; the fourth of four is shorter by a fifth of 26.
  const length = 258 - 26 * 0.2 - 176
  pressOn(4)
  await vi.waitFor(() => expect(drawn(4).getAttribute('aria-pressed')).toBe('true'))
  draw(4, 176, 176 + length / 2)
  await vi.waitFor(() => expect(member('m4')).toMatchObject({ from: 0, to: 0.5 }))
  expect(member('m4')).toMatchObject({ seen: true, marks: ['soft'] })
  await tick('Cracked')
  await tick('Soft')
  await vi.waitFor(() => expect(member('m4')?.marks).toEqual(['cracked']))
  draw(4, 176 + length / 2, 176 + length)
  await vi.waitFor(() => expect(member('m4')).toMatchObject({ from: 0.5, to: 1 }))
  expect(member('m4')?.marks).toEqual(['cracked'])
})

it('says what mending takes, how that came about, and its share of what she is worth', async () => {
  await onSheet()
  for (const station of [2, 3, 4, 1]) {
    pressOn(station)
    await vi.waitFor(() => expect(drawn(station).getAttribute('aria-pressed')).toBe('true'))
    await tick('Seen')
    await vi.waitFor(() => expect(drawn(station).getAttribute('aria-label')).toContain('sound'))
  }
  await tick('Soft')
  await vi.waitFor(() => expect(words()).toContain('1 of 4 frames seen'))
  // One at 2 h and 10.00; at 25.00 an hour 60.00 of 20,000.00.
  expect(words()).toContain('that is 0.3 % of what she is worth as she lies')
  await press('2 h, mend one by one: how')
  expect(words()).toContain('whole: 1 × 2 h = 2 h')
  const link = [...document.querySelectorAll('a')].find((one) =>
    one.textContent?.startsWith('Make the job'),
  )
  expect(link?.textContent).toContain('1 frame')
})

it('takes a bay, whose hours are in both ways, and goes with all its members', async () => {
  const { store } = await onSheet()
  await typeIn('Another bay', 'Saloon')
  await typeIn('Hours', '3')
  fieldOf('Another bay').form?.requestSubmit()
  await vi.waitFor(() => expect(store.rows.countSheet[0]?.bays).toHaveLength(1))
  expect(store.rows.countSheet[0]?.bays[0]).toEqual({
    title: 'Saloon',
    from: 1,
    to: 2,
    hours: 3,
    open: false,
  })
  expect(words()).toContain('Renew all 443 h')
  await press('Remove the bay Saloon')
  await vi.waitFor(() => expect(store.rows.countSheet[0]?.bays).toEqual([]))
  await press('Remove the sheet')
  expect(words()).toContain('It goes with its 4 members.')
  await press('Remove')
  await vi.waitFor(() => expect(store.rows.member).toEqual([]))
  expect(sentTo.at(-1)).toBe('/r/r/walk/members')
})
