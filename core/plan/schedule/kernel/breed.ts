import type { Random } from '../../../random'
import type { Compiled, CompiledActivity } from './compiled'
import { planOf } from './plans'
import { compareCost } from './problem'
import type { Plan } from './problem'
import { SerialGeneration } from './serialGeneration'

interface Creature {
  readonly keys: number[]
  readonly modes: number[]
  readonly plan: Plan
}

const population = 48
const elite = 12
/** Chance that a child takes a key from the better parent. */
const fromBetter = 0.7

/**
 * Plans by serial generation: first from priority rules in both directions, then bred from the
 * better ones (biased random keys) and justified back and forth (forward-backward improvement).
 * Works where every arc leads forward; otherwise it finds nothing.
 */
export class Breeding {
  private readonly serial: SerialGeneration
  private herd: Creature[] = []
  private readonly usable: number[][]
  /** Plans laid so far. */
  laid = 0

  constructor(
    private readonly compiled: Compiled,
    private readonly random: Random,
    private readonly offer: (plan: Plan) => void,
  ) {
    this.serial = new SerialGeneration(compiled)
    this.usable = compiled.activities.map((one) =>
      one.modes.flatMap((mode, index) => (mode.calendar.closed ? [] : [index])),
    )
  }

  get possible(): boolean {
    return this.serial.sorted.length > 0 && this.usable.every((modes) => modes.length > 0)
  }

  /** One plan from each rule and each way of choosing modes, until it is over. */
  first(over: () => boolean): void {
    for (const modes of this.modeRules())
      for (const keys of this.keyRules(modes)) if (!over()) this.lay(keys, modes)
  }

  /** One more generation of plans. */
  generation(): void {
    const { herd, random } = this
    herd.sort((a, b) => compareCost(a.plan.cost, b.plan.cost))
    herd.length = Math.min(herd.length, population)
    const parents = herd.slice()
    const pick = (from: readonly Creature[]) => from[Math.floor(random() * from.length)] as Creature
    for (let i = 0; i < population; i++) {
      if (parents.length < 2 || random() < 0.15) {
        this.lay(
          this.usable.map(() => random()),
          this.usable.map((modes) => modes[Math.floor(random() * modes.length)] as number),
        )
        continue
      }
      const better = pick(parents.slice(0, elite))
      const other = pick(parents)
      const keys: number[] = []
      const modes: number[] = []
      for (let at = 0; at < this.usable.length; at++) {
        const parent = random() < fromBetter ? better : other
        keys.push((parent.keys[at] as number) + (random() < 0.05 ? random() - 0.5 : 0))
        const own = this.usable[at] as number[]
        modes.push(
          own.length > 1 && random() < 0.04
            ? (own[Math.floor(random() * own.length)] as number)
            : (parent.modes[at] as number),
        )
      }
      this.lay(keys, modes)
    }
  }

  /** Lays a plan, justifies it, and takes it into the herd. */
  private lay(keys: readonly number[], modes: number[]): void {
    this.laid++
    const placed = this.serial.forward(keys, modes)
    if (!placed) return
    let plan = planOf(this.compiled, modes, placed.starts)
    this.offer(plan)
    for (let again = 0; again < 2; again++) {
      const justified = this.justify(plan, modes)
      if (!justified || compareCost(justified.cost, plan.cost) >= 0) break
      plan = justified
      this.offer(plan)
    }
    if (
      this.herd.some((one) => compareCost(one.plan.cost, plan.cost) === 0 && same(one.plan, plan))
    )
      return
    this.herd.push({ keys: ranks(plan.starts), modes, plan })
  }

  /** To the right within its makespan, then to the left again. */
  private justify(plan: Plan, modes: readonly number[]): Plan | null {
    this.laid += 2
    const ends = plan.finishes.map(() => plan.cost[1])
    for (const { activity, at } of this.compiled.deadlines)
      ends[activity] = Math.min(
        ends[activity] as number,
        Math.max(at, plan.finishes[activity] as number),
      )
    const right = this.serial.backward(
      plan.finishes.map((finish) => -finish),
      modes,
      (activity) => ends[activity] as number,
    )
    if (!right) return null
    const left = this.serial.forward(right.starts, modes)
    return left ? planOf(this.compiled, modes, left.starts) : null
  }

  private modeRules(): number[][] {
    const by = (measure: (one: CompiledActivity, mode: number) => number) =>
      this.compiled.activities.map((one, index) =>
        (this.usable[index] as number[]).reduce((best, mode) =>
          measure(one, mode) < measure(one, best) ? mode : best,
        ),
      )
    const duration = (one: CompiledActivity, mode: number) =>
      one.modes[mode]?.calendar.duration ?? 0
    const work = (one: CompiledActivity, mode: number) =>
      duration(one, mode) *
      (one.modes[mode]?.demands ?? []).reduce(
        (sum, [resource, units]) => sum + units / (this.compiled.resources[resource]?.most ?? 1),
        0.1,
      )
    const rules = [by(duration), by(work)]
    return this.usable.some((modes) => modes.length > 1) ? rules : rules.slice(0, 1)
  }

  /** Urgency by latest start, latest finish, longest tail with most followers, and work to come. */
  private keyRules(modes: readonly number[]): number[][] {
    const { compiled } = this
    const count = this.usable.length
    const duration = (index: number) =>
      compiled.activities[index]?.modes[modes[index] as number]?.calendar.duration ?? 0
    const tail = new Array<number>(count).fill(0)
    const followers = new Array<number>(count).fill(0)
    const outward = compiled.arcs
    const place = new Map(this.serial.sorted.map((index, at) => [index, at]))
    const arcs = [...outward].sort((a, b) => (place.get(b.from) ?? 0) - (place.get(a.from) ?? 0))
    for (const arc of arcs) {
      tail[arc.from] = Math.max(
        tail[arc.from] as number,
        (tail[arc.to] as number) + duration(arc.to) + Math.max(0, arc.minLag ?? 0),
      )
      followers[arc.from] = (followers[arc.from] as number) + 1 + (followers[arc.to] as number)
    }
    const due = new Array<number>(count).fill(0)
    for (const { activity, at, weight } of compiled.deadlines) if (weight > 0) due[activity] = at
    return [
      tail.map((length, index) => -length - duration(index)),
      tail.map((length) => -length),
      followers.map((many, index) => -many * 1000 - (tail[index] as number)),
      tail.map((_, index) => duration(index)),
      ...(compiled.deadlines.length > 0 ? [due.map((at) => (at === 0 ? Infinity : at))] : []),
    ]
  }
}

const same = (a: Plan, b: Plan): boolean =>
  a.starts.every((start, index) => start === b.starts[index])

/** Positions in the order of starts, between 0 and 1. */
function ranks(starts: readonly number[]): number[] {
  const order = starts
    .map((_, index) => index)
    .sort((a, b) => (starts[a] as number) - (starts[b] as number))
  const keys = starts.map(() => 0)
  order.forEach((index, at) => (keys[index] = at / starts.length))
  return keys
}
