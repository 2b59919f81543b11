/** Which steps want which tool, what one hire for all of them costs, and what it does not reach. Source: handbook-2 G4. */
import type { Row } from '../model/entities'
import { byId, groupBy, inOrder } from '../model/refit'
import { isOpen } from '../plan/planned'
import { dayNumber } from '../time/civil'
import { plainName } from './pool'
import type { StoreFacts } from './storeFacts'

interface ToolWant {
  readonly step: Row<'step'>
  /** Local days of its first and its last hours. */
  readonly from: number
  readonly to: number
  /** How far it has to reach; null: not said, or far enough is no question. */
  readonly needsMm: number | null
  readonly isTooShort: boolean
}

export interface ToolUse {
  readonly tool: Row<'tool'>
  /** By day, the first first. */
  readonly wants: readonly ToolWant[]
  /** Kept from the first day to the last, both counted; null: nobody wants it, or a day has no price. */
  readonly keptMinor: number | null
  readonly keptDays: number
  /** Fetched and taken back for each stretch of days in a row. */
  readonly apartMinor: number | null
  readonly stretches: number
  /** It has to go back before its last step is done: that step. */
  readonly backBefore: ToolWant | null
}

/** Tools in their order. A line to bring wants a tool that it names, or that has its name. */
export function toolUses({ rows, plan, clock }: StoreFacts): ToolUse[] {
  const steps = byId(rows.step)
  const placed = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
  const named = new Map(rows.tool.map((tool) => [plainName(tool.name), tool.id]))
  const toolOf = (line: Row<'bringLine'>) =>
    line.toolId ?? (line.kind === 'tool' ? (named.get(plainName(line.what)) ?? '') : '')
  const lines = groupBy(rows.bringLine, toolOf)
  return inOrder(rows.tool).map((tool) => {
    const wants = (lines.get(tool.id) ?? [])
      .flatMap((line): ToolWant[] => {
        const step = steps.get(line.stepId)
        const segments = placed.get(line.stepId)?.segments
        const [first, last] = [segments?.[0], segments?.at(-1)]
        if (!step || !isOpen(step) || !first || !last) return []
        const { needsMm } = line
        return [
          {
            step,
            from: clock.dayOf(first[0]),
            // What ends at midnight ends on the day before.
            to: clock.dayOf(last[1] - 1),
            needsMm,
            isTooShort: needsMm !== null && tool.reachMm !== null && needsMm > tool.reachMm,
          },
        ]
      })
      .sort((a, b) => a.from - b.from || (a.step.id < b.step.id ? -1 : 1))
    return { tool, wants, ...hireOf(tool, wants), backBefore: backBefore(tool, wants) }
  })
}

/** Days that belong together: each no more than a day after the ones before. */
function stretchesOf(wants: readonly ToolWant[]): [number, number][] {
  const stretches: [number, number][] = []
  for (const { from, to } of wants) {
    const last = stretches.at(-1)
    if (last && from <= last[1] + 1) last[1] = Math.max(last[1], to)
    else stretches.push([from, to])
  }
  return stretches
}

function hireOf(tool: Row<'tool'>, wants: readonly ToolWant[]) {
  const stretches = stretchesOf(wants)
  const days = stretches.reduce((sum, [from, to]) => sum + to - from + 1, 0)
  const [first, last] = [stretches[0], stretches.at(-1)]
  const keptDays = first && last ? last[1] - first[0] + 1 : 0
  const price = tool.owned === 'hired' ? tool.hireDayMinor : null
  return {
    keptDays,
    keptMinor: price === null || keptDays === 0 ? null : keptDays * price,
    apartMinor: price === null || keptDays === 0 ? null : days * price,
    stretches: stretches.length,
  }
}

function backBefore({ backBy }: Row<'tool'>, wants: readonly ToolWant[]): ToolWant | null {
  if (backBy === null) return null
  const day = dayNumber(backBy)
  return wants.find((one) => one.to > day) ?? null
}
