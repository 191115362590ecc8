import { foldLabel, keptFor, never, nonEmpty } from '../base'
import {
  and,
  heading,
  inFields,
  isNearOperand,
  mapChildren,
  maskedWords,
  maskParts,
  not,
  numbersIn,
  or,
  print,
  textSpelledOut,
  typedAs,
  walk,
  word,
  type Expr,
  type Field,
  type MaskPart,
} from '../query'
import { lossWords, type Direction, type Loss, type LossCause } from './loss'
import { formsOf, sameFields } from './forms'
import { bareWord, looseWords, nameIn, quotedWords } from './sayable'
import { typedSayable } from './signs'
import type { Profile, Reach } from './schema'

/** What printing takes from outside the profile. */
export interface PrintOptions {
  /** Labels of a heading and all below it, the heading first; undefined if the vocabulary has no such heading. */
  withNarrower?: (label: string) => readonly string[] | undefined
  /** What a line says, for databases that keep no lines. */
  line?: (number: number) => Expr | undefined
  /** The forms that a truncated word really has, for databases without truncation. */
  forms?: (word: string) => readonly string[]
}

/**
 * Rewrites an expression into one that the database can say, and names every loss. A rewrite called *wider* finds at
 * least what was asked, *narrower* at most that, under the reference evaluator; *changed* promises neither.
 */
export function adapt(e: Expr, profile: Profile, options?: PrintOptions): Adapted {
  return options ? adaptAnew(e, profile, options) : keptOf(profile)(e)
}
export interface Adapted {
  readonly tree: Expr
  readonly losses: readonly Loss[]
}
/** Without anything from outside, the same expression is rewritten once for each profile. */
const keptOf = keptFor((profile: Profile) => keptFor((e: Expr) => adaptAnew(e, profile, {})))

function adaptAnew(e: Expr, profile: Profile, options: PrintOptions): Adapted {
  const adapter = new Adapter(profile, options)
  return { tree: adapter.expr(e, undefined), losses: adapter.losses }
}

/** Fields of a list with its groups spelled out; `any` (and no field) is undefined: the default of the source. */
export function spelled(fields: readonly Field[]): Field[] | undefined {
  const all = [...new Set(textSpelledOut(fields))]
  return all.length === 1 && all[0] === 'any' ? undefined : all
}

/** The words of a name, in the letters that are searched. */
const wordsOf = (name: string): string[] => foldLabel(name).split(' ')

const within = (small: readonly string[], big: readonly string[]): boolean =>
  small.every((x) => big.includes(x))

class Adapter {
  readonly losses: Loss[] = []
  constructor(
    private readonly profile: Profile,
    private readonly options: PrintOptions,
  ) {}

  private lose(e: Expr, cause: LossCause, direction: Direction, is: Expr | string): void {
    this.losses.push({
      ...(e.at ? { at: e.at } : {}),
      cause,
      ...lossWords(cause, this.profile.name),
      direction,
      was: print(e),
      is: typeof is === 'string' ? is : print(is),
    })
  }

  /** Direction seen from the whole: under NOT, what is wider takes away more. */
  private flipped(run: () => Expr): Expr {
    const before = this.losses.length
    const e = run()
    for (const loss of this.losses.slice(before))
      loss.direction =
        loss.direction === 'wider' ? 'narrower' : loss.direction === 'narrower' ? 'wider' : 'changed'
    return e
  }

  /** `fields` is what an enclosing field asked for; undefined is the default. */
  expr(e: Expr, fields: Field[] | undefined): Expr {
    switch (e.kind) {
      case 'word':
      case 'phrase':
      case 'near':
        return this.inFields(this.sayable(this.leaf(e), e), fields, e)
      case 'and':
        return and(...e.parts.map((p) => this.expr(p, fields)))
      case 'or':
        return or(...e.parts.map((p) => this.expr(p, fields)))
      case 'not':
        return this.without(e, fields)
      case 'fields':
        return this.fielded(e, fields)
      case 'heading':
        return this.heading(e)
      case 'class':
        return this.classCode(e)
      case 'line':
      case 'lines':
        return this.lines(e)
      default:
        return never(e)
    }
  }

  /** A field whose inside is plain text stays one field; otherwise it is handed down to the words. */
  private fielded(e: Expr & { kind: 'fields' }, _outer: Field[] | undefined): Expr {
    const asked = spelled(e.fields)
    const plain = [...walk(e.of)].every(
      (p) => !['fields', 'heading', 'class', 'line', 'lines'].includes(p.kind),
    )
    const reach = asked && formsOf(this.profile).field(asked)?.means.reach
    // A code that reaches one word or phrase is given to each of them.
    if (asked && reach && reach !== 'word' && reach !== 'phrase' && plain)
      return inFields(e.fields, this.expr(e.of, undefined))
    return this.expr(e.of, asked)
  }

