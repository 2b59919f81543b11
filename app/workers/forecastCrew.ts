import { proxy } from 'comlink'
import type { Runs } from '#core/forecast/runs'
import type { StoredOdds } from '#core/model/odds'
import type { RefitRows } from '#core/model/refit'
import type { StoredPlan } from '#core/model/stored'
import { PlannerLink } from './plannerLink'

/** What is run: `of` names the plan with all that it rests on. */
export interface ForecastAsked {
  readonly rows: RefitRows
  readonly plan: StoredPlan
  readonly of: string
  readonly runs: number
  readonly workers: number
}

/** A worker makes so many runs ahead; by then its code is compiled, and the next ones take a third of the first. */
const runsToWarm = 250

/** The same for everybody, so that two windows come to the same odds. */
export const forecastSeed = 1

/**
 * Workers that share the runs of a forecast. Kept, they make the first runs while nobody waits, which are not made again
 * when all are asked for.
 */
export class ForecastCrew {
  private links: PlannerLink[] = []
  private begun:
    | (Omit<ForecastAsked, 'rows' | 'plan'> & { readonly parts: readonly Runs[] })
    | null = null

  private linksFor(workers: number): PlannerLink[] {
    while (this.links.length < workers) this.links.push(new PlannerLink())
    return this.links.slice(0, workers)
  }

  /** Each worker's stretch from its `from`-th run to its `to`-th; null: called off. Throws what the workers throw. */
  private async stretches(
    { rows, plan, runs, workers }: ForecastAsked,
    from: number,
    to: number,
    onProgress: (share: number) => void,
  ): Promise<Runs[] | null> {
    const bound = (at: number) => Math.round((runs * at) / workers)
    const shares = Array.from({ length: workers }, () => 0)
    const tell = (at: number) =>
      proxy((share: number) => {
        shares[at] = share
        onProgress(shares.reduce((sum, one) => sum + one, 0) / workers)
      })
    const parts = await Promise.all(
      this.linksFor(workers).map((link, at) => {
        const asked = {
          seed: forecastSeed,
          from: bound(at) + from,
          to: Math.min(bound(at) + to, bound(at + 1)),
        }
        return link.question(rows, (remote) => remote.runs(plan, asked, tell(at)))
      }),
    )
    return parts.every((one) => one !== null) ? parts : null
  }

  /** Makes the first runs of all that will be asked for. */
  async begin(asked: ForecastAsked): Promise<void> {
    const { of, runs, workers } = asked
    if (this.isBegun(asked) || runs <= runsToWarm * workers) return
    const parts = await this.stretches(asked, 0, runsToWarm, () => undefined)
    if (parts) this.begun = { of, runs, workers, parts }
  }

  private isBegun({ of, runs, workers }: ForecastAsked): boolean {
    const { begun } = this
    return begun?.of === of && begun.runs === runs && begun.workers === workers
  }

  /** What all runs come to; null: called off. Throws Superseded where it was stopped, and what the workers throw. */
  async odds(
    asked: ForecastAsked,
    onProgress: (share: number) => void,
  ): Promise<StoredOdds | null> {
    const first = this.isBegun(asked) ? (this.begun?.parts ?? []) : []
    const rest = await this.stretches(
      asked,
      first.length > 0 ? runsToWarm : 0,
      Infinity,
      onProgress,
    )
    const [link] = this.links
    if (!rest || !link) return null
    const parts = rest.flatMap((one, at) => [...first.slice(at, at + 1), one])
    return link.question(asked.rows, (remote) => remote.odds(asked.plan, parts))
  }

  /** Leaves what is under way; the workers stay. */
  stop(): void {
    for (const one of this.links) one.stop()
  }

  /** Gives the workers back. */
  close(): void {
    for (const one of this.links.splice(0)) one.close()
    this.begun = null
  }
}
