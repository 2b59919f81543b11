/** Fields: what is typed is read, refused or saved, and never lost. */
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { entityNames } from '#core/model/entities'
import { fieldLabel } from '#core/model/changes'
import { fieldsOf } from '#core/model/references'
import { add, emptyRefit, job, step } from '#core/testing/build'
import { problem } from '#shared/problems'
import { components } from './components'
import { openOn } from './fakeServer'

const { FieldInput, RowField, UiHours, UiNumber } = components
const withStep = () => {
  const rows = emptyRefit()
  job(rows, 'deck')
  step(rows, 'deck', 'plies', { hoursLikely: 2, notBefore: '2027-05-01', caution: 'Gloves' })
  return rows
}
/** A field of the step, on a server. */
async function fieldOfStep(field: string) {
  const { server, store } = await openOn(withStep())
  const wrapper = mount(RowField, {
    props: { entity: 'step', row: store.rows.step[0], field },
    attachTo: document.body,
  })
  const input = wrapper.find('input, textarea, select')
  const type = async (text: string) => {
    await input.trigger('focus')
    await input.setValue(text)
    await input.trigger('change')
    await input.trigger('blur')
    await flushPromises()
    await wrapper.setProps({ row: store.rows.step[0] } as never)
  }
  const shown = () => (input.element as HTMLInputElement).value
  return { server, store, wrapper, input, type, shown }
}

describe('a typed value', () => {
  it('is saved as it is left, with the version it was read at', async () => {
    const { server, type, shown } = await fieldOfStep('hoursLikely')
    expect(shown()).toBe('2 h')
    await type('1h30')
    expect(server.changes[0]?.items).toEqual([
      { op: 'patch', entity: 'step', id: 'plies', baseVersion: 1, patch: { hoursLikely: 1.5 } },
    ])
    expect(shown()).toBe('1 h 30')
  })

  it('that is refused when nobody waits for it any more stands at its field all the same', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const { server, store, wrapper, type, shown } = await fieldOfStep('caution')
    server.refusal = { status: 422, problem: problem('invalid', 'Name the glove.') }
    let answer = () => {}
    server.onItsWay = new Promise((resolve) => (answer = resolve))
    await type('Boots')
    await vi.advanceTimersByTimeAsync(2000)
    vi.useRealTimers()
    await wrapper.setProps({ row: store.rows.step[0] } as never)
    expect([store.rows.step[0]?.caution, shown()]).toEqual(['Boots', 'Boots'])
    answer()
    await flushPromises()
    await wrapper.setProps({ row: store.rows.step[0] } as never)
    expect([store.rows.step[0]?.caution, shown()]).toEqual(['Gloves', 'Boots'])
    expect(wrapper.find('[role=alert]').text()).toBe('Name the glove. Still stored: Gloves.')
  })

  it('that cannot be read stays as typed, says why, and saves nothing; Escape gives back', async () => {
    const { server, type, shown, wrapper, input } = await fieldOfStep('hoursLikely')
    await type('a while')
    expect(server.changes).toEqual([])
    expect(shown()).toBe('a while')
    expect(wrapper.find('[role=alert]').exists()).toBe(true)
    expect(input.attributes('aria-invalid')).toBe('true')
    await input.trigger('keydown', { key: 'Escape' })
    expect(shown()).toBe('2 h')
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })

  it('that the server refuses stays at its field, with what is still stored', async () => {
    const { server, type, shown, wrapper } = await fieldOfStep('hoursLikely')
    const problem = { code: 'broken', message: 'High hours are under the likely ones.', fields: [] }
    server.refusal = { status: 422, problem }
    await type('9')
    expect(shown()).toBe('9')
    expect(wrapper.find('[role=alert]').text()).toBe(`${problem.message} Still stored: 2 h.`)
  })

  it('that another window changed meanwhile is asked about: Enter keeps, Escape takes', async () => {
    const wrapper = mount(UiHours, {
      props: { modelValue: 2, label: 'Hours' },
      attachTo: document.body,
    })
    const input = wrapper.find('input')
    const overtake = async () => {
      await input.trigger('focus')
      // The library's own setValue leaves the field as well.
      input.element.value = '3'
      await input.trigger('input')
      await wrapper.setProps({ modelValue: 5 } as never)
    }
    await overtake()
    expect(wrapper.find('[role=alert]').text()).toContain('Another window saved “5 h”')
    await input.trigger('change')
    expect(wrapper.emitted('update:modelValue')).toBeUndefined()
    await input.trigger('keydown', { key: 'Enter' })
    expect(wrapper.emitted('update:modelValue')).toEqual([[3]])
  })

  it('empties to nothing where nothing may stand, and to an empty text where not', async () => {
    const date = await fieldOfStep('notBefore')
    await date.type('')
    expect(date.server.changes[0]?.items[0]).toMatchObject({ patch: { notBefore: null } })
    const text = await fieldOfStep('caution')
    await text.type('')
    expect(text.server.changes[0]?.items[0]).toMatchObject({ patch: { caution: '' } })
    const needed = await fieldOfStep('title')
    await needed.type('  ')
    expect(needed.server.changes).toEqual([])
    expect(needed.wrapper.find('[role=alert]').text()).toContain('is empty')
  })

  it.each([
    ['0', /At least 1/],
    ['9', /At most 8/],
    ['1.5', /whole number/],
    ['x', /not a number/],
  ])('keeps inside its range: %s', async (text, message) => {
    const wrapper = mount(UiNumber, {
      props: { modelValue: 2, label: 'People', min: 1, max: 8, whole: true },
    })
    const input = wrapper.find('input')
    await input.setValue(text)
    await input.trigger('change')
    expect(wrapper.find('[role=alert]').text()).toMatch(message)
    expect(wrapper.emitted('update:modelValue')).toBeUndefined()
  })
})

