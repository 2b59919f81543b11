/** Small helpers for writing a made-up refit down: readable ids, dates that may be shifted by weeks. */
import { problemsOf } from '../core/result'
import type { Building } from '#core/testing/build'
import { add } from '#core/testing/build'
import { keysAfter } from '#core/model/order'
import type { Entities, EntityName } from '#core/model/entities'
import type { PatchOf } from '#core/model/field'
import type { Operation } from '#core/model/words'
import { recipeBook } from '#core/recipes/book'
import { expand } from '#core/recipes/expand'
import { partFields } from '#core/recipes/make'
import { toBuy } from '#core/recipes/toBuy'
import { initialInputs } from '#core/recipes/ofBoat'
import type { RecipeInputs } from '#core/recipes/recipe'
import { addDays, dayNumber, minutesOf } from '#core/time/civil'
import type { ZoneClock } from '#core/time/zone'

export type StepMore = Partial<PatchOf<Entities['step']>> & {
  /** Date and time it was finished: '2027-04-11 15:30'. */
  readonly done?: string
  /** Lines to bring: 'what | amount | where | kind'. */
  readonly bring?: readonly string[]
}
export type StepLine = readonly [Operation, string, number, StepMore?]
type JobMore = Partial<PatchOf<Entities['job']>> & {
  /** Jobs before it: 'mast', 'mast#2' for its second step, 'mast>3' for the third of this one. */
  readonly after?: readonly string[]
}

/** Writes rows of one refit, every date moved by whole weeks. */
export class Writer {
  private readonly jobOrders = keysAfter(null, 400)
  private jobs = 0

  constructor(
    readonly rows: Building,
    readonly clock: ZoneClock,
    private readonly weeks: number,
  ) {}

  /** A date of the scenario, shifted. */
  date(on: string): string {
    return addDays(on, this.weeks * 7)
  }

  /** The instant of a local '2027-04-17 08:30' of the scenario, shifted. */
  at(when: string): number {
    const [on, time] = when.split(' ')
    return this.clock.at(dayNumber(this.date(on as string)), minutesOf(time ?? '12:00'))
  }

  add<Name extends EntityName>(entity: Name, id: string, given: PatchOf<Entities[Name]>) {
    return add(this.rows, entity, id, given)
  }

