import type { Heading } from './heading'
import type { Thesaurus } from './thesaurus'

/** Words that say nothing by themselves: a phrase of the question neither begins nor ends with one. */
const STOP = new Set(
  `a an the and or not of in on at to for from by with within between among into about against as is are was were be
   been being do does did done have has had having can could may might will would shall should must how what which
   who whom whose when where why whether that this these those it its they their them there than then so such no nor
   more most less least very much many any all each both few other some own same bear bears relate relates related
   affect affects effect effects influence influences impact impacts role use uses using used extent experience
   experiences we our us i you he she his her if while during`.split(/\s+/),
)

/** A stretch of the question that may stand for an idea, in UTF-16 units. */
export interface QuestionPhrase {
  text: string
  start: number
  end: number
}

/** A phrase of the question that leads to a heading, by its label or an entry term. */
export interface QuestionSuggestion extends QuestionPhrase {
  headings: { heading: Heading; by: string; entry: boolean }[]
}

const MOST_WORDS = 5

/**
 * The phrases of a question, longest first from every place: runs of up to five words that neither begin nor end with
 * a stop word and cross no comma, full stop or the like. A possessive ending is not part of a phrase.
 */
export function phrasesIn(question: string): QuestionPhrase[] {
  const words = [...question.matchAll(/[\p{L}\p{N}]+/gu)].map((m) => ({
    start: m.index,
    end: m.index + m[0].length,
    stop: STOP.has(m[0].toLowerCase()),
  }))
  const joins = (from: number, to: number): boolean =>
    /^[\s\p{Pd}’'/]*$/u.test(question.slice(words[from]!.end, words[to]!.start))
  const found: QuestionPhrase[] = []
  words.forEach((first, i) => {
    if (first.stop) return
    let reach = i
    while (reach + 1 < words.length && reach - i + 1 < MOST_WORDS && joins(reach, reach + 1)) reach++
    for (let last = reach; last >= i; last--) {
      const end = words[last]!
      if (!end.stop)
        found.push({ text: question.slice(first.start, end.end), start: first.start, end: end.end })
    }
  })
  return found
}

/** Words between the ideas of a question that the list above lacks: what is asked of them, and turns of asking. */
const BETWEEN = new Set(
  `help helps improve improves increase increases reduce reduces change changes differ differs compare compared cause
   causes raise raises decrease decreases enhance enhances promote promotes foster fosters boost boosts prevent prevents
   hinder hinders alter alters strengthen strengthens weaken weakens determine determines explain explains support supports lead leads associated association depend depends predict predicts shape shapes given across
   through during towards without under over among because known found there kind kinds way ways`.split(
    /\s+/,
  ),
)

/**
 * The stretches of a question that may be its ideas, in their order: words that stand together between the words of asking, and
 * with no sign between them; of a longer stretch its last five. They are a beginning, and nothing is taken of them unasked.
 */
export function ideasIn(question: string): QuestionPhrase[] {
  const ideas: QuestionPhrase[] = []
  for (const phrase of phrasesIn(question)) {
    const words = phrase.text.toLowerCase().split(/[^\p{L}\p{N}]+/u)
    if (words.some((w) => STOP.has(w) || BETWEEN.has(w)) || !/\p{L}{3}/u.test(phrase.text)) continue
    const within = ideas.findIndex((i) => i.start <= phrase.start && i.end >= phrase.end)
    if (within >= 0) continue
    const last = ideas.at(-1)
    // A window over a stretch that is longer than a phrase may be: the later one says what it is about.
    if (last && phrase.start < last.end) ideas[ideas.length - 1] = phrase
    else ideas.push(phrase)
  }
  return ideas
}

/**
 * Phrases of the question that lead to headings of a vocabulary, in the order of the question. Of two phrases that
 * overlap and lead to the same heading only the longer is kept. An empty question gives none.
 */
export function suggestFromQuestion(question: string, thesaurus: Thesaurus): QuestionSuggestion[] {
  const found: QuestionSuggestion[] = []
  for (const phrase of phrasesIn(question)) {
    const inside = found.filter((f) => f.start < phrase.end && f.end > phrase.start)
    const headings = thesaurus
      .byLooseName(phrase.text)
      .filter(({ heading }) => !inside.some((f) => f.headings.some((h) => h.heading.id === heading.id)))
    if (headings.length) found.push({ ...phrase, headings })
  }
  return found.sort((a, b) => a.start - b.start || b.end - a.end)
}
