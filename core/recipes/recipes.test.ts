/** Recipes that cannot be, dimensions that cannot be, and jobs worked again without losing anything. */
import { problemsOf } from '../result'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boltSizesMm } from '../fastening/boltLength'
import { applyRows, supposing } from '../model/applyChange'
import type { RefitRows } from '../model/refit'
import { inOrder } from '../model/refit'
import { add, emptyRefit } from '../testing/build'
import { recipeBook } from './book'
import { recipeProblems } from './check'
import { expand } from './expand'
import type { Draft } from './expand'
import { FormulaTrouble, readFormula } from './formula'
import { knownInputs, toMeasure, withKnownInput } from './known'
import { jobFromRecipe } from './make'
import { initialInputs } from './ofBoat'
import type { Recipe, RecipeInputs } from './recipe'
import { restsOn } from './restsOn'
import { rework } from './rework'
import { toBuy } from './toBuy'
import { recipeValues } from './values'

/** Plies over a panel: two an hour, a sheet each. */
const plies: Recipe = {
  format: 'inch-ahead-recipe',
  version: 1,
  key: 'plies',
  title: 'Plies',
  about: '',
  purpose: 'float',
  system: 'deck',
  inputs: [
    { key: 'area', label: 'Area', unit: 'm²', initial: 2, min: 0.1, max: 50, help: '' },
    {
      key: 'plies',
      label: 'Plies',
      unit: 'pieces',
      initial: 3,
      min: 0,
      max: 500,
      whole: true,
      help: '',
    },
  ],
  choices: [],
  values: [
    { key: 'cloth', label: 'Cloth', unit: 'm²', formula: 'area * spare' },
    { key: 'spare', label: 'Spare', unit: 'times', formula: '1.1' },
  ],
  steps: [
    { key: 'grind', title: 'Grind', operation: 'grind', hours: '0.5 * area' },
    {
      key: 'ply',
      title: 'Ply {n}',
      operation: 'laminate',
      hours: '0.5 * area',
      times: 'plies',
      materials: [{ what: 'Cloth', unit: 'm²', quantity: 'cloth', pack: 5 }],
    },
    { key: 'sand', title: 'Sand', operation: 'fair', hours: '1' },
  ],
}

const drafted = (inputs: RecipeInputs): Draft => {
  const worked = expand(plies, { ...initialInputs(plies), ...inputs })
  if (!worked.ok) throw new Error(problemsOf(worked)[0]?.message)
  return worked.value
}
const refusal = (inputs: RecipeInputs): string => {
  const worked = expand(plies, { ...initialInputs(plies), ...inputs })
  return worked.ok ? '' : (problemsOf(worked)[0]?.message ?? '')
}

describe('formulas', () => {
  it.each([
    ['2 + 3 * 4', 14],
    ['(2 + 3) * -4', -20],
    ["way == 'a' ? 1 : 2", 1],
    ['max(area, 3) >= 3 && !(area > 2) ? 7 : 8', 7],
  ])('%s', (text, value) => {
    expect(readFormula(text).run({ area: 2, way: 'a' })).toBe(value)
  })
  it.each([
    ['foo(2)', 'There is no formula “foo”'],
    ['constructor(2)', 'There is no formula “constructor”'],
    ['min(2)', 'takes 2 values'],
    ['area.length', 'may hold numbers'],
    ['2 +', 'cannot be read'],
    ['a; b', 'may hold numbers'],
    ['', 'empty'],
    ['2 ^ 3', '“^” is not known'],
  ])('refuses %s', (text, sentence) => {
    expect(() => readFormula(text)).toThrow(FormulaTrouble)
    expect(() => readFormula(text)).toThrow(sentence)
  })
})

/** Inputs anywhere in their ranges, whole where they are counted, bolts that are made, any way of each choice. */
const anyInputs = (recipe: Recipe): fc.Arbitrary<RecipeInputs> =>
  fc.record({
    ...Object.fromEntries(
      recipe.inputs.map(({ key, min, max, whole }) => [
        key,
        key === 'bolt'
          ? fc.constantFrom(...boltSizesMm.filter((size) => size >= min && size <= max))
          : whole
            ? fc.integer({ min, max })
            : fc.double({ min, max, noNaN: true }),
      ]),
    ),
    ...Object.fromEntries(
      recipe.choices.map(({ key, options }) => [
        key,
        fc.constantFrom(...options.map((option) => option.value)),
      ]),
    ),
  })

