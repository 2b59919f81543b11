import type { Random } from '../../../random'
import type { Compiled, CompiledActivity } from './compiled'
import { planOf } from './plans'
import { compareCost } from './problem'
import type { Cost, Plan } from './problem'
import { SerialGeneration } from './serialGeneration'

interface Creature {
  readonly keys: number[]
  /** The activities by their keys. */
  readonly order: readonly number[]
  readonly modes: number[]
  readonly plan: Plan
}

const population = 40
/** Generations without a better plan after which the herd is given up. */
const patience = 12
/** Chance that an activity of a child goes behind its neighbour, and that a child is of no parents. */
const swaps = 0.12
const strangers = 0.05
/** How far places are moved for a new herd, as a share of all. */
const shakes = 0.3

/**
 * Plans by serial generation: first from priority rules in both directions, then bred from the
 * better ones (biased random keys) and justified back and forth (forward-backward improvement).
 * Works where every arc leads forward; otherwise it finds nothing.
 */
export class Breeding {
  private readonly serial: SerialGeneration
  private herd: Creature[] = []
  /** The least cost so far, and generations since it fell. */
  private least: Cost | null = null
  private idle = 0
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

  /** One plan from each rule and each way of choosing modes, then a herd near the rules, until it is over. */
  first(over: () => boolean): void {
    const rules = this.modeRules().flatMap((modes) =>
      this.keyRules(modes).map((keys) => ({ keys: places(keys), modes })),
    )
    for (const { keys, modes } of rules) if (!over()) this.lay(keys, modes)
    if (this.herd.length === 0) return
    for (let tries = 0; this.herd.length < population && tries < 2 * population; tries++) {
      const rule = rules[tries % rules.length]
      if (!rule || over()) return
      this.lay(this.shaken(rule.keys, shakes), this.otherModes(rule.modes, 0.1))
    }
  }

  /** One more generation of plans; where the herd brought nothing better for long, a new one round the best. */
  generation(): void {
    const { herd, random } = this
    herd.sort((a, b) => compareCost(a.plan.cost, b.plan.cost))
    herd.length = Math.min(herd.length, population)
    const best = herd[0]
    if (best && this.idle >= patience) {
      this.idle = 0
      herd.length = 1
      for (let i = 0; i < population; i++)
        this.lay(this.shaken(best.keys, shakes * random()), this.otherModes(best.modes, 0.1))
      return
    }
    const before = this.least
    for (let i = 0; i < population; i++) {
      const [one, other] = [this.chosen(), this.chosen()]
      if (!one || !other || one === other || random() < strangers) {
        this.lay(
          this.usable.map(() => random()),
          this.usable.map((modes) => modes[Math.floor(random() * modes.length)] as number),
        )
        continue
      }
      const { keys, modes } = this.child(one, other)
      this.lay(this.swapped(keys), this.otherModes(modes, 0.02))
    }
    this.idle = this.least === before ? this.idle + 1 : 0
  }

  /** The better of two at random. */
  private chosen(): Creature | undefined {
    const { herd, random } = this
    const [a, b] = [
      herd[Math.floor(random() * herd.length)],
      herd[Math.floor(random() * herd.length)],
    ]
    if (!a || !b) return a ?? b
    return compareCost(a.plan.cost, b.plan.cost) <= 0 ? a : b
  }

  /** A stretch of one parent's order within the other's. */
  private child(one: Creature, other: Creature): { keys: number[]; modes: number[] } {
    const count = this.usable.length
    const [a, b] = [this.random() * count, this.random() * count]
    const [from, to] = [Math.min(a, b), Math.max(a, b)]
    const keys = new Array<number>(count).fill(-1)
    const modes = new Array<number>(count).fill(0)
    let place = 0
    const take = (parent: Creature, until: number) => {
      for (const index of parent.order) {
        if (place >= until) return
        if ((keys[index] as number) >= 0) continue
        keys[index] = place++
        modes[index] = parent.modes[index] as number
      }
    }
    take(one, from)
    take(other, to)
    take(one, count)
    return { keys, modes }
  }

  /** Neighbours change places here and there. */
  private swapped(keys: number[]): number[] {
    return keys.map((key) => (this.random() < swaps ? key + 1.5 : key))
  }

  /** Every place moved a little. */
  private shaken(keys: readonly number[], by: number): number[] {
    const reach = keys.length * by
    return keys.map((key) => key + (this.random() - 0.5) * reach)
  }

  private otherModes(modes: readonly number[], chance: number): number[] {
    return modes.map((mode, at) => {
      const own = this.usable[at] as number[]
      return own.length > 1 && this.random() < chance
        ? (own[Math.floor(this.random() * own.length)] as number)
        : mode
    })
  }

  /** Lays a plan, justifies it, and takes it into the herd. */
  private lay(keys: readonly number[], modes: number[]): void {
    this.laid++
    const placed = this.serial.forward(keys, modes)
    if (!placed) return
    let plan = planOf(this.compiled, modes, placed.starts)
    this.offer(plan)
    // Once: a second time seldom finds more, and a new plan does.
    const justified = this.justify(plan, modes)
    if (justified && compareCost(justified.cost, plan.cost) < 0) {
      plan = justified
      this.offer(plan)
    }
    if (
      this.herd.some((one) => compareCost(one.plan.cost, plan.cost) === 0 && same(one.plan, plan))
    )
      return
    if (!this.least || compareCost(plan.cost, this.least) < 0) this.least = plan.cost
    const order = orderOf(plan.starts)
    this.herd.push({ keys: placesIn(order), order, modes, plan })
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

/** Indices by rising value. */
const orderOf = (values: readonly number[]): number[] =>
  values.map((_, index) => index).sort((a, b) => (values[a] as number) - (values[b] as number))

function placesIn(order: readonly number[]): number[] {
  const places = order.map(() => 0)
  order.forEach((index, place) => (places[index] = place))
  return places
}

/** The place of each in the order of the values. */
const places = (values: readonly number[]): number[] => placesIn(orderOf(values))