  /** A job with its steps in order; ids are the slug and a number. */
  job(slug: string, title: string, more: JobMore, steps: readonly StepLine[]): void {
    const { after = [], ...given } = more
    const order = this.jobOrders[this.jobs++] as string
    this.add('job', slug, { title, order, ...given })
    for (const written of after) {
      const [, before = '', ends, begins] = /^([\w-]+?)(?:#(\d+))?(?:>(\d+))?$/.exec(written) ?? []
      this.add('link', `${before}--${slug}`, {
        fromJobId: before,
        toJobId: slug,
        fromStepId: ends ? `${before}-${ends}` : null,
        toStepId: begins ? `${slug}-${begins}` : null,
      })
    }
    const orders = keysAfter(null, steps.length)
    steps.forEach(([operation, name, hoursLikely, step = {}], index) => {
      const { done, bring = [], ...facts } = step
      const id = `${slug}-${index + 1}`
      this.add('step', id, {
        jobId: slug,
        title: name,
        operation,
        hoursLikely,
        order: orders[index] as string,
        state: done ? 'done' : 'open',
        doneAt: done ? this.at(done) : null,
        ...facts,
      })
      const bringOrders = keysAfter(null, bring.length)
      bring.forEach((line, at) => {
        const [what, amount, where, kind] = line.split('|').map((part) => part.trim())
        this.add('bringLine', `${id}-b${at}`, {
          stepId: id,
          what: what as string,
          amount: amount ?? '',
          at: (where || 'shed') as 'shed',
          kind: (kind || 'consumable') as 'tool',
          order: bringOrders[at] as string,
        })
      })
    })
  }

  /**
   * A job written by hand that follows a recipe of the book: its dimensions, those that somebody measured, and the
   * recipe's name of each step.
   */
  follows(
    slug: string,
    recipeKey: string,
    given: RecipeInputs,
    measured: { readonly keys: readonly string[]; readonly by: string; readonly on: string },
    stepKeys: readonly (string | null)[],
  ): void {
    const recipe = recipeBook.find((one) => one.key === recipeKey)
    const job = this.rows.job.find((one) => one.id === slug)
    if (!recipe || !job) throw new Error(`no recipe ${recipeKey} or no job ${slug}`)
    const recipeInputs = { ...initialInputs(recipe), ...given }
    const inputSources = Object.fromEntries(
      measured.keys.map((key) => [
        key,
        {
          how: 'measured' as const,
          value: Number(recipeInputs[key]),
          by: measured.by,
          on: this.date(measured.on),
        },
      ]),
    )
    Object.assign(job, { recipeKey, recipeInputs, inputSources })
    stepKeys.forEach((key, at) => {
      const step = this.rows.step.find((one) => one.id === `${slug}-${at + 1}`)
      if (!step) throw new Error(`no step ${at + 1} of ${slug}`)
      if (key !== null) Object.assign(step, { recipeStep: key })
    })
  }

  /** A job made by a recipe of the book; `done` finishes its first steps at these times. */
  recipeJob(
    slug: string,
    title: string,
    recipeKey: string,
    given: RecipeInputs,
    more: JobMore & { readonly done?: readonly string[]; readonly facts?: StepMore },
  ): void {
    const recipe = recipeBook.find((one) => one.key === recipeKey)
    if (!recipe) throw new Error(`no recipe ${recipeKey}`)
    const recipeInputs = { ...initialInputs(recipe), ...given }
    const worked = expand(recipe, recipeInputs)
    if (!worked.ok) throw new Error(`${slug}: ${problemsOf(worked)[0]?.message}`)
    const { done = [], facts = {}, ...job } = more
    const { steps } = worked.value
    this.job(
      slug,
      title,
      { ...job, recipeKey, recipeInputs },
      steps.map(({ key, fields, tools }, index): StepLine => {
        const when = done[index]
        const { title: name, operation = 'fit', hoursLikely, ...rest } = fields
        const bring = tools.map((tool) => `${tool} | | shed | tool`)
        const made = { recipeStep: key, recipeMade: fields }
        return [
          operation,
          name,
          hoursLikely,
          { ...rest, ...facts, ...made, bring, ...(when ? { done: when } : {}) },
        ]
      }),
    )
    for (const [index, step] of steps.entries())
      for (const material of step.materials.flatMap(toBuy)) {
        const fields = partFields(material)
        this.add('part', `${slug}-${material.key.replace(/[/.]/g, '-')}`, {
          ...fields,
          jobId: slug,
          neededByStepId: `${slug}-${index + 1}`,
          state: done[index] ? 'fitted' : 'wanted',
          recipePart: material.key,
          recipeMade: fields,
        })
      }
  }
}

export const ashore = { hullNeed: 'ashore' } as const
export const afloat = { hullNeed: 'afloat' } as const
export const two = { crewMin: 2, crewMax: 2 } as const
export const oneOrTwo = { crewMin: 1, crewMax: 2 } as const
export const shed = { placeNeed: 'shed' } as const
export const away = { placeNeed: 'away' } as const
/** A chem wait at 20 °C, nothing earned under 8 °C. */
export const cure = (hours: number) =>
  ({ waitKind: 'chem', waitHours: hours, waitRefC: 20, waitMinC: 8 }) as const
export const sets = (hours: number) => ({ waitKind: 'moisture', waitHours: hours }) as const
export const dries = (days: number) => ({ waitKind: 'dry', waitHours: days * 24 }) as const
export const takes = (days: number) => ({ waitKind: 'calendar', waitHours: days * 24 }) as const
/** The bond window shuts after so many hours. */
export const within = (hours: number) => ({ maxWaitHours: hours }) as const
export const cramped = { access: 'cramped' } as const
export const awkward = { access: 'awkward' } as const
export const electrics = { skill: 'electrics' } as const
