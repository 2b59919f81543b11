/** What holds of every sum of the bench, and of what is made of its answers. */
import { describe, expect, it } from 'vitest'
import { draftSheet } from '../asbuilt/draft'
import { draftFacts, emptyRefit, add, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { answerOf, sumNamed } from '../testing/bench'
import { expand } from '../recipes/expand'
import { recipeBook } from '../recipes/book'
import { initialInputs } from '../recipes/ofBoat'
import type { ChangeItem } from '../model/changes'
import type { RefitRows } from '../model/refit'
import type { UnitSystem } from '../units/length'
import type { Ask, Cell, LineValues, Values } from './ask'
import { benchBoard } from './board'
import { fittingValues, initialValues, problemsIn } from './check'
import { doubtOf } from './doubt'
import { findSums } from './find'
import { fitDrawing } from './fit'
import { pockets } from './pockets'
import { puttingItems } from './put'
import { plainTools } from './sum'
import type { Answer, Sum } from './sum'
import { sums } from './sums'
import {
  changedInputs,
  changedSince,
  filledWith,
  keptFor,
  valueAt,
  wantedSums,
  withPaths,
} from './wanted'
import { workSum } from './workSum'

const worked = (sum: Sum, values: Values, units: UnitSystem = 'metric'): Answer | null => {
  const result = workSum(sum, values, plainTools(units))
  return result.ok ? result.value : null
}
const everyText = (value: unknown): string[] =>
  typeof value === 'string'
    ? [value]
    : typeof value === 'number'
      ? [Number.isFinite(value) ? '' : `number ${value}`]
      : Array.isArray(value)
        ? value.flatMap(everyText)
        : value !== null && typeof value === 'object'
          ? Object.values(value).flatMap(everyText)
          : []

describe.each(sums.map((sum) => [sum.key, sum] as const))('%s', (_, sum) => {
  const first = initialValues(sum.asks)

  it('works with what it begins with, in every unit, and says all of it in words', () => {
    for (const units of ['metric', 'us', 'mixed'] as const) {
      const answer = worked(sum, first, units)
      expect(answer).not.toBeNull()
      if (!answer) continue
      const wrong = everyText(answer).filter((text) =>
        /NaN|undefined|Infinity|null|number -?\w/.test(text),
      )
      expect(wrong).toEqual([])
      expect(answer.says.length).toBeLessThan(60)
      expect(answer.working.length).toBeGreaterThan(0)
      expect(answer.distrust.length).toBeGreaterThan(0)
      const keys = answer.puts.map((one) => `${one.is} ${one.key}`)
      expect(new Set(keys).size).toBe(keys.length)
      expect(keys.every((key) => /^[A-Za-z0-9 .-]{1,60}$/.test(key))).toBe(true)
      expect(answer.puts.every((one) => one.is !== 'part' || one.quantity > 0)).toBe(true)
    }
  })
  it('is drawn inside its sheet, wide and on a phone', () => {
    const drawing = worked(sum, first)?.drawing
    expect(drawing).toBeTruthy()
    if (!drawing) return
    for (const width of [340, 620, 1200]) {
      const fitted = fitDrawing(drawing, width, 420)
      expect(fitted.height).toBeLessThan(460)
      expect(fitted.width).toBeLessThan(width * 1.35)
      for (const word of fitted.words) {
        expect(word.y).toBeGreaterThan(0)
        expect(word.y).toBeLessThan(fitted.height)
        expect(word.x).toBeGreaterThanOrEqual(0)
        expect(word.x).toBeLessThanOrEqual(fitted.width)
      }
      expect(overlapping(fitted.words)).toEqual([])
    }
  })
  it('refuses what is out of range at its field', () => {
    for (const ask of sum.asks) {
      if (ask.is !== 'amount' && ask.is !== 'maybe') continue
      for (const value of [ask.min - 1, ask.max * 2 + 1, Number.NaN]) {
        const fields = problemsIn(sum.asks, { ...first, [ask.key]: value }, 'metric').map(
          (one) => one.field,
        )
        expect(fields).toContain(ask.key)
      }
      const missing = problemsIn(sum.asks, { ...first, [ask.key]: null }, 'metric')
      expect(missing.length).toBe(ask.is === 'maybe' ? 0 : 1)
    }
  })
  it('hangs on every figure that it asks for', () => {
    // Some matter only with another choice, or beside another that may be left out: each is tried.
    const picks = sum.asks.filter((one) => one.is === 'pick')
    const filled = withMaybes(sum.asks, first)
    const settings: Values[] = [
      first,
      filled,
      withLinePicks(sum.asks, first),
      { ...first, ...fittingValues(sum.asks, alsoTried[sum.key]) },
      ...picks.flatMap((one) =>
        one.options.map((option) => ({ ...filled, [one.key]: option.value })),
      ),
      {
        ...filled,
        ...Object.fromEntries(picks.map((one) => [one.key, one.options.at(-1)?.value ?? ''])),
      },
    ]
    const asText = (values: Values) => JSON.stringify(worked(sum, values))
    const matters = ({ path, cell }: ReturnType<typeof numbersIn>[number]): boolean =>
      settings.some((values) => {
        const base = asText(values)
        return triedOf(cell).some((value) => {
          const text = asText(withPaths(sum.asks, values, { [path]: value }))
          return text !== 'null' && text !== base
        })
      })
    const used = new Map<string, boolean>()
    for (const one of numbersIn(sum.asks, filled)) {
      const name = one.path.replace(/\.\d+\./, '.')
      if (used.get(name) !== true) used.set(name, matters(one))
    }
    expect([...used].filter(([, is]) => !is).map(([name]) => name)).toEqual([])
  })
})

/** Words that stand over each other, by the narrow face: 0.4 of its height a letter, no accents above, no tails below. */
function overlapping(words: ReturnType<typeof fitDrawing>['words']): string[] {
  const boxes = words.map(({ x, y, text, px, anchor }) => {
    const wide = text.length * px * 0.4
    const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
    return { text, left, right: left + wide - 1, top: y - px * 0.7, bottom: y }
  })
  return boxes.flatMap((a, at) =>
    boxes
      .slice(at + 1)
      .filter((b) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom)
      .map((b) => `${a.text} over ${b.text}`),
  )
}

/** Figures that matter with others alone: a seam, where a piece is longer than the sheet. */
const alsoTried: Readonly<Record<string, unknown>> = {
  'from-a-sheet': { pieces: [{ name: 'top', long: 2600, wide: 600, join: 'two' }] },
}

type Numeric = Extract<Cell, { is: 'amount' | 'maybe' }>
const isNumeric = (cell: Ask): cell is Numeric => cell.is === 'amount' || cell.is === 'maybe'

function triedOf({ min, max, initial, whole }: Numeric): number[] {
  const from = Number(initial ?? min)
  const spread = Array.from({ length: 11 }, (_, at) => min + ((max - min) * at) / 10)
  const tried = [...spread, from * 0.5, from * 0.9, from * 1.2, from * 1.6 + 1]
  return tried
    .filter((one) => one >= min && one <= max)
    .map((one) => (whole ? Math.round(one) : one))
}

/** What may be left out, given. */
function withMaybes(asks: readonly Ask[], values: Values): Values {
  const some = ({ min, max }: Numeric) => Math.min(max, Math.max(min, 50))
  return Object.fromEntries(
    asks.map((ask) => [
      ask.key,
      ask.is === 'maybe'
        ? some(ask as Numeric)
        : ask.is === 'lines'
          ? (values[ask.key] as readonly LineValues[]).map((line, at) => ({
              ...line,
              // What is pinned in one place is one piece.
              ...Object.fromEntries(
                ask.of.flatMap((cell) =>
                  cell.is === 'maybe' && at === 0 ? [[cell.key, some(cell as Numeric)]] : [],
                ),
              ),
            }))
          : (values[ask.key] ?? null),
    ]),
  )
}

/** Every choice of a line as its last word has it. */
const withLinePicks = (asks: readonly Ask[], values: Values): Values =>
  Object.fromEntries(
    asks.map((ask) => [
      ask.key,
      ask.is === 'lines'
        ? (values[ask.key] as readonly LineValues[]).map((line) => ({
            ...line,
            ...Object.fromEntries(
              ask.of.flatMap((cell) =>
                cell.is === 'pick' ? [[cell.key, cell.options.at(-1)?.value ?? '']] : [],
              ),
            ),
          }))
        : (values[ask.key] ?? null),
    ]),
  )

const numbersIn = (asks: readonly Ask[], values: Values): { path: string; cell: Numeric }[] =>
  asks.flatMap((ask) => {
    if (isNumeric(ask)) return [{ path: ask.key, cell: ask }]
    if (ask.is !== 'lines') return []
    const list = values[ask.key] as readonly LineValues[]
    return list.flatMap((_, index) =>
      ask.of.flatMap((cell) =>
        isNumeric(cell) ? [{ path: `${ask.key}.${index}.${cell.key}`, cell }] : [],
      ),
    )
  })

describe('the roll of tools', () => {
  it('holds every sum once, and each has an address of its own', () => {
    expect(pockets.flatMap((one) => one.sums.map((sum) => sum.key)).sort()).toEqual(
      sums.map((one) => one.key).sort(),
    )
    expect(new Set(sums.map((one) => one.key)).size).toBe(sums.length)
    expect(pockets.every((one) => one.sums.length > 0)).toBe(true)
  })
  it('is found by words of the yard, with size and stuff filled in', () => {
    const [hole] = findSums('M12 holes in balsa')
    expect(hole?.sum.key).toBe('sleeved-holes')
    expect(hole?.filled).toEqual({ bolt: '12' })
    expect(findSums('windlass cable')[0]?.sum.key).toBe('cable-and-fuse')
    expect(findSums('antifouling')[0]?.sum.key).toBe('antifoul-area')
    expect(findSums('will teak bend')[0]?.sum.key).toBe('will-it-bend')
    // A word with a slip in it.
    expect(findSums('galvnic corosion')[0]?.sum.key).toBe('metals-that-meet')
    expect(
      findSums('foam under a plate').find((one) => one.sum.key === 'load-and-plate')?.filled,
    ).toEqual({ under: 'foam' })
    expect(findSums('  ')).toEqual([])
  })
})

describe('recipes ask for sums', () => {
  it('by names that they have, at steps that they have', () => {
    for (const sum of sums)
      for (const by of sum.wantedBy) {
        const recipe = recipeBook.find((one) => one.key === by.recipe)
        expect(recipe, `${sum.key} wants ${by.recipe}`).toBeTruthy()
        if (!recipe) continue
        const names = new Set(
          [...recipe.inputs, ...recipe.choices, ...recipe.values].map((one) => one.key),
        )
        const steps = new Set(recipe.steps.map((one) => one.key))
        expect(
          by.steps.filter((one) => !steps.has(one)),
          `${sum.key} ${by.recipe}`,
        ).toEqual([])
        const asked = Object.values(by.fill).flatMap((from) =>
          typeof from !== 'string' ? [] : (by.adds?.[from] ?? [from]),
        )
        expect(
          asked.filter((one) => !names.has(one)),
          `${sum.key} ${by.recipe}`,
        ).toEqual([])
        for (const path of Object.keys(by.fill))
          expect(
            valueAt(withPaths(sum.asks, initialValues(sum.asks), { [path]: 1 }), path),
            path,
          ).not.toBeUndefined()
      }
  })
})

/** A job made of a recipe, as the page makes it. */
function jobOf(
  rows: Building,
  recipeKey: string,
  inputs: Record<string, number | string> = {},
  id = recipeKey,
) {
  const recipe = recipeBook.find((one) => one.key === recipeKey)
  if (!recipe) throw new Error(`no recipe ${recipeKey}`)
  const recipeInputs = { ...initialInputs(recipe), ...inputs }
  job(rows, id, { recipeKey, recipeInputs })
  const draft = expand(recipe, recipeInputs)
  if (!draft.ok) throw new Error(draft.message)
  for (const { key, fields } of draft.value.steps)
    step(rows, id, `${id} ${key}`, { ...fields, recipeStep: key, recipeMade: fields as never })
}
let made = 0
const newId = () => `new ${++made}`
const facts = { startOf: () => null, holds: () => null, tools: plainTools('metric') }

describe('what jobs want', () => {
  it('is filled with what they know, until it is kept', () => {
    const rows = emptyRefit()
    jobOf(rows, 'sleeve-and-bed', { holes: 6, core: 15, bolt: 10 })
    const want = wantedSums(rows).find((one) => one.sum.key === 'sleeved-holes')
    expect(want?.values).toMatchObject({ holes: 6, core: 15, bolt: '10' })
    // The stack takes skin and core as one deck.
    const bolt = wantedSums(rows).find((one) => one.sum.key === 'bolt-in-a-stack')
    expect(valueAt(bolt?.values ?? {}, 'layers.2.mm')).toBe(23)
    // Every step done, nothing is wanted any more.
    for (const one of rows.step) (one as { state: string }).state = 'done'
    expect(wantedSums(rows)).toEqual([])
  })
  it('of every recipe can be worked from what the recipe begins with', () => {
    for (const { key } of recipeBook) {
      const rows = emptyRefit()
      jobOf(rows, key)
      for (const want of wantedSums(rows)) {
        const result = workSum(want.sum, want.values, plainTools('metric'))
        expect(result.ok ? '' : `${key} ${want.sum.key}: ${result.message}`).toBe('')
      }
    }
  })
  it('of a job written by hand has no answer: it says none of the figures', () => {
    const rows = emptyRefit()
    job(rows, 'bulkhead')
    step(rows, 'bulkhead', 'tabs', { operation: 'laminate', title: 'Tabs' })
    const [one, ...others] = benchBoard(rows, facts)
    expect([one?.want.sum.key, one?.answer, one?.guesses]).toEqual(['pots-and-cups', null, []])
    expect(others).toEqual([])
  })
  it('lies soonest first, and says what is only guessed', () => {
    const rows = emptyRefit()
    jobOf(rows, 'sleeve-and-bed')
    const starts: Record<string, number> = {
      'sleeve-and-bed overDrill': 5,
      'sleeve-and-bed dryFit': 9,
    }
    const board = benchBoard(rows, {
      ...facts,
      startOf: (id) => starts[id] ?? null,
      holds: (id) => (id.endsWith('dryFit') ? 'Launch' : null),
    })
    expect(board.map((one) => one.at)).toEqual(
      [...board.map((one) => one.at)].sort((a, b) => (a ?? Infinity) - (b ?? Infinity)),
    )
    const sleeve = board.find((one) => one.want.sum.key === 'sleeved-holes')
    expect(sleeve?.guesses).toContain('Core')
    expect(board.find((one) => one.holds === 'Launch')?.want.sum.key).toBe('bolt-in-a-stack')
  })
})

describe('an answer that is kept', () => {
  const apply = (rows: Building, items: readonly ChangeItem[]) => {
    for (const item of items) {
      if (item.op === 'create') add(rows, item.entity, item.id, item.patch as never)
      else if (item.op === 'patch') {
        const list = rows[item.entity] as { id: string }[]
        const at = list.findIndex((one) => one.id === item.id)
        list[at] = { ...(list[at] as { id: string }), ...(item.patch as object) }
      }
    }
  }
  const putting = (
    rows: Building,
    key: string,
    given: Values,
    puts: 'all' | 'none',
    jobId: string | null,
  ) => {
    const sum = sumNamed(key)
    const answer = answerOf(key, given)
    const want = wantedSums(rows).find((one) => one.sum.key === key && one.job.id === jobId) ?? null
    const own = rows.job.find((one) => one.id === jobId) ?? null
    return puttingItems(
      {
        sum,
        answer,
        values: { ...initialValues(sum.asks), ...fittingValues(sum.asks, given) },
        known: {},
        filled: want?.filled ?? {},
        job: own,
        step: want?.step ?? null,
        before: jobId === null ? null : keptFor(rows, key, jobId),
        puts: puts === 'all' ? answer.puts : [],
        note: '',
        at: 1000,
        personId: null,
      },
      rows as RefitRows,
      newId,
    )
  }
  it('puts parts, a step, lines to bring; put again it moves them and makes no second ones', () => {
    const rows = emptyRefit()
    job(rows, 'j')
    step(rows, 'j', 's')
    apply(rows, putting(rows, 'sleeved-holes', { holes: 4 }, 'all', 'j').items)
    expect(rows.part.map((one) => one.name)).toEqual([
      'Epoxy resin',
      'Epoxy hardener',
      'Thickening powder',
    ])
    expect(rows.step.at(-1)).toMatchObject({
      operation: 'fill',
      unitCount: 4,
      waitKind: 'chem',
      waitHours: 16,
    })
    const resin = rows.part[0]?.quantity ?? 0
    apply(rows, putting(rows, 'sleeved-holes', { holes: 8 }, 'all', 'j').items)
    expect(rows.part).toHaveLength(3)
    expect(rows.step).toHaveLength(2)
    expect(rows.keptSum).toHaveLength(1)
    // Thick mix, and with it resin, by the hole.
    expect(rows.part[0]?.quantity).toBeCloseTo(2 * resin, 2)
  })
  it('leaves what was ordered as it is, and asks for its own beside it', () => {
    const rows = emptyRefit()
    job(rows, 'j')
    step(rows, 'j', 's')
    apply(rows, putting(rows, 'fastenings-for-a-list', {}, 'all', 'j').items)
    const ordered = rows.part[0]
    if (ordered) (ordered as { state: string }).state = 'ordered'
    const before = ordered?.quantity
    apply(
      rows,
      putting(
        rows,
        'fastenings-for-a-list',
        { fittings: [{ name: 'c', many: 40, each: 4, size: 'M8 × 50', pack: 4 }] },
        'all',
        'j',
      ).items,
    )
    expect(rows.part.find((one) => one.id === ordered?.id)?.quantity).toBe(before)
    expect(rows.part.filter((one) => one.name === 'Fastening M8 × 50')).toHaveLength(2)
  })
  it('writes its lines on the as-built sheet: kept until there is one, at once when there is', () => {
    const rows = emptyRefit()
    job(rows, 'j')
    step(rows, 'j', 's', { state: 'done' })
    apply(rows, putting(rows, 'bolt-in-a-stack', {}, 'all', 'j').items)
    expect(rows.asBuiltLine).toEqual([])
    const sheet = draftSheet(rows.job[0] as never, rows as RefitRows, draftFacts(newId))
    const lines = sheet.items.filter((one) => one.op === 'create' && one.entity === 'asBuiltLine')
    expect(lines.map((one) => (one.op === 'create' ? one.patch.value : ''))).toContain(
      '4 × M8 × 50, through 33.5 mm',
    )
    apply(rows, sheet.items)
    apply(rows, putting(rows, 'bolt-in-a-stack', { bolt: '10' }, 'all', 'j').items)
    expect(rows.asBuiltLine.some((one) => one.value.startsWith('4 × M10'))).toBe(true)
  })
  it('takes an offcut off the shelf and lays the rest on it', () => {
    const rows = emptyRefit()
    add(rows, 'stock', 'o', {
      name: 'lining',
      isOffcut: true,
      longMm: 700,
      wideMm: 700,
      order: 'a',
    })
    const stock = [{ name: 'lining', long: 700, wide: 700, lot: 'o' }]
    const pieces = [
      { name: 'lid', many: 1, long: 400, wide: 300, turn: 'keep', holeLong: null, holeWide: null },
    ]
    apply(rows, putting(rows, 'from-a-roll', { stock, pieces, trim: 0 }, 'all', null).items)
    expect(rows.stock.find((one) => one.id === 'o')?.quantity).toBe(0)
    // 700 × 700 less 400 × 300: 700 × 400 of it in one piece.
    expect(rows.stock.find((one) => one.id !== 'o')).toMatchObject({
      isOffcut: true,
      longMm: 700,
      wideMm: 400,
    })
  })
  it('of a cutting plan, put again, cuts up no second lot and moves the piece that is left', () => {
    const rows = emptyRefit()
    job(rows, 'j')
    add(rows, 'stock', 'o', {
      name: 'lining',
      quantity: 3,
      isOffcut: true,
      longMm: 700,
      wideMm: 700,
      order: 'a',
    })
    const stock = [{ name: 'lining', long: 700, wide: 700, lot: 'o' }]
    const one = { name: 'lid', many: 1, turn: 'keep', holeLong: null, holeWide: null }
    const cut = (long: number) =>
      apply(
        rows,
        putting(
          rows,
          'from-a-roll',
          { stock, pieces: [{ ...one, long, wide: 300 }], trim: 0 },
          'all',
          'j',
        ).items,
      )
    cut(400)
    cut(500)
    expect(rows.stock.find((lot) => lot.id === 'o')?.quantity).toBe(2)
    expect(rows.stock.filter((lot) => lot.id !== 'o')).toHaveLength(1)
    // 700 × 700 less 500 × 300.
    expect(rows.stock.find((lot) => lot.id !== 'o')).toMatchObject({ longMm: 700, wideMm: 400 })
  })
  it('is worked again once the job says otherwise', () => {
    const rows = emptyRefit()
    jobOf(rows, 'sleeve-and-bed')
    apply(rows, putting(rows, 'sleeved-holes', {}, 'none', 'sleeve-and-bed').items)
    const kept = () => benchBoard(rows, facts).find((one) => one.want.sum.key === 'sleeved-holes')
    expect(kept()?.isKept).toBe(true)
    const own = rows.job[0]
    if (own) rows.job[0] = { ...own, recipeInputs: { ...own.recipeInputs, core: 25 } }
    expect(kept()?.isKept).toBe(false)
    expect(kept()?.changed).toEqual(['core'])
    expect(changedSince(rows.keptSum[0] as never, null)).toEqual([])
  })
  it('gives the job its dimensions: those that differ, and those that are measured now', () => {
    const rows = emptyRefit()
    jobOf(rows, 'sleeve-and-bed')
    const want = wantedSums(rows).find((one) => one.sum.key === 'sleeved-holes')
    if (!want) throw new Error('nothing is wanted')
    expect(changedInputs(want, want.values, {})).toEqual([])
    expect(wantedSums(rows, 'another')).toEqual([])
    expect(wantedSums(rows, 'sleeve-and-bed').length).toBe(wantedSums(rows).length)
    const values = { ...want.values, core: 14 }
    expect(changedInputs(want, values, { outer: true })).toMatchObject([
      { key: 'skin', value: 8, isMeasured: true },
      { key: 'core', was: 12, value: 14, isMeasured: false },
    ])
    // What the job will say then; what it says as a word stays one.
    const then = filledWith(want, [
      ...changedInputs(want, values, {}),
      { key: 'bolt', label: '', unit: 'mm', was: 8, value: 10, isMeasured: true },
    ])
    expect(then).toEqual({ ...want.filled, core: 14, bolt: '10' })
  })
})

describe('what is not asked for', () => {
  it('keeps no answer back, whatever was typed there before', () => {
    const sum = sumNamed('foam-and-vents')
    const given = { ...initialValues(sum.asks), by: 'litres', areaM2: null, deep: -4 }
    expect(worked(sum, given)?.says).toBe('1.15 L, one pour')
    expect(worked(sum, { ...given, by: 'sizes' })).toBeNull()
  })
})

describe('what comes from outside', () => {
  it('is taken where it has the shape of a field, and left out where not', () => {
    const { asks } = sumNamed('bolt-in-a-stack')
    // A choice that a file has as a number is the word it stands for.
    expect(
      fittingValues(asks, { bolt: 12, bolts: 6, layers: 'many', odd: 1, head: ['on'] }),
    ).toEqual({
      bolt: '12',
      bolts: 6,
    })
    const [line] = fittingValues(asks, { layers: [{ what: 'log', mm: { a: 1 } }, 7] })
      .layers as LineValues[]
    expect(line).toMatchObject({ what: 'log', mm: 10, of: 'glass' })
    expect(fittingValues(asks, 'x')).toEqual({})
    expect(fittingValues(asks, null)).toEqual({})
  })
})

describe('guesses', () => {
  it('thin and thick: the same, or the one that decides is named', () => {
    const sum = sumNamed('bolt-in-a-stack')
    const doubt = (values: Values, known: Record<string, true>) => {
      const answer = worked(sum, values)
      return answer && doubtOf(sum, values, known, plainTools('metric'), answer)
    }
    const first = initialValues(sum.asks)
    // 47.2 of 50: the deck's fifth, 4 mm, makes it 51.2 or 43.2; the others by themselves do not.
    const guessed = doubt(first, {})
    expect(guessed?.holds).toBe(false)
    expect(guessed?.decides).toEqual(['deck'])
    expect([guessed?.thin, guessed?.thick]).toEqual(['M8 × 45', 'M8 × 55'])
    const known = { 'layers.2.mm': true, 'layers.0.mm': true, 'layers.3.mm': true } as const
    expect(doubt(first, known)?.holds).toBe(true)
    expect(doubt(first, { ...known, 'layers.1.mm': true })).toBeNull()
  })
})
