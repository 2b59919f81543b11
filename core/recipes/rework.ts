/**
 * A job worked again by its recipe after a dimension changed: what was finished or edited by hand stays,
 * what the recipe gave moves to what it gives now, what it no longer has goes.
 */
import type { ChangeItem } from '../model/changes'
import type { Job, Step } from '../model/entities'
import { keyBetween } from '../model/order'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { deletion, hasHours, patchOf, stepRemoval } from '../model/removal'
import { isStillToBuy } from '../model/partState'
import type { Draft, DraftStep } from './expand'
import { partCreation, partFields, stepCreation } from './make'
import type { RecipeInputs } from './recipe'
import { toBuy } from './toBuy'

export interface Rework {
  readonly items: readonly ChangeItem[]
  /** Sentences about what was kept though the recipe says otherwise. */
  readonly kept: readonly string[]
  /** Steps finished or under way that the recipe no longer has: the person is asked. */
  readonly asks: readonly Step[]
  readonly changed: number
  readonly added: number
  readonly removed: number
}

type Fields = Readonly<Record<string, unknown>>

/** Fields to move from what the recipe made to what it makes now; edited ones are named and left. */
function moved(current: Fields, made: Fields, next: Fields): { patch: Fields; edited: string[] } {
  const patch: Record<string, unknown> = {}
  const edited: string[] = []
  for (const [name, value] of Object.entries(next)) {
    if (current[name] === value) continue
    if (name in made && current[name] !== made[name]) edited.push(name)
    else patch[name] = value
  }
  return { patch, edited }
}

const same = (a: Fields, b: Fields): boolean =>
  Object.keys({ ...a, ...b }).every((name) => a[name] === b[name])

const wordOf: Readonly<Record<string, string>> = {
  hoursLikely: 'hours',
  title: 'name',
  waitHours: 'wait',
  crewMin: 'people',
  quantity: 'amount',
}
const named = (fields: readonly string[]): string =>
  [...new Set(fields.map((name) => wordOf[name] ?? 'other values'))].join(', ')

/** The change list, with what it keeps and what it has to ask. `finished`: what to do with the asked ones. */
export function rework(
  job: Job,
  rows: RefitRows,
  inputs: RecipeInputs,
  draft: Draft,
  finished: 'keep' | 'drop',
  newId: () => string,
): Rework {
  const steps = inOrder(rows.step.filter((step) => step.jobId === job.id))
  const wanted = new Map(draft.steps.map((step) => [step.key, step]))
  const gone = steps.filter((step) => step.recipeStep !== '' && !wanted.has(step.recipeStep))
  const asks = gone.filter((step) => step.state === 'done' || step.state === 'doing')
  const kept: string[] = []
  const items: ChangeItem[] = [patchOf('job', job, { recipeInputs: inputs })]
  const counts = { changed: 0, added: 0, removed: gone.length - asks.length }
  for (const [index, draftStep] of draft.steps.entries()) {
    const step = steps.find((one) => one.recipeStep === draftStep.key)
    if (!step) {
      counts.added++
      const order = orderFor(index, draft, steps, items)
      items.push(...stepCreation(draftStep, job.id, order, newId))
    } else if (step.state === 'done') {
      if (!same(pick(step, draftStep.fields), draftStep.fields))
        kept.push(`${step.title}: done, left as it was.`)
    } else {
      const before = items.length
      items.push(...reworkedStep(step, draftStep, kept))
      items.push(...reworkedParts(step, job, draftStep, rows, kept, newId))
      if (items.length > before) counts.changed++
    }
  }
  for (const step of gone) items.push(...partingWith(step, rows, asks.includes(step), finished))
  return { items, kept, asks, ...counts }
}

const pick = (row: object, like: object): Fields =>
  Object.fromEntries(Object.keys(like).map((name) => [name, (row as Fields)[name]]))

