import { hasErrors } from '../../base'
import { readDescription } from '../description'
import { readFrom } from '../read'
import { readProfile, type Profile } from '../schema'
import { assembled } from './assembled'
import { chooseSplits } from './choose-splits'
import { examplesIn, placeOf, type Example, type Shown } from './examples'
import { inferredFrom, saidOfCodes } from './from-rows'
import { listForms } from './list-forms'
import { splitsOf } from './slots'

/** Something that the examples do not settle: shown with the examples that raise it, for a person to decide. */
export interface Doubt {
  /** The place in the description: "fields.title", "truncation.any". */
  at: string
  words: string
  /** Places of the examples in what was pasted, from 1. */
  seen: number[]
}

export interface Learned {
  /** What was learned, as a description to be checked and completed. */
  profile: Record<string, unknown>
  /** In which examples each part was seen, by its place in the description. */
  seen: Record<string, number[]>
  doubts: Doubt[]
  /** What no example tells and has to be known: at most three. */
  questions: string[]
}

/** The parts that examples show, learned from them; nothing is said to be sure that two examples say otherwise. */
export function learn(pasted: string, name = 'Database'): Learned {
  const { said: sayings, examples } = saidOfCodes(examplesIn(pasted))
  const labelled = examples.filter((e): e is Example & { shows: Shown } => e.shows !== undefined)
  const doubts: Doubt[] = []
  const seen: Record<string, number[]> = {}
  const forms = new Map<string, string>()
  const by = new Map<string, (Example & { shows: Shown })[]>()
  for (const e of labelled) by.set(placeOf(e.shows), [...(by.get(placeOf(e.shows)) ?? []), e])
  const doubt = (at: string, words: string, of: readonly Example[]): void => {
    doubts.push({ at, words, seen: of.map((e) => e.at) })
  }
  const put = (at: string, said: readonly string[], of: readonly Example[], sure = true): void => {
    const [first] = said
    if (first === undefined) return doubt(at, 'No form can be made out in this example', of)
    forms.set(at, first)
    seen[at] = of.map((e) => e.at)
    if (new Set(said).size > 1)
      doubt(at, `Two examples say otherwise: ${[...new Set(said)].join(' and ')}`, of)
    else if (!sure) doubt(at, `It may also be read another way; taken is ${first}`, of)
  }
  // Words that stand in several examples are looked for, and codes are not.
  const common = commonWords(examples)
  const slots = (role: 'fields' | 'headings' | 'classes', slot: string): void => {
    const of = [...by].filter(([at]) => at.startsWith(`${role}.`))
    const chosen = chooseSplits(
      of.map(([, list]) => list.map((e) => splitsOf(e.text))),
      common,
      role !== 'headings',
    )
    of.forEach(([at, list], i) => {
      const { splits, sure } = chosen[i]!
      put(
        at,
        splits.map((s) => `${s.before}{${slot}}${s.after}`),
        list,
        sure,
      )
    })
  }
  slots('fields', 'expr')
  slots('headings', 'label')
  slots('classes', 'code')
  for (const [at, list] of by) {
    const texts = list.map((e) => e.text)
    const all = (found: (string | undefined)[], sure = true): void =>
      put(
        at,
        found.filter((f) => f !== undefined),
        list,
        sure && found.every((f) => f !== undefined),
      )
    const { shows } = list[0]!
    if (shows.part === 'op') all(texts.map((t) => /^\S+\s+(.+?)\s+\S+$/.exec(unquotedText(t))?.[1]))
    if (shows.part === 'phrase')
      all(
        texts
          .map((t) => /^([^\p{L}\p{N}\s]+).*?([^\p{L}\p{N}\s]+)$/u.exec(t))
          .map((m) => m?.slice(1).join(' ')),
      )
    if (shows.part === 'any') all(texts.map((t) => /^\p{L}+([^\p{L}\p{N}\s]+)$/u.exec(t)?.[1]))
    if (shows.part === 'one') all(texts.map((t) => /^\p{L}+([^\p{L}\p{N}\s]+)\p{L}*$/u.exec(t)?.[1]))
    if (shows.part === 'upTo') all(texts.map((t) => numbered(/^\p{L}+([^\p{L}\s]+)$/u.exec(t)?.[1])))
    if (shows.part === 'near')
      all(texts.map((t) => numbered(/^\S+\s+(.+?)\s+\S+$/.exec(unquotedText(t))?.[1])))
    if (shows.part === 'line') all(texts.map((t) => numbered(t)))
    if (shows.part === 'years')
      all(
        texts.map((t) =>
          /\d{4}.*\d{4}/.test(t) ? t.replace(/\d{4}/, '{from}').replace(/\d{4}/, '{to}') : undefined,
        ),
      )
    if (shows.part === 'language')
      all(
        texts.map((t) =>
          /English|German|French|Spanish/.test(t)
            ? t.replace(/English|German|French|Spanish/, '{values}')
            : undefined,
        ),
      )
  }
  const rows = examples.filter((e) => !e.shows)
  const inferred = inferredFrom(rows, sayings)
  for (const { at, form, seen: rowsOf, doubt: open } of inferred.forms) {
    // What an example shows is not made out from rows.
    if (forms.has(at)) continue
    forms.set(at, form)
    seen[at] = rowsOf
    if (open) doubts.push({ at, words: open, seen: rowsOf })
  }
  // Codes that no example shows: what they search in nobody can see.
  const shownForms = [...forms.values()]
  for (const { sign, seen: rowsOf } of inferred.unknown)
    if (!shownForms.some((f) => f.includes(sign)))
      doubts.push({
        at: 'fields',
        words: `What does ${sign} search in? Add a row that says so: “${sign} is the title”`,
        seen: rowsOf,
      })
  const lists = listForms(by, forms, doubt, seen)
  const draft = assembled(name, forms, lists)
  const read = readProfile(draft)
  const profile = read.ok ? read.value : undefined
  if (!profile)
    for (const p of read.ok ? [] : read.problems)
      doubts.push({ at: String(p.at), words: p.message, seen: [] })
  else checkAgainst(profile, examples, doubts)
  const known = (at: string): boolean => forms.has(at)
  const questions = [
    'What does the database make of two words with nothing between: all of them, a phrase, or any?',
    'Where AND and OR stand together without brackets, which binds tighter?',
    ...(known('nearness.either') || known('nearness.ordered')
      ? ['Does the number of nearness count the words between, or the steps from word to word?']
      : ['Do operators count in capitals only?']),
  ]
  return { profile: draft, seen, doubts, questions }
}

