import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleFrom, reachable, topological } from './graph'

const size = 8
const arcs = fc.array(fc.tuple(fc.nat(size - 1), fc.nat(size - 1)), { maxLength: 20 })
const nodes = Array.from({ length: size }, (_, index) => index)
type Arcs = readonly (readonly [number, number])[]
const nextIn = (list: Arcs) => (node: number) =>
  list.filter(([from]) => from === node).map(([, to]) => to)

/** Independent: all pairs by repeated squaring of the relation, as Warshall does it. */
function closure(list: Arcs): boolean[][] {
  const found = nodes.map((a) => nodes.map((b) => list.some(([x, y]) => x === a && y === b)))
  for (const k of nodes)
    for (const i of nodes)
      for (const j of nodes)
        (found[i] as boolean[])[j] ||= (found[i]?.[k] ?? false) && (found[k]?.[j] ?? false)
  return found
}

describe('the walker', () => {
  it('reaches what the transitive closure says, the start among it', () => {
    fc.assert(
      fc.property(arcs, fc.nat(size - 1), (list, start) => {
        const said = nodes.filter((to) => to === start || closure(list)[start]?.[to])
        expect([...reachable([start], nextIn(list))].sort()).toEqual(said)
      }),
    )
  })

  it('puts each after all that lead to it, and leaves out what stands in or after a circle', () => {
    fc.assert(
      fc.property(arcs, (list) => {
        const all = closure(list)
        const order = topological(nodes, nextIn(list))
        const inCircle = nodes.filter((node) => all[node]?.[node])
        const left = nodes.filter((to) => inCircle.some((from) => from === to || all[from]?.[to]))
        expect(nodes.filter((node) => !order.includes(node))).toEqual(left)
        for (const [from, to] of list)
          if (order.includes(to)) expect(order.indexOf(from)).toBeLessThan(order.indexOf(to))
        const circle = circleFrom(nodes, nextIn(list))
        expect(circle !== null).toBe(inCircle.length > 0)
        circle?.forEach((node, index) => {
          const next = circle[(index + 1) % circle.length]
          expect(list).toContainEqual([node, next])
        })
      }),
    )
  })
})