function reworkedStep(step: Step, draft: DraftStep, kept: string[]): ChangeItem[] {
  const { patch, edited } = moved(step as unknown as Fields, step.recipeMade, draft.fields)
  if (edited.length > 0) kept.push(`${step.title}: ${named(edited)} as you set it.`)
  if (Object.keys(patch).length === 0 && same(step.recipeMade, draft.fields)) return []
  return [patchOf('step', step, { ...patch, recipeMade: draft.fields })]
}

function reworkedParts(
  step: Step,
  job: Job,
  draft: DraftStep,
  rows: RefitRows,
  kept: string[],
  newId: () => string,
): ChangeItem[] {
  const parts = rows.part.filter((part) => part.jobId === job.id && part.recipePart !== '')
  const mine = parts.filter((part) => part.recipePart.startsWith(`${draft.key}/`))
  const materials = draft.materials.flatMap(toBuy)
  const wanted = new Set(materials.map((one) => one.key))
  const items = materials.flatMap((material): ChangeItem[] => {
    const part = mine.find((one) => one.recipePart === material.key)
    if (!part) return [partCreation(material, job.id, step.id, newId)]
    const fields = partFields(material)
    const { patch, edited } = moved(part as unknown as Fields, part.recipeMade, fields)
    if (!isStillToBuy(part)) {
      if (Object.keys(patch).length > 0)
        kept.push(
          `${part.name}: ${part.state}, ${part.quantity} ${part.unit}; now ${material.quantity} ${material.unit} would be needed.`,
        )
      return []
    }
    if (edited.length > 0) kept.push(`${part.name}: ${named(edited)} as you set it.`)
    return Object.keys(patch).length === 0 && same(part.recipeMade, fields)
      ? []
      : [patchOf('part', part, { ...patch, recipeMade: fields })]
  })
  for (const part of mine.filter((one) => !wanted.has(one.recipePart))) {
    if (isStillToBuy(part)) items.push(deletion('part', part))
    else kept.push(`${part.name}: ${part.state}, though the recipe no longer asks for it.`)
  }
  return items
}

/** Takes an open step away, lets a finished one stay as hand-written or be dropped. */
function partingWith(
  step: Step,
  rows: RefitRows,
  asked: boolean,
  finished: 'keep' | 'drop',
): ChangeItem[] {
  if (asked && finished === 'keep')
    return [patchOf('step', step, { recipeStep: '', recipeMade: {} })]
  const parts = rows.part.filter(
    (part) => part.neededByStepId === step.id && part.recipePart !== '',
  )
  const open = parts.filter(isStillToBuy)
  if (asked || hasHours(rows, step.id))
    return [
      patchOf('step', step, { state: 'dropped', recipeStep: '', recipeMade: {} }),
      ...open.map((part) => deletion('part', part)),
    ]
  const gone = new Set(open.map((part) => part.id))
  return [
    ...open.map((part) => deletion('part', part)),
    ...stepRemoval(rows, step).filter((item) => !(item.entity === 'part' && gone.has(item.id))),
  ]
}

/** A place for a new step: after the recipe step before it that is there, before what follows that one. */
function orderFor(
  index: number,
  draft: Draft,
  steps: readonly Step[],
  items: readonly ChangeItem[],
): string {
  const made = new Map<string, string>()
  for (const step of steps) if (step.recipeStep !== '') made.set(step.recipeStep, step.order)
  const taken = byId(steps)
  const orders = steps.map((step) => step.order)
  for (const item of items)
    if (item.op === 'create' && item.entity === 'step' && !taken.has(item.id)) {
      made.set(String(item.patch.recipeStep), String(item.patch.order))
      orders.push(String(item.patch.order))
    }
  const before = draft.steps
    .slice(0, index)
    .reverse()
    .find((step) => made.has(step.key))
  const after = before ? (made.get(before.key) as string) : null
  const next = orders.sort().find((order) => after === null || order > after) ?? null
  return keyBetween(after, next)
}
