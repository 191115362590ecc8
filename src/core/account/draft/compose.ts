import { asTold } from '../as-run'
import { paragraph, type Inline, type Paragraph } from '../document'
import { inlineWords, type FactContext, type Stage } from '../facts'
import { selectClaims } from '../claims'
import { sayingsTold, type SayingName } from '../sayings'
import type { Grouped, GroupedOf, Phase, Theme } from './grouped'
import { judging, screening } from './group/read'
import { departing } from './group/protocol'
import { toldAs } from './group/told-as'
import { where } from './group/where'
import { words } from './group/words'
import { sayingsOf, speaker } from './say'

/** How a section is told: by theme or in order of time, in full or short. */
export interface Telling {
  order: 'theme' | 'time'
  length: 'full' | 'short'
}

/** What is told in a few sentences, with what it rests on and the stage that feeds it. */
export interface ToldSentence {
  told: Grouped
  stage: Stage
  content: Inline[]
}
export interface ToldPart {
  id: Theme | Phase
  sentences: ToldSentence[]
}

/** Everything there is to say of a review, put together and in order; no word is written yet. */
export function groupAll(of: FactContext, { order, length }: Telling): Grouped[] {
  const context = asTold(of)
  const claims = selectClaims(context)
  const sayings = sayingsTold(context)
  const all = [
    ...where(claims, sayings, order === 'time'),
    ...words(claims, sayings, context, order === 'time'),
    ...screening(sayings),
    ...judging(sayings),
    ...departing(claims),
    ...toldAs(
      sayings.filter((s) => s.saying === 'deposited'),
      ['plan'],
    ),
  ]
  // How many known items were found is told when it has been told what came in.
  const told = after(all, 'found', 'came-in')
  if (length === 'full') return told
  const full = told.some((g) => nameOf(g) === 'texts-read')
  const how = told.some((g) => g.tells === 'ways')
  const lacking = told.some((g) => g.tells === 'no limit' || g.tells === 'stood in')
  const ways = told.filter((g): g is GroupedOf<'other way'> => g.tells === 'other way' && g.done)
  const protocol = told.some((g) => g.tells === 'protocol')
  const departed = told.find((g): g is GroupedOf<'departed'> => g.tells === 'departed')
  const short = told.filter(
    // What was read in full says how many were sought.
    (g) => g.core && !(full && nameOf(g) === 'texts-sought') && !(how && g.tells === 'broken'),
  )
  return short.flatMap((g): Grouped[] => {
    // What was departed from is said where the protocol is.
    if (g.tells === 'departed' && protocol) return []
    if (g.tells === 'protocol')
      return [g.begun ? { ...g, points: departed?.points ?? 0 } : { ...g, registered: false }]
    if (g.tells === 'limits' && lacking) return [{ ...g, ...inShort(g), partly: true } as Grouped]
    if (g.tells !== 'other way' || !g.done || ways.length < 2) return [inShort(g)]
    if (g !== ways[0]) return []
    const { theme, phase, stage } = g
    return [
      {
        tells: 'other ways',
        theme,
        phase,
        stage,
        on: ways.flatMap((w) => w.on),
        ways: ways.map(({ sourceId, kind }) => ({ sourceId, kind })),
      },
    ]
  })
}

/** What is told, by its name. */
export const nameOf = (g: Grouped): string => (g.tells === 'saying' ? g.saying : g.tells)

/** The same with one thing right behind another, where both are there. */
function after(all: readonly Grouped[], what: Grouped['tells'], behind: SayingName): Grouped[] {
  const moved = all.filter((g) => g.tells === what)
  const others = all.filter((g) => g.tells !== what)
  const at = others.findIndex((g) => nameOf(g) === behind)
  return moved.length && at >= 0 ? [...others.slice(0, at + 1), ...moved, ...others.slice(at + 1)] : [...all]
}

/** Reasons go to the full form. */
function inShort(told: Grouped): Grouped {
  switch (told.tells) {
    case 'limits':
      return { ...told, limits: told.limits.map((l) => ({ ...l, reason: '' })) }
    case 'limit in some':
      return { ...told, limit: { ...told.limit, reason: '' } }
    case 'searched':
      return { ...told, table: false }
    case 'other way':
      return { ...told, reason: '' }
    case 'terms':
      return { ...told, few: true }
    case 'saying':
      return { ...told, short: true }
    case 'dated':
      return { ...told, counted: false }
    case 'ways':
      return {
        ...told,
        ways: told.ways.slice(0, 1).map((w) => ({ ...w, what: { ...w.what, narrower: undefined } })),
        all: told.all && told.ways.length === 1,
      }
    default:
      return told
  }
}