  private without(e: Expr & { kind: 'not' }, fields: Field[] | undefined): Expr {
    const [first, ...rest] = e.parts
    const kept = this.expr(first!, fields)
    if (!this.profile.operators.not) {
      this.lose(e, { code: 'no-not' }, 'wider', kept)
      return kept
    }
    return not(kept, ...rest.map((p) => this.flipped(() => this.expr(p, fields))))
  }

  // ---- words, phrases, nearness

  /** What would be taken for something else there is put in quotes; what does not come back from them either is taken apart. */
  private sayable(e: Expr, was: Expr): Expr {
    if (e.kind === 'word') {
      if (bareWord(e.text, this.profile)) return e
      if (quotedWords([e.text], this.profile)) return { kind: 'phrase', words: [e.text] }
      return this.unsayable(e, [e.text.replace(/\*\d{0,2}|\?/g, '') || e.text], was)
    }
    if (e.kind === 'phrase') {
      if (e.loose && looseWords(e.words, this.profile)) return e
      const { loose: _, ...quoted } = e
      if (quotedWords(e.words, this.profile)) return quoted
      return this.unsayable(e, e.words, was)
    }
    return mapChildren(e, (part) => this.sayable(part, was))
  }

  private unsayable(e: Expr, words: readonly string[], was: Expr): Expr {
    const apart = and(
      ...words.map((w): Expr => (bareWord(w, this.profile) ? word(w) : { kind: 'phrase', words: [w] })),
    )
    this.lose(was, { code: 'unsayable', text: print(e) }, 'changed', apart)
    return apart
  }

  private leaf(e: Expr): Expr {
    if (e.kind === 'word') return this.word(e)
    if (e.kind === 'phrase') return this.phrase(e)
    if (e.kind === 'near') return this.near(e)
    if (e.kind === 'or') return or(...e.parts.map((p) => this.leaf(p)))
    return e
  }

  private word(e: Expr & { kind: 'word' }): Expr {
    this.stopWords([e.text], e)
    this.stems(e, e.text)
    const said = this.mask(e.text)
    if (said.loss) this.lose(e, said.loss.cause, said.loss.direction, or(...said.words.map(word)))
    return or(
      ...said.words.map((w): Expr => ({
        kind: 'word',
        text: w,
        ...(e.at && said.words.length === 1 ? { at: e.at } : {}),
      })),
    )
  }

  private phrase(e: Expr & { kind: 'phrase' }): Expr {
    this.stopWords(e.words, e)
    if (!this.profile.quotes.exact) this.stems(e, e.words[e.words.length - 1]!)
    const masked = e.words.some((w) => /[*?]/.test(w))
    if (!masked) return this.asTyped(e)
    const said = e.words.map((w) => this.mask(w))
    const loss = said.find((s) => s.loss)?.loss
    if (this.profile.quotes.signs && said.every((s) => s.words.length === 1)) {
      const { typed: _, ...bare } = e
      const words = said.map((s) => s.words[0]!)
      const whole = words.join(' ') === e.words.join(' ') ? this.asTyped(e) : { ...bare, words }
      if (loss) this.lose(e, loss.cause, loss.direction, whole)
      return whole
    }
    const parts = said.map((s) => or(...s.words.map(word)))
    const apart = and(...parts)
    // Words that were cut down and words set free from their phrase pull in two directions.
    const wider = !loss || loss.direction === 'wider'
    this.lose(e, { code: 'phrase-truncated' }, wider ? 'wider' : 'changed', apart)
    return apart
  }

  /** What stood between its words stays where the database would read it back as that phrase. */
  private asTyped(e: Expr & { kind: 'phrase' }): Expr {
    if (e.typed === undefined || typedSayable(e.typed, this.profile)) return e
    const { typed: _, ...bare } = e
    return bare
  }

  private near(e: Expr & { kind: 'near' }): Expr {
    const { nearness } = this.profile
    const left = this.leaf(e.left)
    const right = this.leaf(e.right)
    const asAnd = and(left, right)
    const steps = nearness?.counts === 'steps' ? e.distance + 1 : e.distance
    const form = e.ordered ? (nearness?.ordered ?? nearness?.either) : nearness?.either
    if (!nearness || !form) {
      this.lose(e, { code: 'no-nearness' }, 'wider', asAnd)
      return asAnd
    }
    if (steps > nearness.most) {
      this.lose(e, { code: 'near-too-far', most: nearness.most }, 'wider', asAnd)
      return asAnd
    }
    if (!isNearOperand(left) || !isNearOperand(right)) {
      this.lose(e, { code: 'near-sides' }, 'wider', asAnd)
      return asAnd
    }
    const ordered = e.ordered && nearness.ordered !== undefined
    const near: Expr = { ...e, left, right, ordered }
    if (e.ordered && !ordered) this.lose(e, { code: 'no-order' }, 'wider', near)
    return near
  }