describe('every recipe of the book, at any dimensions', () => {
  it.each(recipeBook.map((recipe) => [recipe.key, recipe] as const))('%s', (_, recipe) => {
    let whole = 0
    fc.assert(
      fc.property(anyInputs(recipe), (inputs) => {
        const worked = expand(recipe, inputs)
        if (!worked.ok) {
          // Refused in a sentence: what is stocked or can be laid ends somewhere.
          expect(problemsOf(worked)[0]?.message).toMatch(/\w.*\.$/)
          return
        }
        whole++
        const keys = worked.value.steps.map((step) => step.key)
        expect(new Set(keys).size).toBe(keys.length)
        const isUnsaid = (words = 'undefined') => /[{}]|undefined|NaN/.test(words)
        const wrong = worked.value.steps.filter(
          ({ fields, materials }) =>
            !((fields.hoursLikely ?? NaN) >= 0) ||
            isUnsaid(fields.title) ||
            materials.some((one) => !(one.quantity > 0) || isUnsaid(one.what)),
        )
        expect(wrong).toEqual([])
      }),
      { numRuns: 60 },
    )
    expect(whole).toBeGreaterThan(0)
  })
})

describe('one value of a recipe', () => {
  it('is the same asked for alone as among all of them, and brings no more than it rests on', () => {
    let alone = 0
    for (const recipe of recipeBook) {
      const inputs = initialInputs(recipe)
      const whole = expand(recipe, inputs)
      if (!whole.ok) continue
      for (const value of whole.value.values) {
        const asked = recipeValues(recipe, inputs, new Set([value.key]))
        if (!asked.ok) throw new Error(`${recipe.key} ${value.key}`)
        expect(asked.value).toContainEqual(value)
        if (asked.value.length === 1) alone++
      }
    }
    expect(alone).toBeGreaterThan(0)
  })
})

describe('a recipe that cannot be worked out', () => {
  const said = (change: Partial<Recipe>) => recipeProblems({ ...plies, ...change })
  it('is told where and why', () => {
    expect(recipeProblems(plies)).toEqual([])
    expect(
      said({ values: [{ key: 'cloth', label: '', unit: 'm²', formula: 'wetOut(area)' }] })[0],
    ).toMatchObject({ field: 'values.0.formula', message: expect.stringContaining('“wetOut”') })
    expect(
      said({
        values: [
          { key: 'cloth', label: '', unit: 'm²', formula: 'spare * 2' },
          { key: 'spare', label: '', unit: 'm²', formula: 'cloth / 2' },
        ],
      })[0]?.message,
    ).toContain('loop: cloth, spare')
    const [grind] = plies.steps
    if (!grind) throw new Error('no step')
    expect(said({ steps: [{ ...grind, hours: 'length * 2' }] })[0]?.message).toContain('“length”')
    expect(said({ steps: [{ ...grind, title: 'Grind {what}' }] })[0]?.field).toBe('steps.0.title')
    expect(said({ steps: [grind, grind] })[0]?.message).toContain('twice')
  })
})

describe('dimensions that cannot be', () => {
  it.each<[RecipeInputs, string]>([
    [{ area: 0 }, 'Area must be 0.1 m² to 50 m²; 0 m² is not'],
    [{ area: -3 }, 'Area must be 0.1 m² to 50 m²'],
    [{ area: 1e9 }, 'Measure again'],
    [{ area: Number.NaN }, 'Area is missing'],
    [{ plies: 2.5 }, 'whole number'],
    [{ plies: 400 }, 'would be done 400 times; at most 60'],
  ])('%o', (inputs, sentence) => {
    expect(refusal(inputs)).toContain(sentence)
  })
})

/** A refit with the job made by the recipe, and ids that can be told apart. */
function made(): { rows: RefitRows; newId: () => string } {
  let ids = 0
  const newId = () => `id${ids++}`
  const frame = { title: 'Plies', order: 'b' }
  const { items } = jobFromRecipe('plies', initialInputs(plies), drafted({}), frame, newId)
  return { rows: supposing(emptyRefit(), items), newId }
}
const stepsOf = (rows: RefitRows) =>
  inOrder(rows.step)
    .filter((step) => step.state !== 'dropped')
    .map((step) => `${step.recipeStep} ${step.hoursLikely}`)
