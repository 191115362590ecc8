import type { ProfileDraft } from '@/core/profile'

/** The parts of a description that are a text. */
export type TextKey = Exclude<
  { [K in keyof ProfileDraft]: string extends ProfileDraft[K] ? K : never }[keyof ProfileDraft],
  'id' | 'rows' | 'rowsMost'
>

/** What the form calls each of them, and its place in the profile. */
export const PARTS: Readonly<Record<TextKey, { label: string; place: string }>> = {
  name: { label: 'name', place: 'name' },
  platform: { label: 'platform', place: 'platform' },
  coverage: { label: 'coverage', place: 'coverage' },
  help: { label: 'help page', place: 'help' },
  bracketOpen: { label: 'brackets open with', place: 'brackets.open' },
  bracketClose: { label: 'and close with', place: 'brackets.close' },
  and: { label: 'AND', place: 'operators.and' },
  or: { label: 'OR', place: 'operators.or' },
  not: { label: 'NOT', place: 'operators.not' },
  any: { label: 'any ending', place: 'truncation.any' },
  one: { label: 'exactly one character', place: 'truncation.one' },
  upTo: { label: 'at most n characters', place: 'truncation.upTo' },
  shortestStem: { label: 'least letters before a sign', place: 'truncation.shortestStem' },
  mostForms: { label: 'most forms of a stem', place: 'truncation.mostForms' },
  quoteOpen: { label: 'phrases begin with', place: 'quotes.open' },
  quoteClose: { label: 'and end with', place: 'quotes.close' },
  nearEither: { label: 'in either order', place: 'nearness.either' },
  nearOrdered: { label: 'in this order', place: 'nearness.ordered' },
  nearMost: { label: 'greatest n', place: 'nearness.most' },
  heading: { label: 'this heading', place: 'headings.plain' },
  headingBelow: { label: 'with narrower', place: 'headings.below' },
  headingMain: { label: 'as main focus', place: 'headings.main' },
  headingBelowMain: { label: 'both', place: 'headings.belowMain' },
  code: { label: 'classification code', place: 'classes.plain' },
  together: { label: 'several codes at one place, parted by', place: 'together' },
  stopWords: { label: 'words it does not search', place: 'stopWords' },
  lineAlso: { label: 'or also', place: 'lines.also' },
  codeBelow: { label: 'with those below', place: 'classes.below' },
  line: { label: 'a line by its number', place: 'lines.reference' },
  linesAny: { label: 'any of several', place: 'lines.anyOf' },
  linesAll: { label: 'all of several', place: 'lines.allOf' },
  linesRange: { label: 'a range in a list', place: 'lines.range' },
  linesSeparator: { label: 'parted by', place: 'lines.separator' },
  longestQuery: { label: 'longest query, in characters', place: 'caps.longestQuery' },
  shown: { label: 'most records shown', place: 'caps.shown' },
  exported: { label: 'most records exported', place: 'caps.exported' },
}

/** What is wrong with a description, by the place in the profile: "must hold {expr} exactly once". */
export type ProfileProblems = ReadonlyMap<string, string>

/** What every part of the form is given. */
export interface PartProps {
  draft: ProfileDraft
  set: (draft: ProfileDraft) => void
  problems: ProfileProblems
}

/** What is wrong with a part, or with one inside it. */
export const within = (problems: ProfileProblems, place: string): string | undefined =>
  problems.get(place) ?? [...problems].find(([at]) => at.startsWith(`${place}.`))?.[1]

/** What the form calls a place of the profile; the place itself where the form does not show it. */
export function placeWords(at: string): string {
  const part = Object.values(PARTS).find(({ place }) => at === place || at.startsWith(`${place}.`))
  if (part) return part.label
  const [first, second = ''] = at.split('.')
  if (first === 'limits') return `limit by ${second}`
  if (first === 'rows') return 'rows of the form'
  if (first === 'fields') return 'form of a field'
  if (first === 'forms') return 'forms'
  if (first === 'tests') return `query ${Number(second) + 1} that came with it`
  if (first === 'any') return 'searched where no field is named'
  return at
}
