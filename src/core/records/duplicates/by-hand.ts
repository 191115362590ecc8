/** What a person said of two records: one work, or not. */
export interface Decision {
  /** The two in the order of their names. */
  a: string
  b: string
  same: boolean
  why?: string
}

/** Two records of which rules or people would have both: one work, and two. A person has to say. */
export interface ToSettle {
  a: string
  b: string
}

export interface Decided {
  classes: string[][]
  toSettle: ToSettle[]
}

/**
 * Applies what people said of pairs over what the rules gave. Hand decisions come first, in any order with the same
 * outcome: records joined by hand are one, records parted by hand never stand together. Where a parted pair would be
 * forced together by what else is known, those that belong to neither side for certain stand alone and go to settle.
 * `order` are all records in their order; classes come in that of their first records.
 */
export function decideByHand(
  classes: readonly (readonly string[])[],
  decisions: readonly Decision[],
  order: readonly string[],
): Decided {
  const here = new Set(order)
  const pairs = decisions.filter((d) => here.has(d.a) && here.has(d.b))
  if (!pairs.length) return { classes: classes.map((c) => [...c]), toSettle: [] }
  const joined = pairs.filter((d) => d.same)
  const parted = new Set(pairs.filter((d) => !d.same).map((d) => pairKey(d.a, d.b)))
  const everything = connected(order, [...classes.flatMap(chain), ...joined.map((d) => [d.a, d.b] as const)])
  const place = new Map(order.map((id, i) => [id, i]))
  const found: string[][] = []
  const toSettle: ToSettle[] = []
  const groupOf = new Map(everything.flatMap((group, n) => group.map((id) => [id, n] as const)))
  const torn = new Set<number>()
  for (const pair of parted) {
    const [a, b] = pair.split(' ').map((id) => groupOf.get(id))
    if (a !== undefined && a === b) torn.add(a)
  }
  const inside = new Map<number, (readonly string[])[]>()
  for (const c of torn.size ? classes : []) {
    const group = c.length ? groupOf.get(c[0]!) : undefined
    if (group !== undefined && torn.has(group)) inside.set(group, [...(inside.get(group) ?? []), c])
  }
  everything.forEach((group, n) => {
    if (!torn.has(n)) found.push(group)
    else {
      const split = parting(group, inside.get(n) ?? [], joined, parted)
      found.push(...split.classes)
      toSettle.push(...split.toSettle)
    }
  })
  const first = (c: readonly string[]): number => place.get(c[0]!)!
  return {
    classes: found
      .map((c) => [...c].sort((a, b) => place.get(a)! - place.get(b)!))
      .sort((a, b) => first(a) - first(b)),
    toSettle: toSettle.sort((a, b) => (pairKey(a.a, a.b) < pairKey(b.a, b.b) ? -1 : 1)),
  }
}

const pairKey = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`)
const chain = (c: readonly string[]): (readonly [string, string])[] =>
  c.slice(1).map((id, i) => [c[i]!, id] as const)

function holdsParted(group: readonly string[], parted: ReadonlySet<string>): boolean {
  const own = new Set(group)
  return [...parted].some((p) => p.split(' ').every((id) => own.has(id)))
}

/** The groups that edges make of these nodes, each in the order of the nodes. */
function connected(nodes: readonly string[], edges: readonly (readonly [string, string])[]): string[][] {
  const parent = new Map(nodes.map((n) => [n, n]))
  const root = (n: string): string => {
    let at = n
    while (parent.get(at) !== at) at = parent.get(at)!
    for (let next = n; next !== at;) {
      const up = parent.get(next)!
      parent.set(next, at)
      next = up
    }
    return at
  }
  for (const [a, b] of edges) if (parent.has(a) && parent.has(b)) parent.set(root(a), root(b))
  const groups = new Map<string, string[]>()
  for (const n of nodes) {
    const group = groups.get(root(n))
    if (group) group.push(n)
    else groups.set(root(n), [n])
  }
  return [...groups.values()]
}

/** Takes a group apart in which a parted pair would stand together. */
function parting(
  group: readonly string[],
  classes: readonly (readonly string[])[],
  joined: readonly Decision[],
  parted: ReadonlySet<string>,
): Decided {
  const own = new Set(group)
  const inside = joined.filter((d) => own.has(d.a) && own.has(d.b))
  const toSettle = new Map<string, ToSettle>()
  const settle = (a: string, b: string): void => {
    if (!parted.has(pairKey(a, b))) toSettle.set(pairKey(a, b), a < b ? { a, b } : { a: b, b: a })
  }
  // What people joined holds, unless people parted it too: then each record stands alone.
  const blocks = connected(
    group,
    inside.map((d) => [d.a, d.b] as const),
  ).flatMap((block) => {
    if (!holdsParted(block, parted)) return [block]
    for (const d of inside) if (block.includes(d.a)) settle(d.a, d.b)
    return block.map((id) => [id])
  })
  const ends = new Set([...parted].flatMap((p) => p.split(' ')).filter((id) => own.has(id)))
  const alone = blocks.filter((b) => b.some((id) => ends.has(id)))
  const free = new Set(blocks.filter((b) => !alone.includes(b)).flat())
  const rest = connected(
    group.filter((id) => free.has(id)),
    [
      ...classes.flatMap((c) => chain(c.filter((id) => free.has(id)))),
      ...inside.filter((d) => free.has(d.a) && free.has(d.b)).map((d) => [d.a, d.b] as const),
    ],
  )
  // Every two parts that the rules held for one, and that nobody has parted, are to be looked at.
  const parts = [...alone, ...rest]
  parts.forEach((p, i) => {
    for (const q of parts.slice(i + 1)) {
      const together = classes.some((c) => p.some((id) => c.includes(id)) && q.some((id) => c.includes(id)))
      const told = p.some((a) => q.some((b) => parted.has(pairKey(a, b))))
      if (together && !told) settle(p[0]!, q[0]!)
    }
  })
  return { classes: parts, toSettle: [...toSettle.values()] }
}
