/** What is said of concepts: their names as they are listed, the reason that is given, and what became of the plan. */
export interface NotRequired {
  names: string
  reason: string | undefined
  how: 'plan' | 'done' | 'not done'
  butIn: string | undefined
}

export function asked(sentence: string): { question: string } | undefined {
  const m = /^The review asks: ([^…]*)$/.exec(sentence)
  return m ? { question: m[1]! } : undefined
}

export function divided(sentence: string): { names: string } | undefined {
  const m =
    /^(?:(?:We|I) divided the question|(?:Its question|The question|It) was divided) into ([^…]*)\.$/.exec(
      sentence,
    )
  return m ? { names: m[1]! } : undefined
}

export interface OneEnough {
  names: string
  how: 'plan' | 'done' | 'not done'
  butIn: string | undefined
}

export function oneEnough(sentence: string): OneEnough | undefined {
  const m =
    /^(?:Of (.*), one|One of (.*)) (was|is to be|was to be) enough(?:; the search(?:es)? in (.*) had it otherwise)?\.$/.exec(
      sentence,
    )
  if (!m || (m[3] === 'was to be') !== (m[4] !== undefined)) return undefined
  const how = m[3] === 'was' ? 'done' : m[3] === 'is to be' ? 'plan' : 'not done'
  return { names: (m[1] ?? m[2])!, how, butIn: m[4] }
}

const BUT = '(?:; the search(?:es)? in (.*) required (?:it|them) all the same)?'
const WHY = '(?:, because (.*?))?'
const PLAN =
  '(?:We|I) plan not to require (.*?) in the searches|The searches are not to require (.*?)|Not to be required in the searches (?:is|are) (.*?)'
const DONE =
  '(?:We|I) did not require (.*?) in the searches|The searches did not require (.*?)|Not required in the searches (?:was|were) (.*?)'
const NOT =
  '(?:We|I) had planned not to require (.*?) in the searches|The searches were not to require (.*?)|Not to be required in the searches (?:was|were) (.*?)'

export function notRequired(sentence: string): NotRequired | undefined {
  for (const [how, said] of [
    ['plan', PLAN],
    ['done', DONE],
    ['not done', NOT],
  ] as const) {
    const m = new RegExp(`^(?:${said})${WHY}${BUT}\\.$`).exec(sentence)
    if (m && (how === 'not done') === (m[5] !== undefined))
      return { names: (m[1] ?? m[2] ?? m[3])!, reason: m[4], how, butIn: m[5] }
  }
  return undefined
}