  private stopWords(words: readonly string[], e: Expr): void {
    const dropped = nonEmpty(words.filter((w) => this.profile.stopWords.includes(w.toLowerCase())))
    if (dropped) this.lose(e, { code: 'stop-words', words: dropped }, 'changed', print(e))
  }

  private stems(e: Expr, text: string): void {
    const { stemming, quotes } = this.profile
    if (stemming === 'none' || /[*?]/.test(text)) return
    this.lose(e, { code: 'stemming', how: stemming, quotesHelp: quotes.exact }, 'wider', print(e))
  }

  /** What can be said for a word with signs, and the loss if it is not the same. */
  private mask(text: string): {
    words: string[]
    loss?: { cause: LossCause; direction: Direction }
  } {
    const parts = maskParts(text)
    if (parts.every((p) => 'letters' in p)) return { words: [text] }
    const { truncation: t } = this.profile
    const letters = (p: MaskPart | undefined): boolean => p !== undefined && 'letters' in p
    const forms = (cause: (known: boolean) => LossCause): ReturnType<Adapter['mask']> => {
      const known = [...new Set(this.options.forms?.(text) ?? [])]
      const stem = parts.flatMap((p) => ('letters' in p ? [p.letters] : [])).join('')
      const words = known.length ? known : [stem]
      // A sign for exactly one character has no form that is known without looking.
      const direction =
        known.length || parts.every((p) => 'letters' in p || p.least === 0) ? 'narrower' : 'changed'
      return { words, loss: { cause: cause(known.length > 0), direction } }
    }
    if (!letters(parts[0]) && !t.left) return forms((known) => ({ code: 'mask-left', known }))
    const stem = letters(parts[0]) ? (parts[0] as { letters: string }).letters : ''
    if (letters(parts[0]) && stem.length < t.shortestStem)
      return forms((known) => ({ code: 'mask-short', known, least: t.shortestStem }))
    const sayable = parts.every((p, i) => {
      if ('letters' in p) return true
      const inside = letters(parts[i - 1]) && letters(parts[i + 1])
      if (inside && !t.inside) return false
      if (p.least === 1) return t.one !== undefined
      if (i === 0) return t.any !== undefined && t.left && p.most === Infinity
      return p.most === Infinity ? t.any !== undefined : t.upTo !== undefined
    })
    if (sayable) return { words: [text] }
    if (!t.any || !letters(parts[0])) return forms((known) => ({ code: 'mask-no-sign', known }))
    return {
      words: [`${stem}*`],
      loss: { cause: { code: 'mask-any-only' }, direction: 'wider' },
    }
  }

  // ---- fields

  private inFields(e: Expr, fields: Field[] | undefined, was: Expr): Expr {
    if (!fields || fields.length === 0) return e
    // A field holds for each word below it, so it may be handed down through what became joined.
    if (e.kind === 'and') return and(...e.parts.map((p) => this.inFields(p, fields, was)))
    if (fields.includes('any')) return this.besideDefault(e, fields, was)
    const forms = this.profile.fields
    const exact = formsOf(this.profile).field(fields)
    if (exact) return this.withinReach(e, fields, exact.means.reach, was)
    const inside = forms.filter((f) => within(f.of, fields))
    if (sameFields([...new Set(inside.flatMap((f) => f.of))], fields)) {
      const chosen: Field[][] = []
      for (const f of [...inside].sort((a, b) => b.of.length - a.of.length))
        if (!within(f.of, chosen.flat())) chosen.push(f.of)
      // A leaf stands in one field, so asking each field by itself asks the same. What became several leaves does not.
      if (isNearOperand(e) || e.kind === 'near') return or(...chosen.map((of) => this.inFields(e, of, was)))
    }
    const around = forms.filter((f) => within(fields, f.of)).sort((a, b) => a.of.length - b.of.length)[0]
    const names = nonEmpty(fields)!
    if (around) {
      const wider = this.inFields(e, around.of, was)
      this.lose(was, { code: 'field-wider', fields: names }, 'wider', wider)
      return wider
    }
    const covered = within(fields, this.profile.any)
    this.lose(was, { code: 'field-missing', fields: names, covered }, covered ? 'wider' : 'changed', e)
    return e
  }

  /** What is searched by default, and the other fields that are asked for beside it. */
  private besideDefault(e: Expr, fields: readonly Field[], was: Expr): Expr {
    const rest = fields.filter((f) => f !== 'any' && !this.profile.any.includes(f))
    return rest.length ? or(e, this.inFields(e, rest, was)) : e
  }

