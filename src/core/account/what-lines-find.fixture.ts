import type { Line } from './journal-state.fixture'

/** What a line asks, spelled out through all lines it refers to, as plain text: two that are equal ask the same. */
export function spelledOut(lines: readonly Line[], i: number): string {
  const { text, limits } = lines[i]!
  const opened = text
    .replace(/any\(([^)]*)\)|all\(([^)]*)\)/g, (_, any: string | undefined, every: string | undefined) => {
      const numbers = [...(any ?? every ?? '').matchAll(/#(\d+)(?:-#(\d+))?/g)].flatMap((m) =>
        Array.from({ length: Number(m[2] ?? m[1]) - Number(m[1]) + 1 }, (_x, k) => `#${Number(m[1]) + k}`),
      )
      return `(${numbers.join(any === undefined ? ' AND ' : ' OR ')})`
    })
    .replace(/#(\d+)/g, (_, n: string) =>
      Number(n) - 1 < i ? `(${spelledOut(lines, Number(n) - 1)})` : '#none',
    )
  return limits.length ? `(${opened}) LIMIT ${JSON.stringify(limits)}` : opened
}

/**
 * Does every record that a line finds have a property? Tried on records of every make: each has some of the words and
 * some of the limits. The words of the texts are single letters, so that a record is a set of letters.
 */
export function finds(
  lines: readonly Line[],
  i: number,
  has: (word: string) => boolean,
  passes: (limit: string) => boolean,
): boolean {
  const expression = spelledOut(lines, i)
  let at = 0
  const skip = (): void => {
    while (expression[at] === ' ') at++
  }
  const or = (): boolean => {
    let value = and()
    for (skip(); expression.startsWith('OR', at); skip()) {
      at += 2
      const right = and()
      value = value || right
    }
    return value
  }
  const and = (): boolean => {
    let value = not()
    for (skip(); expression.startsWith('AND', at); skip()) {
      at += 3
      const right = not()
      value = value && right
    }
    return value
  }
  const not = (): boolean => {
    let value = unit()
    for (skip(); expression.startsWith('NOT', at); skip()) {
      at += 3
      const right = unit()
      value = value && !right
    }
    return value
  }
  const unit = (): boolean => {
    skip()
    if (expression[at] === '(') {
      at++
      let value = or()
      skip()
      at++
      skip()
      if (expression.startsWith('LIMIT', at)) {
        at += 6
        const end = expression.indexOf(']', expression.indexOf('}]', at)) + 1
        for (const l of JSON.parse(expression.slice(at, end)) as object[])
          value = value && passes(JSON.stringify(l))
        at = end
      }
      return value
    }
    const word = /^(?:(?:title|text): )?(?:heading(?:\.below)?: "([^"]+)"|#none|[\w*"]+)/.exec(
      expression.slice(at),
    )!
    at += word[0].length
    return has(word[1] ?? word[0].replace(/^(?:title|text): /, ''))
  }
  return or()
}

/** Every part of a list, the empty one and the whole too. */
export const subsets = <T>(list: readonly T[]): T[][] =>
  list.reduce<T[][]>((all, x) => [...all, ...all.map((s) => [...s, x])], [[]])

/** Can a line find anything at all? Of nothing, everything is true, and nothing can be checked. */
export function findsSomething(lines: readonly Line[]): boolean {
  const words = [...new Set(lines.flatMap((_, i) => spelledOut(lines, i).match(/"[^"]+"|[a-z]+\*?/g) ?? []))]
  const last = lines.length - 1
  return subsets(words.map((w) => w.replace(/"/g, ''))).some((r) =>
    finds(
      lines,
      last,
      (w) => r.includes(w),
      () => true,
    ),
  )
}

/** Does a limit hold for everything that a line finds? */
export function limitHolds(lines: readonly Line[], i: number, limit: Line['limits'][number]): boolean {
  const words = [...new Set(lines.flatMap((l) => l.text.match(/[a-z]+\*?/g) ?? []))].filter(
    (w) => !['any', 'all', 'title', 'text', 'heading', 'below'].includes(w),
  )
  const labels = [...new Set(lines.flatMap((l) => [...l.text.matchAll(/"([^"]+)"/g)].map((m) => m[1]!)))]
  const limits = [...new Set(lines.flatMap((l) => l.limits.map((x) => JSON.stringify(x))))]
  const same = (x: string): boolean => {
    const y = JSON.parse(x) as typeof limit
    return (
      y.kind === limit.kind &&
      JSON.stringify([...(y.values ?? [])].sort()) === JSON.stringify([...(limit.values ?? [])].sort()) &&
      y.from === limit.from &&
      y.to === limit.to
    )
  }
  if (!limits.some(same)) return false
  for (const record of subsets([...words, ...labels]))
    for (const passed of subsets(limits)) {
      if (
        !finds(
          lines,
          i,
          (w) => record.includes(w),
          (l) => passed.includes(l),
        )
      )
        continue
      if (!passed.some(same)) return false
    }
  return true
}
