/** Tables, figures that open, clashes, lists and keys. */
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import type { How } from '#core/how/how'
import { emptyRefit, job, step } from '#core/testing/build'
import { takeKey, useKeyScope } from '../../app/composables/useKeyScope'
import { components } from './components'
import { openOn } from './fakeServer'

const { ClashDialog, JobList, KeysPanel, UiHow, UiPages, UiTable } = components

describe('a table', () => {
  const rows = [
    { id: 1, name: 'Keel 10', hours: 9 },
    { id: 2, name: 'Keel 2', hours: 10 },
    { id: 3, name: 'anchor', hours: 2 },
  ]
  type Line = (typeof rows)[number]
  const table = () =>
    mount(UiTable, {
      props: {
        caption: 'Hours',
        rows,
        columns: [
          { key: 'name', label: 'Job', sortBy: (row: Line) => row.name },
          { key: 'hours', label: 'Hours', number: true, sortBy: (row: Line) => row.hours },
          { key: 'act', label: 'Act' },
        ],
      },
      slots: { name: '<template #name="{ row }">{{ row.name }}</template>' },
    })
  const order = (wrapper: ReturnType<typeof table>) =>
    wrapper.findAll('tbody tr').map((row) => row.find('td').text())
  const head = (wrapper: ReturnType<typeof table>, at: number) => wrapper.findAll('th')[at]

  it('is as given, then rises, falls, and is as given again', async () => {
    const wrapper = table()
    const given = ['Keel 10', 'Keel 2', 'anchor']
    expect(order(wrapper)).toEqual(given)
    // A column that nobody draws says what the row has under its name.
    const cells = wrapper
      .findAll('tbody tr')
      .map((row) => row.findAll('td').map((one) => one.text()))
    expect(cells[0]).toEqual(['Keel 10', '9', ''])
    expect(head(wrapper, 0)?.attributes('aria-sort')).toBe('none')
    const press = () => head(wrapper, 0)?.find('button').trigger('click')
    await press()
    expect(order(wrapper)).toEqual(['anchor', 'Keel 2', 'Keel 10'])
    expect(head(wrapper, 0)?.attributes('aria-sort')).toBe('ascending')
    await press()
    expect(order(wrapper)).toEqual(['Keel 10', 'Keel 2', 'anchor'])
    expect(head(wrapper, 0)?.attributes('aria-sort')).toBe('descending')
    await press()
    expect(order(wrapper)).toEqual(given)
  })

  it('sorts numbers by size, and offers nothing where there is no order', async () => {
    const wrapper = table()
    await head(wrapper, 1)?.find('button').trigger('click')
    expect(order(wrapper)).toEqual(['anchor', 'Keel 10', 'Keel 2'])
    expect(head(wrapper, 2)?.find('button').exists()).toBe(false)
    expect(head(wrapper, 2)?.attributes('aria-sort')).toBeUndefined()
  })

  it('says what to do when it is empty', () => {
    const wrapper = mount(UiTable, {
      props: { caption: 'Hours', rows: [], columns: [{ key: 'a', label: 'A' }], empty: 'Press h.' },
    })
    expect(wrapper.text()).toContain('Press h.')
  })
})

describe('a figure', () => {
  it('opens on how it came about, worked out only then', async () => {
    const how: How = {
      title: 'Hours of “Ply”',
      result: '3 h 54',
      inputs: [{ name: 'Likely', value: '3 h' }],
      working: ['3 h × 1.3 = 3 h 54'],
      source: 'A rule of thumb',
      distrust: 'It is a guess.',
    }
    const work = vi.fn(() => how)
    const wrapper = mount(UiHow, {
      props: { how: work, about: 'Ply' },
      slots: { default: 'planned 3 h 54' },
      attachTo: document.body,
    })
    expect(work).not.toHaveBeenCalled()
    const button = wrapper.find('button')
    expect(button.text()).toBe('planned 3 h 54, Ply: how')
    await button.trigger('click')
    await flushPromises()
    const { textContent } = document.body
    for (const said of [how.title, 'Likely', ...how.working, how.source, how.distrust])
      expect(textContent).toContain(said)
    wrapper.unmount()
  })
})

describe('a clash', () => {
  async function clashing() {
    const rows = emptyRefit()
    Object.assign(job(rows, 'deck', { title: 'Theirs' }), { version: 4 })
    const opened = await openOn(rows)
    const clash = {
      entity: 'job',
      id: 'deck',
      field: 'title',
      theirs: 'Theirs',
      yours: 'Mine',
      theirVersion: 4,
    }
    const problem = { code: 'clash', message: 'Changed meanwhile.', fields: [], clashes: [clash] }
    opened.server.refusal = { status: 409, problem: problem as never }
    const patch = { title: 'Mine' }
    void opened.store.attempt('Change deck', [
      { op: 'patch', entity: 'job', id: 'deck', baseVersion: 3, patch },
    ])
    await flushPromises()
    const wrapper = mount(ClashDialog, { attachTo: document.body })
    await flushPromises()
    const press = async (name: string) => {
      const buttons = [...document.querySelectorAll('button')]
      buttons.find((one) => one.textContent?.includes(name))?.click()
      await flushPromises()
    }
    return { ...opened, wrapper, press }
  }

  it('shows both values; keeping yours sends it again on top of theirs', async () => {
    const { server, store, wrapper, press } = await clashing()
    expect(document.body.textContent).toContain('Theirs')
    expect(document.body.textContent).toContain('Mine')
    server.refusal = null
    await press('Keep yours')
    expect(server.changes.at(-1)?.items).toMatchObject([
      { entity: 'job', id: 'deck', baseVersion: 4, patch: { title: 'Mine' } },
    ])
    expect(store.clash).toBeNull()
    wrapper.unmount()
  })

  it('keeping theirs sends nothing, and leaving it sets it aside', async () => {
    const { server, store, wrapper, press } = await clashing()
    server.refusal = null
    await press('Keep theirs')
    expect(server.changes).toEqual([])
    expect(store.clash).toBeNull()
    wrapper.unmount()
    const later = await clashing()
    await later.press('Decide later')
    expect(later.store.clash).toBeNull()
    expect(later.store.aside).toHaveLength(1)
    later.wrapper.unmount()
  })
})

