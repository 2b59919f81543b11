/** Clocks that run: what each counts to, in which order, and what is said and sounded when one turns. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { add, emptyRefit } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { useAlarms } from '../../app/composables/useAlarms'
import { useClocks } from '../../app/composables/useClocks'
import { useDevice } from '../../app/composables/useDevice'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'

const hour = 3_600_000
/** The server's clock stands at 17 April 2027, 07:30. */
const now = Date.UTC(2027, 3, 17, 7, 30)
const leaves: (() => void)[] = []
beforeEach(
  () =>
    void vi.useFakeTimers({
      toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval'],
    }),
)
afterEach(() => {
  leaves.splice(0).forEach((leave) => leave())
  vi.useRealTimers()
})

async function running(fill: (rows: Building) => void) {
  const rows = emptyRefit()
  fill(rows)
  const { server } = await openOn(rows)
  const time = useTimeStore()
  time.now = now
  const page = inSetup(() => {
    useAlarms()
    return useClocks()
  })
  leaves.push(page.leave)
  const at = async (instant: number) => {
    time.now = instant
    await nextTick()
  }
  return { server, clocks: page.made.clocks, at }
}
/** Says what it heard; a browser that sounds and notifies. */
function ears() {
  const heard: string[] = []
  const node = { connect: (next: unknown) => next, gain: { value: 0 }, frequency: { value: 0 } }
  class Audio {
    currentTime = 0
    destination = {}
    createGain = () => node
    createOscillator = () => ({ ...node, start: () => heard.push('beep'), stop: () => undefined })
  }
  const Notice = Object.assign(
    function (title: string, { body }: { body: string }) {
      heard.push(`${title}: ${body}`)
    },
    { permission: 'granted' },
  )
  vi.stubGlobal('AudioContext', Audio)
  vi.stubGlobal('Notification', Notice)
  return heard
}

it('stand with the one run out first, then the next to change, and what each counts to', async () => {
  const { clocks } = await running((rows) => {
    add(rows, 'clock', 'cure', {
      title: 'Plies',
      kind: 'cure',
      startedAt: now - 6 * hour,
      opensH: 24,
      assumedC: 20,
    })
    add(rows, 'clock', 'pot', {
      title: 'Putty',
      kind: 'pot',
      startedAt: now - hour / 4,
      closesH: 0.5,
      assumedC: 20,
    })
    add(rows, 'clock', 'coat', {
      title: 'First coat',
      kind: 'overcoat',
      startedAt: now - 8 * hour,
      opensH: 4,
      closesH: 12,
      assumedC: 20,
    })
    add(rows, 'clock', 'gone', {
      title: 'Old cup',
      kind: 'pot',
      startedAt: now - 2 * hour,
      closesH: 0.5,
      assumedC: 20,
    })
    add(rows, 'clock', 'ended', { title: 'Ended', kind: 'pot', startedAt: now, endedAt: now })
  })
  const shown = clocks.value.map((one) => [one.clock.id, one.left, one.until, one.alarming])
  expect(shown).toEqual([
    ['gone', '0:00', 'left', true],
    ['pot', '0:15', 'left', true],
    ['coat', '4:00', 'until the bond window shuts', false],
    ['cure', '18:00', 'to cured', false],
  ])
  const of = (id: string) => clocks.value.find((one) => one.clock.id === id)
  expect(of('gone')?.said).toContain('It has gone off.')
  expect(of('pot')?.said).toMatch(/^At 20 °C\. Then it warms in the cup/)
  expect(of('coat')?.said).toBe('Open since Sat 17 Apr 03:30. Shuts Sat 17 Apr 11:30.')
  expect(of('cure')?.said).toBe('Opens Sun 18 Apr 01:30 at 20 °C now.')
  // The bar: four hours of twelve until it opens, and eight are gone.
  expect([of('coat')?.openAtShare, of('coat')?.nowShare]).toEqual([4 / 12, 8 / 12])
  expect(of('cure')?.nowShare).toBe(0.25)
})

it('say what was too cold, what never cures, and what is too late', async () => {
  const { clocks, at } = await running((rows) => {
    const cold = { assumedC: 4, startedAt: now - 6 * hour, opensH: 24, minC: 5 } as const
    Object.assign(rows.refit[0] ?? {}, { monthMeanC: Array.from({ length: 12 }, () => 4) })
    add(rows, 'clock', 'never', { title: 'Bed', kind: 'cure', ...cold })
    add(rows, 'clock', 'cold', { title: 'Fillet', kind: 'cure', ...cold })
    for (const [index, tempC] of [4, 4, 20, 20].entries())
      add(rows, 'clockReading', `r${index}`, {
        clockId: 'cold',
        at: now + [-6, -3, -3, 72][index]! * hour + (index === 2 ? 1000 : 0),
        tempC,
      })
    add(rows, 'clock', 'foul', {
      title: 'Antifoul',
      kind: 'immersion',
      startedAt: now - 5 * hour,
      opensH: 4,
      closesH: 6,
    })
    add(rows, 'clock', 'bond', {
      title: 'Hot coat',
      kind: 'overcoat',
      startedAt: now - 5 * hour,
      opensH: 1,
      closesH: 4,
      assumedC: 20,
    })
  })
  const said = (id: string) => clocks.value.find((one) => one.clock.id === id)?.said
  expect(said('never')).toBe('At these temperatures it never cures. Warm it.')
  expect(said('cold')).toMatch(/ 3 h too cold to earn anything\.$/)
  expect(said('foul')).toBe('Open since Sat 17 Apr 06:30. Shuts Sat 17 Apr 08:30.')
  await at(now + 1.1 * hour)
  expect(said('foul')).toBe('Too long out of the water: read the data sheet before launching.')
  expect(said('bond')).toContain('wash, key and wipe before the next coat')
})

it('say once that they turned, and sound and notify where that is switched on', async () => {
  const heard = ears()
  const { at } = await running((rows) => {
    const coat = { kind: 'overcoat', startedAt: now - 3 * hour, opensH: 4, closesH: 12 } as const
    add(rows, 'clock', 'coat', { title: 'First coat', ...coat, assumedC: 20 })
  })
  const toasts = useToastStore()
  await at(now + 0.9 * hour)
  expect(toasts.toasts).toEqual([])
  await at(now + 1.1 * hour)
  expect(toasts.toasts.map((one) => one.text)).toEqual([
    'First coat: Open since Sat 17 Apr 08:30. Shuts Sat 17 Apr 16:30.',
  ])
  await at(now + 1.2 * hour)
  expect([toasts.toasts.length, heard]).toEqual([1, []])
  useDevice().alarms.value = true
  await at(now + 9.1 * hour)
  expect(heard).toEqual([
    'beep',
    'beep',
    expect.stringMatching(/^First coat: The bond window shut/),
  ])
})
