/** A sentence told of searches that are known here as it is told of all, and whether it was. */
function ofAll(sentence: string): { all: string; lost: boolean } {
  const all = BACK.reduce((words, [known, every]) => words.replace(known, every), sentence)
  return { all, lost: all !== sentence }
}
const BACK: readonly (readonly [RegExp, string])[] = [
  [/^(We|I) limited the searches known here/, '$1 limited the database searches'],
  [/^The searches known here were/, 'The database searches were'],
  [/^As far as they are known here, searches were/, 'In the databases, searches were'],
  [/ known here (was|were) /, ' $1 '],
  [/^Planned, but set in no search known here,/, 'Planned, but set in no search,'],
  [/^Of the searches known here, only in /, 'Only in '],
  [/^Of the searches known here, only those in /, 'Only the searches in '],
]

/** What searches were limited to: kinds of limits as they read, with the reason of each that has one. */
export interface LimitsRead {
  limits: { words: string; reason?: string }[]
  also: boolean
  /** Only where databases allow it. */
  partly: boolean
  /** Told of the searches that are known here: of another one nobody knows what it asked. */
  lost: boolean
}

/** "work published from 2017 to 2026, because …, and to work in English" as its parts. */
function limitsIn(list: string): LimitsRead['limits'] {
  return list.split(/, and to (?=work|peer|open|the document|what the)/).map((part) => {
    const m = /^(.*?), because (.*)$/.exec(part)
    return m ? { words: m[1]!, reason: m[2]! } : { words: part }
  })
}

const alsoIn = (sentence: string, verb: string): LimitsRead | undefined => {
  const parts = new RegExp(`^They (${verb} limited to .+)\\.$`).exec(sentence)?.[1]?.split('; they ')
  const limits = parts?.flatMap((p) => {
    const m = new RegExp(`^${verb} limited to (.+?), because (.+)$`).exec(p)
    return m ? [{ words: m[1]!, reason: m[2]! }] : []
  })
  return limits?.length && limits.length === parts!.length
    ? { limits, also: true, partly: false, lost: false }
    : undefined
}

export function limitsKept(sentence: string): LimitsRead | undefined {
  const { all, lost } = ofAll(sentence)
  const m =
    /^(?:(?:We|I) limited the database searches to|The database searches were limited to|In the databases, searches were limited to) (.+?)(, where they allow it)?\.$/.exec(
      all,
    )
  return m
    ? { limits: limitsIn(m[1]!), also: false, partly: m[2] !== undefined, lost }
    : alsoIn(sentence, 'were also')
}

export function limitsPlanned(sentence: string): LimitsRead | undefined {
  const m =
    /^(?:(?:We|I) plan to limit the database searches to|The database searches are to be limited to|In the databases, searches are to be limited to) (.+)\.$/.exec(
      sentence,
    )
  return m
    ? { limits: limitsIn(m[1]!), also: false, partly: false, lost: false }
    : alsoIn(sentence, 'will also be')
}

export function limitsDropped(sentence: string): LimitsRead | undefined {
  const { all, lost } = ofAll(sentence)
  const a =
    /^A limit to (.+?)(?:, because (.+))? was planned(?:, because (.+))?; no search was limited so\.$/.exec(
      all,
    )
  const b = /^Planned, but set in no search, was a limit to (.+)\.$/.exec(all)
  const list = a?.[1] ?? b?.[1]
  if (!list) return undefined
  const reason = a?.[3]
  const limits = list.split(
    /(?:, | and )(?=work |peer-reviewed work|open-access work|the document types|what the limit)/,
  )
  return {
    limits: limits.map((words) => ({ words, ...(reason === undefined ? {} : { reason }) })),
    also: false,
    partly: false,
    lost,
  }
}

/** A limit that held in these databases and in no other. */
export interface InSomeRead {
  names: string
  words: string
  reason?: string
  lost: boolean
}

export function limitInSome(sentence: string): InSomeRead | undefined {
  const { all, lost } = ofAll(sentence)
  const m =
    /^In (.+?) (?:we|I|the searches) kept to (.+?)(?:, because (.+))?; the others?(?: searches)? were not limited so\.$/.exec(
      all,
    ) ??
    /^Only (?:in (.+?) did (?:we|I) keep|the searches in (.+?) kept) to (.+?)(?:, because (.+))?\.$/.exec(all)
  if (!m) return undefined
  const [names, words, reason] = m.length === 4 ? [m[1], m[2], m[3]] : [m[1] ?? m[2], m[3], m[4]]
  return { names: names!, words: words!, ...(reason === undefined ? {} : { reason }), lost }
}

export function noLimit(sentence: string): { lacking: { names: string; kinds: string[] }[] } | undefined {
  const list = /^(?:As to limits, )?(.+ cannot limit by .+)\.$/.exec(sentence)?.[1]
  const lacking = list?.split('; ').map((part) => {
    const m = /^(.+) cannot limit by (.+)$/.exec(part)
    return { names: m?.[1] ?? '', kinds: m?.[2]?.split(/, | or /) ?? [] }
  })
  return lacking?.every((l) => l.names) ? { lacking } : undefined
}

export function stoodIn(
  sentence: string,
): { kind: string; by: { names: string; what: string }[] } | undefined {
  const m =
    /^(?:Where (?:there is no limit by (.+?)|(peer review) is not marked), something else stood in for it|Something else stood in where (?:there is no limit by (.+?)|(peer review) is not marked)): (.+)\.$/.exec(
      sentence,
    )
  const kind = m?.[1] ?? m?.[2] ?? m?.[3] ?? m?.[4]
  if (!m || !kind) return undefined
  const by = m[5]!.split(/; (?=in )/).map((part) => {
    const one = /^in (.+?) ((?:an?|the) .+)$/.exec(part)
    return { names: one?.[1] ?? '', what: one?.[2] ?? '' }
  })
  return by.every((b) => b.names) ? { kind, by } : undefined
}
