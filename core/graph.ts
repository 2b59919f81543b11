/** The one walker of graphs: of jobs by links or parents, of steps by arcs. */

/** Everything that can be reached, the starts among it, in the order in which it is met. */
export function reachable<Node>(
  starts: Iterable<Node>,
  next: (node: Node) => Iterable<Node>,
): Set<Node> {
  const met = new Set(starts)
  for (const node of met) for (const one of next(node)) met.add(one)
  return met
}

/**
 * Nodes in an order in which each comes after all that lead to it; equal inputs give equal orders. What
 * stands in a circle, or after one, is left out.
 */
export function topological<Node>(
  nodes: readonly Node[],
  next: (node: Node) => readonly Node[],
): Node[] {
  const waiting = new Map(nodes.map((node) => [node, 0]))
  for (const node of nodes)
    for (const one of next(node)) {
      const count = waiting.get(one)
      if (count !== undefined) waiting.set(one, count + 1)
    }
  const order = nodes.filter((node) => waiting.get(node) === 0)
  for (const node of order)
    for (const one of next(node)) {
      const count = waiting.get(one)
      if (count === undefined) continue
      waiting.set(one, count - 1)
      if (count === 1) order.push(one)
    }
  return order
}

/** Nodes of one circle in order round it, the first that is met from the starts; null when there is none. */
export function circleFrom<Node>(
  starts: Iterable<Node>,
  next: (node: Node) => readonly Node[],
): Node[] | null {
  const done = new Set<Node>()
  for (const start of starts) {
    const path: Node[] = []
    const onPath = new Set<Node>()
    const stack: { node: Node; at: number }[] = [{ node: start, at: 0 }]
    while (stack.length > 0) {
      const top = stack.at(-1) as { node: Node; at: number }
      if (top.at === 0) {
        if (done.has(top.node)) {
          stack.pop()
          continue
        }
        if (onPath.has(top.node)) return path.slice(path.indexOf(top.node))
        path.push(top.node)
        onPath.add(top.node)
      }
      const ahead = next(top.node)
      if (top.at < ahead.length) stack.push({ node: ahead[top.at++] as Node, at: 0 })
      else {
        stack.pop()
        path.pop()
        onPath.delete(top.node)
        done.add(top.node)
      }
    }
  }
  return null
}
