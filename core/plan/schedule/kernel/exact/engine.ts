/**
 * Search over integer bounds that learns from its failures (conflict-driven, first unique implication
 * point). A variable has two sides whose values only rise: its lower bound, and its upper bound with
 * the sign turned. An atom "side ≥ c" is therefore always a rise, and its denial is an atom of the
 * other side.
 */

/** Why an atom holds: writes atoms, side then value, all true before, that imply `side ≥ c`. */
export interface Reason {
  explain(side: number, c: number, into: number[]): void
}

/** A reason written down when it was found. */
export class Because implements Reason {
  constructor(private readonly atoms: readonly number[]) {}
  explain(_side: number, _c: number, into: number[]): void {
    for (const one of this.atoms) into.push(one)
  }
}

/** Something that tightens bounds; run again when a side it listens to has risen. */
export interface Propagator {
  /** False: a conflict was set. */
  run(engine: Engine): boolean
}

/** Atoms that must not all hold. The first two are watched. */
class Nogood implements Reason {
  activity = 0
  gone = false
  constructor(
    readonly atoms: number[],
    readonly learned: boolean,
  ) {}
  explain(side: number, _c: number, into: number[]): void {
    for (let i = 0; i < this.atoms.length; i += 2)
      if ((this.atoms[i] as number) !== (side ^ 1))
        into.push(this.atoms[i] as number, this.atoms[i + 1] as number)
  }
}

export const lower = (variable: number): number => variable << 1
export const upper = (variable: number): number => (variable << 1) | 1

/** Learned nogoods kept at first; grows with every cleaning. */
const firstKeep = 3000

export class Engine {
  /** Value of each side. */
  readonly value: number[] = []
  /** Conflict score of each variable. */
  readonly score: number[] = []
  private readonly latest: number[] = []
  private readonly trailSide: number[] = []
  private readonly trailValue: number[] = []
  private readonly trailOld: number[] = []
  private readonly trailPrevious: number[] = []
  private readonly trailReason: (Reason | null)[] = []
  private readonly levelStart: number[] = []
  private head = 0
  /** Values at level 0 while choices stand. */
  private readonly root: number[] = []

  private readonly watchers: Nogood[][] = []
  private learned: Nogood[] = []
  private keep = firstKeep
  private nogoodStep = 1
  private scoreStep = 1

  private readonly eager: Propagator[][] = []
  private readonly late: number[][] = []
  private readonly lateAll: Propagator[] = []
  private readonly dirty: boolean[] = []
  private readonly queue: number[] = []

  private conflict: number[] = []
  private readonly need: number[] = []
  private readonly seen: boolean[] = []
  private readonly premises: number[] = []
  conflicts = 0

  newVariable(low: number, high: number): number {
    const variable = this.score.length
    this.score.push(0)
    for (const value of [low, -high]) {
      this.value.push(value)
      this.latest.push(-1)
      this.watchers.push([])
      this.eager.push([])
      this.late.push([])
      this.need.push(-Infinity)
      this.seen.push(false)
    }
    return variable
  }

  low(variable: number): number {
    return this.value[variable << 1] as number
  }
  high(variable: number): number {
    return -(this.value[(variable << 1) | 1] as number)
  }
  isFixed(variable: number): boolean {
    return this.low(variable) === this.high(variable)
  }
  isTrue(side: number, c: number): boolean {
    return (this.value[side] as number) >= c
  }
  isFalse(side: number, c: number): boolean {
    return (this.value[side ^ 1] as number) >= 1 - c
  }
  get level(): number {
    return this.levelStart.length
  }

  /** Runs at once, for every rise of the side. */
  listen(side: number, propagator: Propagator): void {
    ;(this.eager[side] as Propagator[]).push(propagator)
  }
  /** Runs when nothing else is left to do. */
  addLate(propagator: Propagator, sides: Iterable<number>): void {
    const index = this.lateAll.push(propagator) - 1
    this.dirty.push(true)
    this.queue.push(index)
    for (const side of sides) (this.late[side] as number[]).push(index)
  }

  /** Runs what listens to a side as if it had risen. False: refuted. */
  wake(side: number): boolean {
    for (const propagator of this.eager[side] as Propagator[])
      if (!propagator.run(this)) return false
    return true
  }

  /** Raises a side. False: it meets the other side, and the conflict is set. */
  raise(side: number, c: number, reason: Reason | null): boolean {
    if ((this.value[side] as number) >= c) return true
    const other = this.value[side ^ 1] as number
    if (other >= 1 - c) {
      // The weakest atom that still meets the other side.
      const least = 1 - other
      this.conflict.length = 0
      if (reason) reason.explain(side, least, this.conflict)
      this.conflict.push(side ^ 1, 1 - least)
      return false
    }
    const at = this.trailSide.length
    this.trailSide.push(side)
    this.trailValue.push(c)
    this.trailOld.push(this.value[side] as number)
    this.trailPrevious.push(this.latest[side] as number)
    this.trailReason.push(reason)
    this.latest[side] = at
    this.value[side] = c
    return true
  }