const stepAt = (rows: RefitRows, key: string) => {
  const step = rows.step.find((one) => one.recipeStep === key)
  if (!step) throw new Error(`no step ${key}`)
  return step
}
function edited<Row extends { readonly id: string; readonly version: number }>(
  rows: RefitRows,
  entity: 'step' | 'part',
  row: Row,
  patch: object,
): RefitRows {
  return applyRows(rows, [
    { entity, id: row.id, row: { ...row, ...patch, version: row.version + 1 } },
  ])
}
const worked = (
  rows: RefitRows,
  newId: () => string,
  inputs: RecipeInputs,
  how: 'keep' | 'drop',
) => {
  const [job] = rows.job
  if (!job) throw new Error('no job')
  const all = { ...initialInputs(plies), ...inputs }
  const outcome = rework(job, rows, all, drafted(inputs), how, newId)
  return { ...outcome, rows: supposing(rows, outcome.items) }
}

it('buys a mix as what it is mixed from, the resin under the key of the mix', () => {
  // A litre to bed in weighs 1176.7 g: 56.0 g of powder, and 1120.7 g at 100:33.
  const mix = { key: 'bed/1', what: 'Mix', unit: 'L', quantity: 1, pack: null, mix: 'bed' } as const
  expect(toBuy(mix).map(({ key, what, quantity, unit }) => [key, what, quantity, unit])).toEqual([
    ['bed/1', 'Epoxy resin', 0.843, 'kg'],
    ['bed/1h', 'Epoxy hardener', 0.278, 'kg'],
    ['bed/1f', 'Thickening powder', 0.056, 'kg'],
  ])
  // What it is mixed from rests on the same dimensions as the mix.
  const made = recipeBook.flatMap((recipe) =>
    recipe.steps.flatMap((step) =>
      (step.materials ?? []).flatMap((one, at) =>
        one.mix ? [{ recipe, key: `${step.key}/${at + 1}` }] : [],
      ),
    ),
  )
  expect(made.length).toBeGreaterThan(5)
  for (const { recipe, key } of made)
    expect([...restsOn(recipe, `${key}h`)]).toEqual([...restsOn(recipe, key)])
  expect([
    ...restsOn(recipeBook.find((one) => one.key === 'recore-above') ?? plies, 'bedCore/1f'),
  ]).not.toEqual([])
  expect(toBuy({ ...mix, mix: null })).toEqual([{ ...mix, mix: null }])
})

