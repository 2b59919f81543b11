/** Walk's drawings and rows by themselves: keys on a map, presses on a sheet, what a row says. */
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { add, emptyRefit, job, step } from '#core/testing/build'
import type { CoreCells } from '#core/model/entities/walk'
import { gridOf } from '#core/panel/grid'
import { marksByZone } from '#core/walk/marks'
import { takeKey } from '../../app/composables/useKeyScope'
import { markPieces, sayMark } from '../../app/utils/markPaths'
import { components } from './components'
import { openOn } from './fakeServer'
import { pointsAsTheyAre } from './pointsAsTheyAre'

const { BoatMap, MarkShape, MemberSheet, PanelMap, WalkRow } = components

describe('a mark', () => {
  it('is told by its shape: no two of the twenty look alike, and one that is mended has no red', () => {
    const fills = ['none', 'job', 'watched', 'accepted', 'mended'] as const
    const shapes = [1, 2, 3, 4].flatMap((severity) =>
      fills.map((fill) =>
        markPieces(severity, fill)
          .map((piece) => piece.d)
          .join(),
      ),
    )
    expect(new Set(shapes).size).toBe(20)
    for (const severity of [1, 2, 3, 4])
      expect(JSON.stringify(markPieces(severity, 'mended'))).not.toContain('redlead')
  })
  it('says what it is, with its number only where there are several', () => {
    expect(sayMark(4, 'none')).toBe('danger, no word yet')
    const wrapper = mount(MarkShape, { props: { severity: 3, fill: 'job', many: 2 } })
    expect(wrapper.attributes('aria-label')).toBe('2 fails, job in the plan')
    expect(wrapper.find('text').text()).toBe('2')
    expect(
      mount(MarkShape, { props: { severity: 3, fill: 'job' } })
        .find('text')
        .exists(),
    ).toBe(false)
  })
})

describe('a map of a panel', () => {
  const rows = emptyRefit()
  const panel = add(rows, 'panel', 'p', {
    title: 'Deck',
    outline: [
      [0, 0],
      [0.3, 0],
      [0.3, 0.2],
      [0, 0.2],
    ],
    cellM: 0.1,
    coreMm: 16,
    order: 'a',
  })
  const grid = gridOf(panel)
  const map = (cells: CoreCells, more: object = {}) =>
    mount(PanelMap, {
      attachTo: document.body,
      props: { panel, grid, cells, tool: { is: 'meter', value: 20 }, ...more },
    })
  const cell = (wrapper: ReturnType<typeof map>, key: string) =>
    wrapper.find(`[data-cell="${key}"]`)
  const last = (wrapper: ReturnType<typeof map>) =>
    (wrapper.emitted('painted') as [CoreCells][] | undefined)?.at(-1)?.[0]

  it('takes readings typed into a cell, digit by digit, and says them', async () => {
    const wrapper = map({ '1:0': { meter: 9, tap: 'dull' } })
    expect(cell(wrapper, '1:0').attributes('aria-label')).toBe('column 2, row 1: 9, tap dull')
    expect(cell(wrapper, '2:1').attributes('aria-label')).toBe('column 3, row 2: not read')
    await cell(wrapper, '0:0').trigger('keydown', { key: '2' })
    await cell(wrapper, '0:0').trigger('keydown', { key: '4' })
    expect(wrapper.emitted('typed')).toEqual([[2], [24]])
    expect(last(wrapper)).toEqual({ '1:0': { meter: 9, tap: 'dull' }, '0:0': { meter: 24 } })
    expect(wrapper.emitted('done')).toHaveLength(2)
  })
  it('taps, probes, samples and takes off by key', async () => {
    const wrapper = map({ '0:0': { tap: 'dull', sample: 'wet' } })
    const press = (key: string) => cell(wrapper, '0:0').trigger('keydown', { key })
    await press('t')
    expect(last(wrapper)?.['0:0']?.tap).toBe('sharp')
    await press('p')
    expect(last(wrapper)?.['0:0']?.probeMm).toBe(16)
    await press('s')
    expect(last(wrapper)?.['0:0']?.sample).toBe('powder')
    await press('Delete')
    expect(last(wrapper)).toEqual({})
  })
  it('moves by arrows, one cell in the tab order, and stops at its edge', async () => {
    const wrapper = map({})
    const stops = () => wrapper.findAll('[tabindex="0"]').map((one) => one.attributes('data-cell'))
    expect(stops()).toEqual(['0:0'])
    await cell(wrapper, '0:0').trigger('keydown', { key: 'ArrowRight' })
    expect(stops()).toEqual(['1:0'])
    await cell(wrapper, '1:0').trigger('keydown', { key: 'ArrowUp' })
    expect(stops()).toEqual(['1:0'])
    // The views' own digits do not hear what is typed here.
    const heard: string[] = []
    const listen = (event: KeyboardEvent) => heard.push(event.key)
    addEventListener('keydown', listen)
    await cell(wrapper, '1:0').trigger('keydown', { key: '3' })
    await cell(wrapper, '1:0').trigger('keydown', { key: 'q' })
    removeEventListener('keydown', listen)
    expect(heard).toEqual(['q'])
  })
  it('paints what is pressed with the tool in hand, takes off with alt, and nothing without a tool', async () => {
    const wrapper = map({ '1:1': { meter: 5 } })
    await cell(wrapper, '0:0').trigger('pointerdown')
    expect(last(wrapper)).toEqual({ '1:1': { meter: 5 }, '0:0': { meter: 20 } })
    await cell(wrapper, '1:1').trigger('pointerdown', { altKey: true })
    expect(last(wrapper)).toEqual({})
    const idle = map({}, { tool: null })
    await cell(idle, '0:0').trigger('pointerdown')
    expect(idle.emitted('painted')).toBeUndefined()
  })
  it('over thirty columns shows a number only where it is wet', () => {
    const long = {
      ...panel,
      outline: [
        [0, 0],
        [3.2, 0],
        [3.2, 0.1],
        [0, 0.1],
      ] as const,
    }
    const cells = { '0:0': { meter: 25 }, '1:0': { meter: 9 } }
    const texts = (of: typeof panel) =>
      mount(PanelMap, { props: { panel: of, grid: gridOf(of), cells } })
        .findAll('[data-cell] text')
        .map((one) => one.text())
    expect(texts(long as never)).toEqual(['25'])
    expect(texts(panel)).toEqual(['25', '9'])
  })
})

