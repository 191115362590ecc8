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

export function oneEnough(sentence: string): { names: string; was: boolean } | undefined {
  const m = /^(?:Of (.*), one|One of (.*)) (was|is to be) enough\.$/.exec(sentence)
  return m ? { names: (m[1] ?? m[2])!, was: m[3] === 'was' } : undefined
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