  /** States a conflict: atoms that all hold and may not. */
  fail(atoms: readonly number[]): false {
    this.conflict.length = 0
    for (const one of atoms) this.conflict.push(one)
    return false
  }

  decide(side: number, c: number): void {
    if (this.level === 0)
      for (let i = 0; i < this.value.length; i++) this.root[i] = this.value[i] as number
    this.levelStart.push(this.trailSide.length)
    this.raise(side, c, null)
  }

  /** Adds atoms that must not all hold, at level 0. False: the problem has no solution. */
  forbid(atoms: readonly number[]): boolean {
    const open: number[] = []
    for (let i = 0; i < atoms.length; i += 2) {
      const [side, c] = [atoms[i] as number, atoms[i + 1] as number]
      if (this.isFalse(side, c)) return true
      if (!this.isTrue(side, c)) open.push(side, c)
    }
    if (open.length === 0) return this.fail([])
    if (open.length === 2)
      return this.raise((open[0] as number) ^ 1, 1 - (open[1] as number), new Because([]))
    this.watch(new Nogood(open, false))
    return true
  }

  private watch(nogood: Nogood): void {
    ;(this.watchers[nogood.atoms[0] as number] as Nogood[]).push(nogood)
    ;(this.watchers[nogood.atoms[2] as number] as Nogood[]).push(nogood)
  }

  /** Follows everything that must follow. False: conflict. */
  propagate(): boolean {
    for (;;) {
      while (this.head < this.trailSide.length) {
        const side = this.trailSide[this.head++] as number
        for (const index of this.late[side] as number[])
          if (!this.dirty[index]) {
            this.dirty[index] = true
            this.queue.push(index)
          }
        if (!this.followNogoods(side)) return this.stop()
        for (const propagator of this.eager[side] as Propagator[])
          if (!propagator.run(this)) return this.stop()
      }
      const index = this.queue.shift()
      if (index === undefined) return true
      this.dirty[index] = false
      if (!(this.lateAll[index] as Propagator).run(this)) return this.stop()
    }
  }

  private stop(): false {
    for (const index of this.queue) this.dirty[index] = false
    this.queue.length = 0
    return false
  }

  private followNogoods(side: number): boolean {
    const list = this.watchers[side] as Nogood[]
    const value = this.value[side] as number
    let kept = 0
    for (let i = 0; i < list.length; i++) {
      const nogood = list[i] as Nogood
      if (nogood.gone) continue
      const { atoms } = nogood
      if (atoms[0] === side) {
        // The risen watch goes second.
        const c = atoms[1] as number
        atoms[0] = atoms[2] as number
        atoms[1] = atoms[3] as number
        atoms[2] = side
        atoms[3] = c
      }
      if ((atoms[3] as number) > value || this.isFalse(atoms[0] as number, atoms[1] as number)) {
        list[kept++] = nogood
        continue
      }
      let moved = false
      for (let k = 4; k < atoms.length; k += 2) {
        const [other, c] = [atoms[k] as number, atoms[k + 1] as number]
        if ((this.value[other] as number) >= c) continue
        atoms[k] = side
        atoms[k + 1] = atoms[3] as number
        atoms[2] = other
        atoms[3] = c
        ;(this.watchers[other] as Nogood[]).push(nogood)
        moved = true
        break
      }
      if (moved) continue
      list[kept++] = nogood
      if (!this.raise((atoms[0] as number) ^ 1, 1 - (atoms[1] as number), nogood)) {
        this.conflict = [...atoms]
        this.touch(nogood)
        for (i++; i < list.length; i++) list[kept++] = list[i] as Nogood
        list.length = kept
        return false
      }
    }
    list.length = kept
    return true
  }

  /** Back to the state at the end of a level. */
  backTo(level: number): void {
    const start = this.levelStart[level]
    if (start === undefined) return
    while (this.trailSide.length > start) this.pop()
    this.levelStart.length = level
    this.head = start
  }

  private pop(): void {
    const side = this.trailSide.pop() as number
    this.value[side] = this.trailOld.pop() as number
    this.latest[side] = this.trailPrevious.pop() as number
    this.trailValue.pop()
    this.trailReason.pop()
  }

