import { hasErrors } from '../../base'
import { readDescription } from '../description'
import { readFrom } from '../read'
import { readProfile, type Profile } from '../schema'
import { examplesIn, type Example, type Shown } from './examples'
import { codeIn, shapeOf, splitsOf, type Split } from './slots'

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

const placeOf = (s: Shown): string => {
  switch (s.part) {
    case 'field':
      return `fields.${[...s.fields].sort().join(',')}`
    case 'heading':
      return `headings.${s.below ? (s.main ? 'belowMain' : 'below') : s.main ? 'main' : 'plain'}`
    case 'class':
      return `classes.${s.below ? 'below' : 'plain'}`
    case 'near':
      return `nearness.${s.ordered ? 'ordered' : 'either'}`
    case 'op':
      return `operators.${s.op}`
    case 'lines':
      return `lines.${s.mode === 'any' ? 'anyOf' : 'allOf'}`
    case 'line':
      return 'lines.reference'
    case 'years':
    case 'language':
      return `limits.${s.part}`
    case 'phrase':
      return 'quotes'
    default:
      return `truncation.${s.part}`
  }
}

/** The parts that examples show, learned from them; nothing is said to be sure that two examples say otherwise. */
export function learn(pasted: string, name = 'Database'): Learned {
  const examples = examplesIn(pasted)
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

/**
 * For each place the splits of its examples that fit together best: codes of one database are written alike, differ from place
 * to place, and are the same in all examples of one. Not sure where another way fits as well.
 */
function chooseSplits(
  places: readonly (readonly Split[])[][],
  common: ReadonlySet<string>,
  alike: boolean,
): { splits: Split[]; sure: boolean }[] {
  const worth = (s: Split): number => {
    const words = s.content.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
    const code = codeIn(s)
    return (
      (words.some((w) => common.has(w)) ? 3 : 0) +
      (/^["'«“(]/u.test(s.content) ? 3 : 0) +
      (common.has(code.toLowerCase()) ? -3 : 0) +
      (code ? 1 : 0) +
      Math.min(words.length, 3) * 0.5 +
      Math.min(words.join('').length, 12) * 0.05 -
      Math.min(code.length, 12) * 0.05
    )
  }
  /** The best split of each example of a place under a shape, all with one code; undefined where one has none. */
  const under = (
    place: readonly (readonly Split[])[],
    shape: string | undefined,
  ): { splits: Split[]; worth: number } | undefined => {
    const fitting = place.map((splits) => splits.filter((s) => shape === undefined || shapeOf(s) === shape))
    const codes = new Set(fitting.flat().map((s) => `${s.before}\n${s.after}`))
    let best: { splits: Split[]; worth: number } | undefined
    for (const code of codes) {
      const splits = fitting.map((f) => f.find((s) => `${s.before}\n${s.after}` === code))
      const own = splits.filter((s) => s !== undefined)
      const value =
        own.reduce((n, s) => n + worth(s), 0) + (own.length === place.length && place.length > 1 ? 4 : 0)
      if (own.length && (!best || value > best.worth))
        best = {
          splits:
            own.length === place.length
              ? own
              : [...own, ...fitting.flatMap((f, i) => (splits[i] ? [] : (f[0] ?? [])))],
          worth: value,
        }
    }
    return best
  }
  if (!alike) {
    // Headings begin with a capital, and a help page mostly shows the same one in all its forms.
    const capital = (s: Split): boolean => /^["'«“]?\p{Lu}/u.test(s.content)
    const everywhere = (s: Split): boolean =>
      places.every((p) => p.every((splits) => splits.some((o) => o.content === s.content)))
    const named = (s: Split): number => worth(s) + (capital(s) ? 2 : 0) + (everywhere(s) ? 2 : 0)
    return places.map((place) => {
      const ranked = rankedCodes(place, named)
      const [first, second] = ranked
      // Quotes round a heading may be those of a phrase, or belong to the form: no example of one heading can tell.
      const quoted = first?.splits.some((s) => /^["'«“]/u.test(s.content)) ?? false
      const rival = second?.splits.every((s) => capital(s) && everywhere(s)) ?? false
      return {
        splits: first?.splits ?? [],
        sure: !quoted && !rival && (!second || first!.worth - second.worth > 1),
      }
    })
  }
  const shapes = [...new Set(places.flat(2).map(shapeOf))]
  const scored = shapes
    .map((shape) => {
      const chosen = places.map((p) => under(p, shape))
      const codes = chosen.flatMap((c) => c?.splits.slice(0, 1).map(codeIn) ?? [])
      const value = chosen.reduce((n, c) => n + (c?.worth ?? -6), 0) + new Set(codes).size - codes.length
      return { chosen, value }
    })
    .sort((a, b) => b.value - a.value)
  const [best, second] = scored
  if (!best) return places.map(() => ({ splits: [], sure: false }))
  const sure = !second || best.value - second.value > 1
  return best.chosen.map((c) => ({ splits: c?.splits ?? [], sure }))
}

/** The codes that the examples of one place may have, the likeliest first. */
function rankedCodes(
  place: readonly (readonly Split[])[],
  worth: (s: Split) => number,
): { splits: Split[]; worth: number }[] {
  const codes = new Map<string, Split[]>()
  for (const splits of place)
    for (const s of splits)
      codes.set(`${s.before}\n${s.after}`, [...(codes.get(`${s.before}\n${s.after}`) ?? []), s])
  return [...codes.values()]
    .map((splits) => ({
      splits:
        splits.length === place.length
          ? splits
          : [...splits, ...place.flatMap((p) => (p.some((s) => splits.includes(s)) ? [] : (p[0] ?? [])))],
      worth:
        splits.reduce((n, s) => n + worth(s), 0) +
        (splits.length === place.length && place.length > 1 ? 4 : 0),
    }))
    .sort((a, b) => b.worth - a.worth)
}

interface Lists {
  anyOf?: string
  allOf?: string
  range?: string
  separator?: string
}

/** The forms of lists of lines: what stands round them, between two of them, and in a range. */
function listForms(
  by: ReadonlyMap<string, (Example & { shows: Shown })[]>,
  forms: ReadonlyMap<string, string>,
  doubt: (at: string, words: string, of: readonly Example[]) => void,
  seen: Record<string, number[]>,
): Lists {
  const reference = forms.get('lines.reference')
  const lists: Lists = {}
  for (const mode of ['anyOf', 'allOf'] as const) {
    const of = by.get(`lines.${mode}`)
    if (!of) continue
    const [example] = of
    if (reference === undefined) {
      doubt(`lines.${mode}`, 'How one line is named no example shows.', of)
      continue
    }
    const one = reference.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&').replace('\\{n\\}', '\\d+')
    const found = [...example!.text.matchAll(new RegExp(one, 'gu'))]
    const ends = found.map((m) => m.index + m[0].length)
    if (found.length < 2) {
      doubt(`lines.${mode}`, 'Two lines at least have to stand in the list.', of)
      continue
    }
    lists[mode] = `${example!.text.slice(0, found[0]!.index)}{list}${example!.text.slice(ends.at(-1))}`
    seen[`lines.${mode}`] = of.map((e) => e.at)
    const between = found.slice(1).map((m, i) => example!.text.slice(ends[i], m.index))
    lists.separator ??= between[0]!
    const range = between.find((b) => b !== between[0])
    if (range !== undefined) lists.range ??= `{from}${range}{to}`
  }
  return lists
}

function assembled(name: string, forms: ReadonlyMap<string, string>, lists: Lists): Record<string, unknown> {
  const of = (at: string): string | undefined => forms.get(at)
  const [open = '"', close = '"'] = (of('quotes') ?? '" "').split(' ')
  const fields = [...forms].flatMap(([at, form]) =>
    at.startsWith('fields.') ? [{ of: at.slice('fields.'.length).split(','), form }] : [],
  )
  const group = (key: string, ...parts: string[]): Record<string, string> | undefined => {
    const found = parts.flatMap((p) =>
      of(`${key}.${p}`) === undefined ? [] : [[p, of(`${key}.${p}`)!] as const],
    )
    return found.length ? Object.fromEntries(found) : undefined
  }
  const headings = group('headings', 'plain', 'below', 'main', 'belowMain')
  const classes = group('classes', 'plain', 'below')
  const nearness = group('nearness', 'either', 'ordered')
  const not = of('operators.not')
  const limits = Object.fromEntries(
    ['years', 'language'].flatMap((k) =>
      of(`limits.${k}`) === undefined ? [] : [[k, { form: of(`limits.${k}`) }]],
    ),
  )
  return {
    id:
      name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'database',
    name,
    kind: 'other',
    operators: {
      and: [of('operators.and') ?? 'and'],
      or: [of('operators.or') ?? 'or'],
      ...(not === undefined ? {} : { not: [not] }),
      binding: not === undefined ? [['and', 'or']] : [['and', 'or', 'not']],
    },
    sideBySide: 'all',
    quotes: { open, close },
    truncation: group('truncation', 'any', 'one', 'upTo') ?? {},
    ...(nearness ? { nearness } : {}),
    fields,
    any: ['title', 'abstract', 'keywords', 'subject'],
    ...(headings?.plain ? { headings } : {}),
    ...(classes?.plain ? { classes } : {}),
    ...(of('lines.reference')
      ? { lines: { reference: of('lines.reference'), ...lists, kept: 'session' } }
      : {}),
    limits,
  }
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