describe('a count sheet', () => {
  it('says each member by station and side, and sends its press', async () => {
    const rows = emptyRefit()
    const sheet = add(rows, 'countSheet', 's', { title: 'Sole', order: 'a' })
    const member = (id: string, given: object) =>
      add(rows, 'member', id, { sheetId: 's', kind: 'frame', station: 2, side: 'port', ...given })
    member('a', {})
    member('b', { seen: true, side: 'starboard' })
    member('c', { seen: true, station: 3, marks: ['soft', 'cracked'], from: 0.2, to: 0.5 })
    const wrapper = mount(MemberSheet, {
      props: { sheet, members: rows.member, chosen: null },
    })
    expect(wrapper.findAll('[role=button]').map((one) => one.attributes('aria-label'))).toEqual([
      'frame 2, port: not seen',
      'frame 2, starboard: sound',
      'frame 3, port: soft and cracked, from 20 to 50 % of its length',
    ])
    await wrapper.findAll('[role=button]')[2]?.trigger('keydown', { key: 'Enter' })
    expect(wrapper.emitted('choose')).toEqual([['c']])
  })
  /** Frames to port at so many stations, sound but for the fourth. */
  function long(count: number) {
    const rows = emptyRefit()
    const sheet = add(rows, 'countSheet', 's', { title: 'Frames', order: 'a' })
    for (let station = 1; station <= count; station++)
      add(rows, 'member', `m${station}`, {
        sheetId: 's',
        kind: 'frame',
        station,
        side: 'port',
        seen: station !== 4,
      })
    return mount(MemberSheet, {
      props: { sheet, members: rows.member, chosen: 'm4' },
      attachTo: document.body,
    })
  }
  it('of over twenty stations folds the sound ones, and unfolds them by a press', async () => {
    const wrapper = long(24)
    const said = () =>
      wrapper.findAll('[role=button]').map((one) => one.attributes('aria-label') ?? '')
    expect(said()).toEqual([
      'Stations 1 to 3, all sound: unfold them',
      'Stations 5 to 24, all sound: unfold them',
      'frame 4, port: not seen',
    ])
    await wrapper.findAll('[role=button]')[0]?.trigger('click')
    expect(said()).toHaveLength(5)
    const fold = wrapper.findAll('button').find((one) => one.text() === 'Fold the sound ones')
    await fold?.trigger('click')
    expect(said()).toHaveLength(3)
  })
  it('is gone through by arrows, and by u to the next that nobody saw', async () => {
    const wrapper = long(6)
    const focused = () => document.activeElement?.getAttribute('data-member')
    const members = wrapper.findAll<HTMLElement>('[data-member]')
    expect(members.map((one) => one.attributes('tabindex'))).toEqual(['0', ...Array(5).fill('-1')])
    members[0]?.element.focus()
    await members[0]?.trigger('keydown', { key: 'ArrowRight' })
    await nextTick()
    expect(focused()).toBe('m2')
    takeKey(new KeyboardEvent('keydown', { key: 'u' }))
    await nextTick()
    expect(focused()).toBe('m4')
  })
  it('takes the stretch that is drawn along the chosen member, and no press for it', async () => {
    const wrapper = long(6)
    pointsAsTheyAre(wrapper.find('svg').element)
    const draw = async (id: string, from: number, to: number) => {
      const one = wrapper.find(`[data-member="${id}"]`)
      await one.trigger('pointerdown', { clientY: from })
      await one.trigger('pointermove', { clientY: to })
      await one.trigger('pointerup')
      await one.trigger('click')
    }
    // To port from the centreline out: from 176 to 258 less what the fourth of six is shorter by, (1 − 4/7) × 26.
    const length = 258 - 26 * (3 / 7) - 176
    await draw('m4', 176 + 0.2 * length, 176 + 0.7 * length)
    expect(wrapper.emitted('stretch')).toEqual([['m4', { from: 0.2, to: 0.7 }]])
    expect(wrapper.emitted('choose')).toBeUndefined()
    await draw('m2', 180, 240)
    expect(wrapper.emitted('stretch')).toHaveLength(1)
    expect(wrapper.emitted('choose')).toEqual([['m2']])
  })
})