describe('working a job again', () => {
  it('makes it with steps in order and a part a ply', () => {
    const { rows } = made()
    expect(stepsOf(rows)).toEqual(['grind 1', 'ply.1 1', 'ply.2 1', 'ply.3 1', 'sand 1'])
    expect(rows.part.map((part) => [part.name, part.quantity, part.packSize])).toEqual(
      Array.from({ length: 3 }, () => ['Cloth', 2.2, 5]),
    )
  })
  it('moves what nobody touched, keeps what is done or edited, adds in place', () => {
    const { rows, newId } = made()
    const grind = stepAt(rows, 'grind')
    const ply = stepAt(rows, 'ply.1')
    const touched = edited(edited(rows, 'step', grind, { state: 'done' }), 'step', ply, {
      hoursLikely: 9,
    })
    const after = worked(touched, newId, { area: 4, plies: 4 }, 'keep')
    expect(stepsOf(after.rows)).toEqual([
      'grind 1',
      'ply.1 9',
      'ply.2 2',
      'ply.3 2',
      'ply.4 2',
      'sand 1',
    ])
    expect(after.kept.join(' ')).toContain('Grind: done, left as it was')
    expect(after.kept.join(' ')).toContain('Ply 1: hours as you set it')
    expect(after.rows.part.map((part) => part.quantity)).toEqual([4.4, 4.4, 4.4, 4.4])
    expect(after.rows.job[0]?.recipeInputs).toMatchObject({ area: 4, plies: 4 })
    // The same again changes nothing but the job's own line.
    const again = worked(after.rows, newId, { area: 4, plies: 4 }, 'keep')
    expect(again.items).toHaveLength(1)
  })
  it('takes a measure with who took it, works the steps again, and knows it only while it stands', () => {
    const { rows, newId } = made()
    const job = rows.job[0]!
    expect(knownInputs(plies, job).map((one) => one.source)).toEqual([null, null])
    const source = { how: 'measured', value: 1.4, by: 'ann', on: '2027-04-17' } as const
    const draftOf = (inputs: RecipeInputs) => {
      const made = expand(plies, inputs)
      if (!made.ok) throw new Error(made.message)
      return made.value
    }
    const { items } = withKnownInput(job, rows, 'area', source, draftOf, newId)
    const after = supposing(rows, items)
    expect(after.job[0]).toMatchObject({ recipeInputs: { area: 1.4, plies: 3 } })
    // 0.5 h a square metre to grind, 1.1 of cloth for each ply.
    expect(after.step.find((one) => one.recipeStep === 'grind')?.hoursLikely).toBe(0.7)
    expect(after.part.map((one) => one.quantity)).toEqual([1.54, 1.54, 1.54])
    expect(knownInputs(plies, after.job[0]!).map((one) => one.source)).toEqual([source, null])
    const other = { ...after.job[0]!, recipeInputs: { area: 2, plies: 3 } }
    expect(knownInputs(plies, other)[0]?.source).toBeNull()
  })
  it('lists what is only guessed of work that is to be done', () => {
    const rows = emptyRefit()
    add(rows, 'recipe', 'own', { name: 'Plies', body: plies, order: 'a' })
    const inputSources = {
      area: { how: 'measured', value: 2, by: null, on: '2027-04-17' },
    } as const
    for (const [id, more] of [
      ['open', {}],
      ['done', {}],
      ['dropped', { decision: 'dropped' as const }],
    ] as const) {
      const recipeInputs = { area: 2, plies: 3 }
      add(rows, 'job', id, {
        title: id,
        order: id,
        recipeKey: 'own',
        recipeInputs,
        inputSources,
        ...more,
      })
      add(rows, 'step', id, {
        jobId: id,
        title: id,
        order: id,
        state: id === 'done' ? 'done' : 'open',
      })
    }
    expect(toMeasure(rows).map((one) => [one.job.id, one.input.key, one.value])).toEqual([
      ['open', 'plies', 3],
    ])
  })
  it('there and back again is where it was', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.integer({ min: 0, max: 12 }),
        (area, count) => {
          const { rows, newId } = made()
          const there = worked(rows, newId, { area, plies: count }, 'keep')
          expect(there.rows.step).toHaveLength(count + 2)
          expect(there.rows.part).toHaveLength(count)
          const back = worked(there.rows, newId, {}, 'keep')
          expect(stepsOf(back.rows)).toEqual(stepsOf(rows))
          expect(back.rows.part.map((part) => part.quantity)).toEqual([2.2, 2.2, 2.2])
          expect(back.kept).toEqual([])
        },
      ),
      { numRuns: 50 },
    ))
  it('asks before a finished step goes, and leaves ordered parts alone', () => {
    const { rows, newId } = made()
    const ply = stepAt(rows, 'ply.3')
    const part = rows.part.find((one) => one.neededByStepId === stepAt(rows, 'ply.1').id)
    if (!part) throw new Error('no part')
    const touched = edited(edited(rows, 'step', ply, { state: 'done' }), 'part', part, {
      state: 'ordered',
    })
    const kept = worked(touched, newId, { area: 4, plies: 1 }, 'keep')
    expect(kept.asks.map((step) => step.title)).toEqual(['Ply 3'])
    expect(kept.removed).toBe(1)
    expect(stepsOf(kept.rows)).toEqual(['grind 2', 'ply.1 2', ' 1', 'sand 1'])
    expect(kept.kept.join(' ')).toContain('Cloth: ordered, 2.2 m²; now 4.4 m² would be needed')
    const dropped = worked(touched, newId, { area: 4, plies: 1 }, 'drop')
    expect(stepsOf(dropped.rows)).toEqual(['grind 2', 'ply.1 2', 'sand 1'])
    expect(dropped.rows.step.find((step) => step.id === ply.id)?.state).toBe('dropped')
  })
  it('drops rather than deletes a step that has hours', () => {
    const { rows, newId } = made()
    const ply = stepAt(rows, 'ply.2')
    const building = structuredClone(rows) as ReturnType<typeof emptyRefit>
    add(building, 'person', 'ida', { name: 'Ida', order: 'b' })
    add(building, 'hoursEntry', 'h', {
      stepId: ply.id,
      personId: 'ida',
      on: '2027-04-17',
      hours: 1,
    })
    const after = worked(building, newId, { plies: 1 }, 'keep')
    expect(after.rows.step.find((step) => step.id === ply.id)?.state).toBe('dropped')
    expect(after.rows.step.some((step) => step.recipeStep === 'ply.3')).toBe(false)
  })
})
