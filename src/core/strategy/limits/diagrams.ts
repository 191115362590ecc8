/**
 * Propositions over named signs, as decision diagrams: each is true or false for every choice of the signs, and two that
 * always agree are the same number. Small ones only: `Diagrams` gives up beyond a number of nodes.
 */
export class Diagrams {
  static readonly NEVER = 0
  static readonly ALWAYS = 1
  /** A node decides by its sign: where it is false, and where it is true. */
  private readonly nodes: { sign: number; no: number; yes: number }[] = [
    { sign: Infinity, no: 0, yes: 0 },
    { sign: Infinity, no: 1, yes: 1 },
  ]
  private readonly known = new Map<string, number>()
  private readonly chosen = new Map<string, number>()
  private readonly signs = new Map<string, number>()

  constructor(private readonly most = 20_000) {}

  /** Is this sign there? Signs are ordered as they are first asked for. */
  sign(name: string): number {
    const at = this.signs.get(name) ?? this.signs.size
    this.signs.set(name, at)
    return this.node(at, Diagrams.NEVER, Diagrams.ALWAYS)
  }
  and = (a: number, b: number): number => this.choose(a, b, Diagrams.NEVER)
  or = (a: number, b: number): number => this.choose(a, Diagrams.ALWAYS, b)
  less = (a: number, b: number): number => this.choose(b, Diagrams.NEVER, a)

  private node(sign: number, no: number, yes: number): number {
    if (no === yes) return no
    const key = `${sign} ${no} ${yes}`
    const known = this.known.get(key)
    if (known !== undefined) return known
    if (this.nodes.length >= this.most) throw new TooLarge()
    this.known.set(key, this.nodes.length)
    return this.nodes.push({ sign, no, yes }) - 1
  }

  /** `then` where `where` is true, else `other`. */
  private choose(where: number, then: number, other: number): number {
    if (where <= 1) return where ? then : other
    if (then === other) return then
    if (then === Diagrams.ALWAYS && other === Diagrams.NEVER) return where
    const key = `${where} ${then} ${other}`
    const known = this.chosen.get(key)
    if (known !== undefined) return known
    const three = [where, then, other].map((n) => this.nodes[n]!)
    const sign = Math.min(...three.map((n) => n.sign))
    const half = (yes: boolean): number => {
      const [a, b, c] = [where, then, other].map((n, i) =>
        three[i]!.sign === sign ? (yes ? three[i]!.yes : three[i]!.no) : n,
      )
      return this.choose(a!, b!, c!)
    }
    const made = this.node(sign, half(false), half(true))
    this.chosen.set(key, made)
    return made
  }
}

/** What was to be reckoned grew beyond the nodes that were allowed. */
export class TooLarge extends Error {}