describe('on the boat', () => {
  const rows = emptyRefit()
  const zone = add(rows, 'zone', 'deck', {
    name: 'Foredeck, starboard',
    side: 'starboard',
    along: 0.8,
    order: 'a',
  })
  add(rows, 'zone', 'nowhere', { name: 'Whole boat', order: 'b' })
  job(rows, 'mend')
  step(rows, 'mend', 's', { hoursLikely: 4 })
  add(rows, 'finding', 'f', {
    title: 'Soft',
    zoneId: 'deck',
    severity: 3,
    foundAt: 1,
    state: 'jobMade',
    jobId: 'mend',
  })
  add(rows, 'finding', 'g', { title: 'Loose', zoneId: 'deck', severity: 2, foundAt: 1 })

  it('a place is named, pressed on and off, and one without a position is not drawn', async () => {
    await openOn(rows)
    const wrapper = mount(BoatMap, {
      props: {
        zones: rows.zone,
        items: new Map([['deck', [{ is: 'drop', letter: 'A' }]]]),
        chosen: null,
        say: () => 'one soft',
      },
    })
    const places = wrapper.findAll('.map-place')
    expect(places.map((one) => one.attributes('aria-label'))).toEqual([
      'Foredeck, starboard: one soft',
    ])
    expect(places[0]?.text()).toContain('Foredeck, stbd')
    await places[0]?.trigger('click')
    await places[0]?.trigger('keydown', { key: 'Enter' })
    expect(wrapper.emitted('choose')).toEqual([['deck'], ['deck']])
    await wrapper.setProps({ chosen: 'deck', nameless: true })
    await wrapper.find('.map-place').trigger('click')
    expect(wrapper.emitted('choose')?.at(-1)).toEqual([null])
    expect(wrapper.find('.map-place').text()).not.toContain('stbd')
  })
  it('a row adds up its jobs, says what is not guessed, and opens on each finding', async () => {
    await openOn(rows)
    const [marks] = marksByZone([zone], rows.finding, () => 'open')
    const wrapper = mount(WalkRow, { props: { marks, open: true, name: zone.name } })
    expect(wrapper.text()).toContain('1 to settle')
    expect(wrapper.text()).toContain('4 h +')
    const findings = wrapper.findAll('li li button')
    expect(findings.map((one) => one.text())).toEqual(['Softjob in the plan', 'Looseno word yet'])
    await findings[1]?.trigger('click')
    expect(wrapper.emitted('finding')).toEqual([['g']])
  })
})