const THEMES: readonly Theme[] = ['where', 'words', 'screened', 'judged']
const PHASES: readonly Phase[] = ['planned', 'searched', 'again', 'screened', 'judged']

/** The parts of a section in their order. */
export const partsInOrder = ({ order }: Telling): readonly (Theme | Phase)[] =>
  order === 'time' ? PHASES : THEMES

const wordsOf = (content: readonly Inline[], context: FactContext): string =>
  content.map((n) => inlineWords(context, n)).join('')

/** The first words of each sentence of a text, as far as sentences can be told apart by their stops. */
const openings = (text: string): string[] =>
  text
    .split(/(?<=[.?!]["”’]?) (?=\p{Lu})/u)
    .map((s) => /^[^\s,;:]+/.exec(s.trim())?.[0].toLowerCase() ?? '')
    .filter(Boolean)

/** One way of saying a thing: with its words, and how its sentences begin. */
function wayOf(saying: string, context: FactContext) {
  const content = paragraph(saying).content ?? []
  const words = wordsOf(content, context)
  // "Beyond databases we …" is not said twice in a part.
  return { content, begins: openings(words), opening: words.split(' ').slice(0, 2).join(' ') }
}

/** Names of databases are short from the second time on. */
function shortened(content: readonly Inline[], named: Set<string>): Inline[] {
  return content.map((node) => {
    const id = node.type === 'fact' && /^source\.name:(.*)$/.exec(node.attrs.ref)?.[1]
    if (!id) return node
    if (named.has(id)) return { type: 'fact', attrs: { ref: `source.short:${id}` } }
    named.add(id)
    return node
  })
}

/**
 * The section as it is drafted: parts of sentences. Of the ways in which a thing can be said, that one is taken by which no
 * sentence begins like the one before.
 */
export function compose(context: FactContext, telling: Telling): ToldPart[] {
  const say = speaker(context.review.account.voice)
  const all = groupAll(context, telling)
  const named = new Set<string>()
  return partsInOrder(telling).flatMap((id): ToldPart[] => {
    let last = ''
    const begun = new Set<string>()
    const sentences = all
      .filter((g) => (telling.order === 'time' ? g.phase : g.theme) === id)
      .map((told): ToldSentence => {
        const all = sayingsOf(told, say, context)
        // The first way mostly does: the others are put into words only where it does not.
        const made: ReturnType<typeof wayOf>[] = []
        const find = (fits: (way: ReturnType<typeof wayOf>) => boolean) => {
          for (let n = 0; n < all.length; n++) {
            const way = (made[n] ??= wayOf(all[n]!, context))
            if (fits(way)) return way
          }
          return undefined
        }
        const differs = ({ begins }: ReturnType<typeof wayOf>): boolean =>
          [last, ...begins].every((b, n, list) => n === 0 || b !== list[n - 1])
        const best = find((w) => differs(w) && !begun.has(w.opening)) ?? find(differs) ?? made[0]!
        const chosen = shortened(best.content, named)
        begun.add(best.opening)
        last = openings(wordsOf(chosen, context)).at(-1) ?? ''
        return { told, stage: told.stage, content: chosen }
      })
    return sentences.length ? [{ id, sentences }] : []
  })
}

/** What begins a paragraph when it is first told. */
const BREAKS = new Set<string>(['other way', 'terms', 'limits', 'limit in some', 'titles-read'])

/** Sentences as paragraphs: those of one matter together, and none of a single sentence where it can be helped. */
export function paragraphsOf(sentences: readonly ToldSentence[]): Paragraph[] {
  const made: Inline[][] = []
  const begun = new Set<string>()
  let count = 0
  for (const { told, content } of sentences) {
    const name = nameOf(told)
    const matter = name === 'limit in some' ? 'limits' : name
    const last = made[made.length - 1]
    if (!last || (BREAKS.has(name) && !begun.has(matter) && count > 1)) {
      made.push([...content])
      count = 0
    } else last.push({ type: 'text', text: ' ' }, ...content)
    begun.add(matter)
    count++
  }
  return made.map((content) => ({ type: 'paragraph', content: merged(content) }))
}

/** Neighbouring plain texts as one, so that an editor keeps them as they are. */
function merged(content: readonly Inline[]): Inline[] {
  const out: Inline[] = []
  for (const node of content) {
    const last = out[out.length - 1]
    if (node.type === 'text' && !node.marks && last?.type === 'text' && !last.marks)
      out[out.length - 1] = { type: 'text', text: last.text + node.text }
    else out.push(node)
  }
  return out
}