/** A text without its quotes: a phrase counts as one word there. */
const unquotedText = (text: string): string => text.replace(/"[^"]*"|'[^']*'|«[^»]*»/g, 'x')

/** The one number of a text as a slot; undefined where there is none, or several. */
const numbered = (text: string | undefined): string | undefined =>
  text !== undefined && text.match(/\d+/g)?.length === 1 ? text.replace(/\d+/, '{n}') : undefined

/** Words of four letters and more that stand in two examples at least. */
function commonWords(examples: readonly Example[]): ReadonlySet<string> {
  const counts = new Map<string, number>()
  for (const { text } of examples)
    for (const word of new Set(text.toLowerCase().match(/\p{L}{4,}/gu) ?? []))
      counts.set(word, (counts.get(word) ?? 0) + 1)
  return new Set([...counts].flatMap(([word, n]) => (n > 1 ? [word] : [])))
}

/** Reads every example by what was learned: one that shows something and reads as something else is a doubt of its own. */
function checkAgainst(profile: Profile, examples: readonly Example[], doubts: Doubt[]): void {
  const collided = readDescription(profile)
  if (!collided.ok)
    for (const p of collided.problems) doubts.push({ at: String(p.at), words: p.message, seen: [] })
  for (const e of examples) {
    if (e.shows?.part === 'years' || e.shows?.part === 'language') continue
    const read = readFrom(e.text, profile)
    const wrong = hasErrors(read.problems) || read.problems.length > 0 || !read.tree
    if (wrong)
      doubts.push({
        at: e.shows ? placeOf(e.shows) : 'examples',
        words: `${e.text} cannot be read by what was learned: ${read.problems[0]?.message ?? 'nothing is left of it.'}`,
        seen: [e.at],
      })
  }
}