  /** A code that reaches one word, or one phrase, is given to each; what it cannot reach is taken apart. */
  private withinReach(e: Expr, fields: Field[], reach: Reach, was: Expr): Expr {
    if (reach !== 'word' && reach !== 'phrase') return inFields(fields, e)
    if (e.kind === 'or' || e.kind === 'and') {
      const parts = e.parts.map((p) => this.withinReach(p, fields, reach, was))
      return e.kind === 'or' ? or(...parts) : and(...parts)
    }
    const single = e.kind === 'word' || (e.kind === 'phrase' && (reach === 'phrase' || e.words.length === 1))
    if (single) return inFields(fields, e)
    const parts = e.kind === 'near' ? [e.left, e.right] : e.kind === 'phrase' ? e.words.map(word) : [e]
    const apart = and(...parts.map((p) => this.withinReach(this.sayable(p, was), fields, reach, was)))
    this.lose(was, { code: 'field-reach', fields: nonEmpty(fields)!, reach }, 'wider', apart)
    return apart
  }

  // ---- headings and codes

  private heading(e: Expr & { kind: 'heading' }): Expr {
    const { headings } = this.profile
    const labels = (): readonly string[] =>
      e.below ? (this.options.withNarrower?.(e.label) ?? [e.label]) : [e.label]
    const asWords = (cause: LossCause): Expr => {
      const phrases = labels().map((l): Expr => ({ kind: 'phrase', words: wordsOf(l) }))
      const fields = (['keywords', 'subject'] as const).filter((f) =>
        this.profile.fields.some((x) => x.of.length === 1 && x.of[0] === f),
      )
      const said = or(
        ...phrases.map((p) => {
          const words = this.sayable(p, e)
          return fields.length ? or(...fields.map((f) => this.inFields(words, [f], e))) : words
        }),
      )
      this.lose(e, cause, 'changed', said)
      return said
    }
    if (!headings) return asWords({ code: 'no-vocabulary' })
    let main = e.main
    if (main && !(e.below ? (headings.belowMain ?? headings.main) : headings.main)) {
      this.lose(e, { code: 'no-main-focus' }, 'wider', heading(e.label, e.below))
      main = false
    }
    const direct = e.below ? (main ? headings.belowMain : headings.below) : headings.plain
    const form = formsOf(this.profile).heading(e.below && direct !== undefined, main)
    const said = e.below && !direct ? labels() : [e.label]
    if (!form || said.some((l) => nameIn(form, l, this.profile) === undefined))
      return asWords({ code: 'name-unsayable', name: e.label })
    if (!e.below || direct) return { ...e, main }
    const listedOut = or(...said.map((l) => heading(l, false, main)))
    if (!this.options.withNarrower?.(e.label)) this.lose(e, { code: 'no-narrower' }, 'narrower', listedOut)
    return listedOut
  }

  private classCode(e: Expr & { kind: 'class' }): Expr {
    const { classes } = this.profile
    const asWords = (cause: LossCause): Expr => {
      const words = maskedWords(e.code)
      const said = this.asTyped({ kind: 'phrase', words, ...typedAs(e.code, words) })
      this.lose(e, cause, 'changed', said)
      return said
    }
    if (!classes) return asWords({ code: 'no-codes' })
    if (e.below && !classes.below) {
      const alone: Expr = { ...e, below: false }
      this.lose(e, { code: 'no-codes-below' }, 'narrower', alone)
      return this.classCode(alone)
    }
    const form = formsOf(this.profile).class(e.below)
    if (form && nameIn(form, e.code, this.profile) === undefined)
      return asWords({ code: 'name-unsayable', name: e.code })
    return e
  }

  // ---- lines

  private lines(e: Expr & { kind: 'line' | 'lines' }): Expr {
    const numbers = e.kind === 'line' ? [e.number] : numbersIn(e.ranges)
    const mode = e.kind === 'line' ? 'any' : e.mode
    const join = (parts: Expr[]): Expr => (mode === 'any' ? or(...parts) : and(...parts))
    if (!this.profile.lines) {
      const parts = numbers.map((n) => this.options.line?.(n))
      if (parts.every((p) => p !== undefined)) return join(parts.map((p) => this.expr(p, undefined)))
      this.lose(e, { code: 'no-lines' }, 'changed', print(e))
      return e
    }
    if (e.kind === 'line') return e
    const form = mode === 'any' ? this.profile.lines.anyOf : this.profile.lines.allOf
    if (form && e.kind === 'lines' && !this.profile.lines.range)
      return { ...e, ranges: numbers.map((n) => ({ from: n, to: n })) }
    return form ? e : join(numbers.map((number) => ({ kind: 'line', number })))
  }
}
