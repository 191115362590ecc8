import { paragraph, type Inline, type Paragraph } from '../document'
import { inlineWords, type FactContext, type Stage } from '../facts'
import { asTold } from '../as-run'
import {
  SAYINGS,
  sayingsTold,
  type Phase,
  type Place,
  type Saying,
  type SayingName,
  type Theme,
  type ToldSaying,
} from '../sayings'
import { WORDS } from '../words/en'
import { speaker, type Say } from '../words/en/speaker'
import type { Words } from '../words/en/words'

/** How a section is told: by theme or in order of time, in full or short. */
export interface Telling {
  order: 'theme' | 'time'
  length: 'full' | 'short'
}

/** What is told in one sentence, with the part in which it stands. */
export type Told = ToldSaying & Place & { core: boolean }

/** What is told in a few sentences, and the stage that feeds it. */
export interface ToldSentence {
  told: Told
  stage: Stage
  content: Inline[]
}
export interface ToldPart {
  id: Theme | Phase
  sentences: ToldSentence[]
}

/** The review as it is told in this way, whatever way it has chosen. */
function toldIn(context: FactContext, { order, length }: Telling): FactContext {
  const { account } = context.review
  // As it is told anyway: the same thing, of which much is known already.
  if ((account.order ?? 'theme') === order && (account.length ?? 'full') === length) return context
  return { ...context, review: { ...context.review, account: { ...account, order, length } } }
}

/** What the short form says in another sentence: it is not said twice. */
const SAID_BY: Readonly<Partial<Record<SayingName, SayingName>>> = {
  // What was read in full says how many were sought.
  'texts-sought': 'texts-read',
  // How lines were joined names the concepts.
  divided: 'asked-with',
}

/** Everything there is to say of a review, in order; no word is written yet. */
export function groupAll(context: FactContext): Told[] {
  const all = sayingsTold(context).map((told): Told => {
    const own = SAYINGS[told.saying] as Saying<unknown>
    const phase = own.phaseOf?.(told.found) ?? own.place.phase
    return { ...told, ...own.place, phase, core: own.core ?? false }
  })
  if (context.review.account.length !== 'short') return all
  const names = new Set(all.map((t) => t.saying))
  return all.filter(({ core, saying }) => {
    const other = SAID_BY[saying]
    return core && !(other && names.has(other))
  })
}

/** A saying in words: ways that begin differently, the best first. */
function sayingsOf(told: ToldSaying, say: Say, context: FactContext): string[] {
  const { says, short } = WORDS[told.saying] as Words<unknown>
  return (context.review.account.length === 'short' && short ? short : says)(told.found, say, context)
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
export function compose(of: FactContext, telling: Telling): ToldPart[] {
  const context = toldIn(asTold(of), telling)
  const say = speaker(context.review.account.voice)
  const all = groupAll(context)
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
const BREAKS: Readonly<Partial<Record<SayingName, string>>> = {
  'way-gone': 'ways',
  'way-planned': 'ways',
  terms: 'terms',
  'limits-kept': 'limits',
  'limits-planned': 'limits',
  'limits-dropped': 'limits',
  'limit-in-some': 'limits',
  'titles-read': 'titles',
}

/** Sentences as paragraphs: those of one matter together, and none of a single sentence where it can be helped. */
export function paragraphsOf(sentences: readonly ToldSentence[]): Paragraph[] {
  const made: Inline[][] = []
  const begun = new Set<string>()
  let count = 0
  for (const { told, content } of sentences) {
    const matter = BREAKS[told.saying]
    const last = made[made.length - 1]
    if (!last || (matter && !begun.has(matter) && count > 1)) {
      made.push([...content])
      count = 0
    } else last.push({ type: 'text', text: ' ' }, ...content)
    if (matter) begun.add(matter)
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