describe('keys', () => {
  const press = (key: string) => takeKey(new KeyboardEvent('keydown', { key, cancelable: true }))
  const scope = (acts: Parameters<typeof useKeyScope>[0]) =>
    mount(
      defineComponent({
        setup() {
          useKeyScope(acts)
          return () => null
        },
      }),
    )

  it('go to the innermost that takes them, and on to the next when it does not', () => {
    const heard: string[] = []
    let busy = true
    const outer = scope({ placeAccept: () => heard.push('outer') })
    const inner = scope({ jobsChoose: () => (busy ? heard.push('inner') : false) })
    press('x')
    busy = false
    press('x')
    inner.unmount()
    press('x')
    outer.unmount()
    press('x')
    expect(heard).toEqual(['inner', 'outer', 'outer'])
  })

  it('go on to the next page of a view, and from the last to the first', async () => {
    const pages = [
      { value: 'cost', label: 'Cost' },
      { value: 'hours', label: 'Hours' },
    ]
    const wrapper = mount(UiPages, {
      // As in a view, whose page stands only once the way there is gone.
      props: { label: 'Pages', pages, modelValue: 'cost', 'onUpdate:modelValue': () => undefined },
      attachTo: document.body,
    })
    const pressed = () => wrapper.get('[aria-pressed=true]').text()
    for (const next of ['hours', 'cost']) {
      press('e')
      expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([next])
      await wrapper.setProps({ modelValue: next })
    }
    expect(pressed()).toBe('Cost')
    // Pressed again before the next page stands: on from the one asked for.
    press('e')
    press('e')
    expect(wrapper.emitted('update:modelValue')?.slice(-2)).toEqual([['hours'], ['cost']])
    await wrapper.setProps({ modelValue: 'hours' })
    await wrapper.setProps({ modelValue: 'cost' })
    await wrapper.findAll('button')[1]?.trigger('click')
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual(['hours'])
    wrapper.unmount()
  })

  it('are all in the list of keys, from the one table', async () => {
    await openOn(emptyRefit())
    const { useFrameStore } = await import('../../app/stores/frame')
    useFrameStore().open('keys')
    const wrapper = mount(KeysPanel, { attachTo: document.body })
    await flushPromises()
    for (const said of ['Found something', 'While placing: watch it', 'Sequence', 'Undo'])
      expect(document.body.textContent).toContain(said)
    wrapper.unmount()
  })
})

describe('the list of jobs', () => {
  it('is walked by arrows over its headings, chooses with x, and goes on with b', async () => {
    const rows = emptyRefit()
    for (const id of ['One', 'Two', 'Three']) {
      job(rows, id)
      step(rows, id, `${id} step`)
    }
    await openOn(rows)
    const listed = (id: string, rank: number) => ({
      job: rows.job.find((one) => one.id === id),
      rank,
      sentence: 'Go, fails.',
      depth: 0,
      foundDuring: '',
    })
    const groups = [
      { key: 'a', title: 'Deck', jobs: [listed('One', 1)] },
      { key: 'b', title: 'Rig', jobs: [listed('Two', 2), listed('Three', 3)] },
    ]
    const wrapper = mount(JobList, {
      props: { groups, openId: null, chosen: new Set(['One']), tree: false },
      attachTo: document.body,
    })
    await flushPromises()
    const buttonOf = (name: string) =>
      [...document.querySelectorAll<HTMLElement>('[data-line] button')].find((one) =>
        one.textContent?.includes(name),
      )
    const press = async (key: string) => {
      const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
      Object.defineProperty(event, 'target', { value: document.activeElement })
      takeKey(event)
      await flushPromises()
    }
    const focused = () => document.activeElement?.textContent ?? ''
    buttonOf('One')?.focus()
    await press('ArrowDown')
    expect(focused()).toContain('Two')
    await press('ArrowUp')
    expect(focused()).toContain('One')
    await press('ArrowUp')
    expect(focused()).toContain('One')
    await press('x')
    expect(wrapper.emitted('toggle')).toEqual([['One']])
    await press('b')
    expect(wrapper.emitted('bulk')).toHaveLength(1)
    await wrapper.setProps({ chosen: new Set() } as never)
    await press('b')
    expect(wrapper.emitted('bulk')).toHaveLength(1)
    wrapper.unmount()
  })
})