describe('the field component', () => {
  it('gives every field of every row an input of its kind, under its label', async () => {
    const rows = emptyRefit()
    add(rows, 'person', 'ida', { name: 'Ida', order: 'b' })
    add(rows, 'person', 'gone', { name: 'Gone', order: 'c', gone: true })
    await openOn(rows)
    const shown = ['text', 'choice', 'integer', 'real', 'flag', 'date', 'clockTime', 'ref']
    for (const entity of entityNames)
      for (const [field, spec] of fieldsOf(entity).filter(([, one]) => shown.includes(one.kind))) {
        const wrapper = mount(FieldInput, { props: { entity, field, modelValue: null } })
        const input = wrapper.find('input, textarea, select')
        const named = `${entity}.${field}`
        expect(wrapper.text(), named).toContain(fieldLabel(entity, field))
        const tag = input.element.tagName
        if (spec.kind === 'choice' || spec.kind === 'ref') {
          expect(tag, named).toBe('SELECT')
          const words = wrapper.findAll('option').map((one) => one.text())
          expect(words.includes('Not said'), named).toBe(spec.nullable)
          if (spec.to === 'person') {
            expect(words).toContain('Ida')
            expect(words).not.toContain('Gone')
          }
          // Words for people, not for the program.
          expect(words.filter((word) => /[a-z][A-Z]/.test(word))).toEqual([])
        } else if (spec.kind === 'flag' && spec.nullable)
          expect(
            wrapper.findAll('option').map((one) => one.text()),
            named,
          ).toEqual(['Not said', 'Yes', 'No'])
        else if (spec.kind === 'flag') expect(input.attributes('type'), named).toBe('checkbox')
        else if (spec.kind === 'text' && (spec.max ?? 0) > 1000) expect(tag, named).toBe('TEXTAREA')
        else expect(tag, named).toBe('INPUT')
        wrapper.unmount()
      }
  })

  it('asks yes, no, or as usual where a flag may be left open', async () => {
    const { server, store, wrapper } = await fieldOfStep('dusty')
    const choose = async (index: number) => {
      const box = wrapper.find('select')
      box.element.selectedIndex = index
      await box.trigger('change')
      await flushPromises()
      await wrapper.setProps({ row: store.rows.step[0] } as never)
    }
    const chosen = () => wrapper.find('select').element.selectedIndex
    expect(chosen()).toBe(0)
    for (const [index, value] of [
      [2, false],
      [1, true],
      [0, null],
    ] as const) {
      await choose(index)
      expect(server.changes.at(-1)?.items[0]).toMatchObject({ patch: { dusty: value } })
      expect(chosen()).toBe(index)
    }
  })

  it('shows amounts in the units of the refit', async () => {
    const { store } = await openOn(emptyRefit())
    const shown = (field: string, value: number, entity = 'product') => {
      const props = { entity, field, modelValue: value }
      const wrapper = mount(FieldInput, { props })
      return `${wrapper.find('label').text()}: ${wrapper.find('input').element.value}`
    }
    expect(shown('refC', 20)).toBe('Reference temperature in °C, °C: 20')
    expect(shown('cureH', 36)).toBe('Cure in hours: 36 h')
    expect(shown('costMinor', 12345, 'asBuiltSheet')).toMatch(/Cost: .*123\.45/)
    await store.attempt('Units', [
      { op: 'patch', entity: 'refit', id: 'r', baseVersion: 1, patch: { units: 'us' } },
    ])
    await flushPromises()
    expect(shown('refC', 20)).toMatch(/°F: 68$/)
  })
})