  /**
   * Learns from the conflict, goes back, and asserts what was learned. False: there was no choice in
   * it, the problem has no (better) solution.
   */
  learn(): boolean {
    this.conflicts++
    if (this.level === 0) return false
    let level = this.level
    // A conflict may lie wholly below the last choice: go down to the level it speaks of.
    const deepest = this.deepestLevel(this.conflict)
    if (deepest === 0) return false
    if (deepest < level) {
      this.backTo(deepest)
      level = deepest
    }
    const start = this.levelStart[level - 1] as number
    const touched: number[] = []
    let here = 0
    const add = (side: number, c: number) => {
      if (this.rootValue(side) >= c) return
      const old = this.need[side] as number
      if (c <= old) return
      if (!this.seen[side]) {
        this.seen[side] = true
        touched.push(side)
        this.bump(side >> 1)
      }
      this.need[side] = c
      const atStart = this.valueAt(side, start)
      if (c > atStart && old <= atStart) here++
    }
    for (let i = 0; i < this.conflict.length; i += 2)
      add(this.conflict[i] as number, this.conflict[i + 1] as number)
    let asserting = -1
    for (let at = this.trailSide.length - 1; at >= start; at--) {
      const side = this.trailSide[at] as number
      const c = this.need[side] as number
      if (c > (this.trailOld[at] as number)) {
        if (here === 1) {
          asserting = side
          break
        }
        this.need[side] = -Infinity
        here--
        const reason = this.trailReason[at]
        this.pop()
        this.premises.length = 0
        if (reason) {
          reason.explain(side, c, this.premises)
          if (reason instanceof Nogood) this.touch(reason)
        }
        for (let i = 0; i < this.premises.length; i += 2)
          add(this.premises[i] as number, this.premises[i + 1] as number)
      } else this.pop()
    }
    this.shorten(touched, asserting)
    const atoms: number[] = [asserting, this.need[asserting] as number]
    let back = 0
    for (const side of touched) {
      const c = this.need[side] as number
      if (side !== asserting && c > -Infinity) {
        const at = this.levelOf(side, c)
        if (at > back) {
          back = at
          atoms.splice(2, 0, side, c)
        } else atoms.push(side, c)
      }
      this.need[side] = -Infinity
      this.seen[side] = false
    }
    this.backTo(back)
    this.scoreStep *= 1.05
    this.nogoodStep *= 1.001
    if (this.scoreStep > 1e100) this.rescale()
    const [side, c] = [atoms[0] as number, atoms[1] as number]
    if (atoms.length === 2) {
      return this.raise(side ^ 1, 1 - c, new Because([]))
    }
    const nogood = new Nogood(atoms, true)
    nogood.activity = this.nogoodStep
    this.learned.push(nogood)
    this.watch(nogood)
    return this.raise(side ^ 1, 1 - c, nogood)
  }

  /** Leaves out atoms that the others imply. */
  private shorten(touched: readonly number[], asserting: number): void {
    for (const side of touched) {
      const c = this.need[side] as number
      if (side === asserting || c === -Infinity) continue
      const reason = this.trailReason[this.entryOf(side, c)]
      if (!reason) continue
      this.premises.length = 0
      reason.explain(side, c, this.premises)
      let implied = true
      for (let i = 0; i < this.premises.length && implied; i += 2) {
        const [other, value] = [this.premises[i] as number, this.premises[i + 1] as number]
        implied =
          this.rootValue(other) >= value ||
          (other !== side && (this.need[other] as number) >= value)
      }
      if (implied) this.need[side] = -Infinity
    }
  }

  /** Trail entry that made an atom true. */
  private entryOf(side: number, c: number): number {
    let at = this.latest[side] as number
    while (at >= 0 && (this.trailOld[at] as number) >= c) at = this.trailPrevious[at] as number
    return at
  }

  private levelOf(side: number, c: number): number {
    const at = this.entryOf(side, c)
    if (at < 0) return 0
    let [low, high] = [0, this.levelStart.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.levelStart[middle] as number) <= at) low = middle + 1
      else high = middle
    }
    return low
  }

  private deepestLevel(atoms: readonly number[]): number {
    let deepest = 0
    for (let i = 0; i < atoms.length; i += 2)
      deepest = Math.max(deepest, this.levelOf(atoms[i] as number, atoms[i + 1] as number))
    return deepest
  }

  private valueAt(side: number, trailLength: number): number {
    let at = this.latest[side] as number
    let value = this.value[side] as number
    while (at >= trailLength) {
      value = this.trailOld[at] as number
      at = this.trailPrevious[at] as number
    }
    return value
  }

  private rootValue(side: number): number {
    return (this.level === 0 ? this.value[side] : this.root[side]) as number
  }

  private bump(variable: number): void {
    this.score[variable] = (this.score[variable] as number) + this.scoreStep
  }

  private touch(nogood: Nogood): void {
    nogood.activity += this.nogoodStep
  }

  private rescale(): void {
    for (let i = 0; i < this.score.length; i++) this.score[i] = (this.score[i] as number) * 1e-100
    this.scoreStep *= 1e-100
  }

  /** Forgets the less useful half of what was learned. Call at level 0. */
  clean(): void {
    if (this.learned.length < this.keep) return
    const sorted = [...this.learned].sort((a, b) => b.activity - a.activity)
    sorted.slice(sorted.length >> 1).forEach((nogood) => {
      if (nogood.atoms.length > 4) nogood.gone = true
    })
    this.learned = this.learned.filter((nogood) => !nogood.gone)
    for (let side = 0; side < this.watchers.length; side++)
      this.watchers[side] = (this.watchers[side] as Nogood[]).filter((one) => !one.gone)
    this.keep = Math.round(this.keep * 1.1)
  }
}
