import { foldLabel, listed, never } from '../base'
import {
  and,
  heading,
  inFields,
  isNearOperand,
  maskParts,
  not,
  numbersIn,
  or,
  print,
  walk,
  word,
  type Expr,
  type Field,
  type MaskPart,
} from '../query'
import type { Direction, Loss } from './loss'
import type { Profile } from './schema'

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
export function adapt(e: Expr, profile: Profile, options: PrintOptions = {}): { tree: Expr; losses: Loss[] } {
  const adapter = new Adapter(profile, options)
  return { tree: adapter.expr(e, undefined), losses: adapter.losses }
}

/** Fields of a list with its groups spelled out; `any` (and no field) is undefined: the default of the source. */
export function spelled(fields: readonly Field[]): Field[] | undefined {
  const all = fields.flatMap((f): Field[] => (f === 'text' ? ['title', 'abstract', 'keywords'] : [f]))
  return all.includes('any') ? undefined : [...new Set(all)]
}

const sameSet = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((x) => b.includes(x))
const within = (small: readonly string[], big: readonly string[]): boolean =>
  small.every((x) => big.includes(x))

class Adapter {
  readonly losses: Loss[] = []
  constructor(
    private readonly profile: Profile,
    private readonly options: PrintOptions,
  ) {}

  private lose(
    e: Expr,
    what: string,
    direction: Direction,
    is: Expr | string,
    why: string,
    advice: string,
  ): void {
    this.losses.push({
      ...(e.at ? { at: e.at } : {}),
      what,
      direction,
      was: print(e),
      is: typeof is === 'string' ? is : print(is),
      why,
      advice,
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
        return this.inFields(this.leaf(e), fields, e)
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
    const whole = asked && this.profile.fields.find((f) => sameSet(f.of, asked))
    if (asked && whole && plain) return inFields(e.fields, this.expr(e.of, undefined))
    return this.expr(e.of, asked)
  }

  private without(e: Expr & { kind: 'not' }, fields: Field[] | undefined): Expr {
    const [first, ...rest] = e.parts
    const kept = this.expr(first!, fields)
    if (!this.profile.operators.not) {
      this.lose(
        e,
        'NOT',
        'wider',
        kept,
        `${this.profile.name} has no NOT`,
        'Run the part behind NOT as a search of its own and take its records away after merging.',
      )
      return kept
    }
    return not(kept, ...rest.map((p) => this.flipped(() => this.expr(p, fields))))
  }

  // ---- words, phrases, nearness

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
    if (said.loss)
      this.lose(
        e,
        said.loss.what,
        said.loss.direction,
        or(...said.words.map(word)),
        said.loss.why,
        said.loss.advice,
      )
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
    if (!masked) return e
    const said = e.words.map((w) => this.mask(w))
    const loss = said.find((s) => s.loss)?.loss
    if (this.profile.quotes.signs && said.every((s) => s.words.length === 1)) {
      const whole: Expr = { ...e, words: said.map((s) => s.words[0]!) }
      if (loss) this.lose(e, loss.what, loss.direction, whole, loss.why, loss.advice)
      return whole
    }
    const parts = said.map((s) => or(...s.words.map(word)))
    const apart = and(...parts)
    // Words that were cut down and words set free from their phrase pull in two directions.
    const wider = !loss || loss.direction === 'wider'
    this.lose(
      e,
      'truncation in a phrase',
      wider ? 'wider' : 'changed',
      apart,
      `${this.profile.name} does not truncate inside quotes`,
      'Write out the phrases that matter, each in quotes.',
    )
    return apart
  }

  private near(e: Expr & { kind: 'near' }): Expr {
    const { nearness, name } = this.profile
    const left = this.leaf(e.left)
    const right = this.leaf(e.right)
    const asAnd = and(left, right)
    const steps = nearness?.counts === 'steps' ? e.distance + 1 : e.distance
    const form = e.ordered ? (nearness?.ordered ?? nearness?.either) : nearness?.either
    if (!nearness || !form) {
      this.lose(
        e,
        'nearness',
        'wider',
        asAnd,
        `${name} has no nearness`,
        'Try a phrase instead, or title only, if AND brings too much.',
      )
      return asAnd
    }
    if (steps > nearness.most) {
      this.lose(
        e,
        'nearness',
        'wider',
        asAnd,
        `${name} lets at most ${nearness.most} stand between`,
        'Ask for fewer words between, or leave it at AND.',
      )
      return asAnd
    }
    if (!isNearOperand(left) || !isNearOperand(right)) {
      this.lose(
        e,
        'nearness',
        'wider',
        asAnd,
        'one of its sides became more than words and phrases',
        'Write the sides without truncated phrases.',
      )
      return asAnd
    }
    const ordered = e.ordered && nearness.ordered !== undefined
    const near: Expr = { ...e, left, right, ordered }
    if (e.ordered && !ordered)
      this.lose(
        e,
        'order of words',
        'wider',
        near,
        `${name} does not tell which word comes first`,
        'A phrase keeps the order where the words stand side by side.',
      )
    return near
  }

  private stopWords(words: readonly string[], e: Expr): void {
    const dropped = words.filter((w) => this.profile.stopWords.includes(w.toLowerCase()))
    if (dropped.length)
      this.lose(
        e,
        'stop word',
        'changed',
        print(e),
        `${this.profile.name} does not search for ${listed(dropped)}`,
        'Leave the word out, or use another one.',
      )
  }

  private stems(e: Expr, text: string): void {
    const { stemming, quotes, name } = this.profile
    if (stemming === 'none' || /[*?]/.test(text)) return
    const what = stemming === 'plurals' ? 'singular and plural' : 'all forms of a word'
    this.lose(
      e,
      'stemming',
      'wider',
      print(e),
      `${name} searches ${what} together`,
      quotes.exact
        ? 'Put the word in quotes to search for this form alone.'
        : 'There is no way to switch it off; look at what it adds.',
    )
  }

  /** What can be said for a word with signs, and the loss if it is not the same. */
  private mask(text: string): {
    words: string[]
    loss?: { what: string; direction: Direction; why: string; advice: string }
  } {
    const parts = maskParts(text)
    if (parts.every((p) => 'letters' in p)) return { words: [text] }
    const { truncation: t, name } = this.profile
    const letters = (p: MaskPart | undefined): boolean => p !== undefined && 'letters' in p
    const forms = (why: string): ReturnType<Adapter['mask']> => {
      const known = [...new Set(this.options.forms?.(text) ?? [])]
      const stem = parts.flatMap((p) => ('letters' in p ? [p.letters] : [])).join('')
      const words = known.length ? known : [stem]
      // A sign for exactly one character has no form that is known without looking.
      const direction =
        known.length || parts.every((p) => 'letters' in p || p.least === 0) ? 'narrower' : 'changed'
      return {
        words,
        loss: {
          what: 'truncation',
          direction,
          why,
          advice: known.length
            ? 'The forms that are known are listed; add others by hand.'
            : 'Write out the forms that matter, joined with OR.',
        },
      }
    }
    if (!letters(parts[0]) && !t.left) return forms(`${name} does not truncate in front of a word`)
    const stem = letters(parts[0]) ? (parts[0] as { letters: string }).letters : ''
    if (letters(parts[0]) && stem.length < t.shortestStem)
      return forms(`${name} wants at least ${t.shortestStem} letters before the sign`)
    const sayable = parts.every((p, i) => {
      if ('letters' in p) return true
      const inside = letters(parts[i - 1]) && letters(parts[i + 1])
      if (inside && !t.inside) return false
      if (p.least === 1) return t.one !== undefined
      if (i === 0) return t.any !== undefined && t.left && p.most === Infinity
      return p.most === Infinity ? t.any !== undefined : t.upTo !== undefined
    })
    if (sayable) return { words: [text] }
    if (!t.any || !letters(parts[0])) return forms(`${name} has no sign for it`)
    return {
      words: [`${stem}*`],
      loss: {
        what: 'truncation',
        direction: 'wider',
        why: `${name} knows only any ending`,
        advice: 'If that brings noise, write out the forms instead.',
      },
    }
  }

  // ---- fields

  private inFields(e: Expr, fields: Field[] | undefined, was: Expr): Expr {
    if (!fields || fields.length === 0) return e
    // A field holds for each word below it, so it may be handed down through what became joined.
    if (e.kind === 'and') return and(...e.parts.map((p) => this.inFields(p, fields, was)))
    const forms = this.profile.fields
    const exact = forms.find((f) => sameSet(f.of, fields))
    if (exact) return inFields(fields, e)
    const inside = forms.filter((f) => within(f.of, fields))
    if (sameSet([...new Set(inside.flatMap((f) => f.of))], fields)) {
      const chosen: Field[][] = []
      for (const f of [...inside].sort((a, b) => b.of.length - a.of.length))
        if (!within(f.of, chosen.flat())) chosen.push(f.of)
      // A leaf stands in one field, so asking each field by itself asks the same. What became several leaves does not.
      if (isNearOperand(e) || e.kind === 'near') return or(...chosen.map((of) => inFields(of, e)))
    }
    const around = forms.filter((f) => within(fields, f.of)).sort((a, b) => a.of.length - b.of.length)[0]
    const names = listed(fields, 'or')
    if (around) {
      const wider = inFields(around.of, e)
      this.lose(
        was,
        'field',
        'wider',
        wider,
        `${this.profile.name} has no field for ${names} alone`,
        'Look at a few of the records it adds.',
      )
      return wider
    }
    const covered = within(fields, this.profile.any)
    this.lose(
      was,
      'field',
      covered ? 'wider' : 'changed',
      e,
      `${this.profile.name} has no field for ${names}`,
      covered
        ? 'All its fields are searched instead; title only may be nearer.'
        : 'Its usual fields are searched instead, which do not hold this.',
    )
    return e
  }

  // ---- headings and codes

  private heading(e: Expr & { kind: 'heading' }): Expr {
    const { headings, name } = this.profile
    const labels = (): readonly string[] =>
      e.below ? (this.options.withNarrower?.(e.label) ?? [e.label]) : [e.label]
    if (!headings) {
      const phrases = labels().map((l): Expr => ({ kind: 'phrase', words: foldLabel(l).split(' ') }))
      const fields = (['keywords', 'subject'] as const).filter((f) =>
        this.profile.fields.some((x) => x.of.length === 1 && x.of[0] === f),
      )
      const said = or(...phrases.map((p) => (fields.length ? or(...fields.map((f) => inFields([f], p))) : p)))
      this.lose(
        e,
        'heading',
        'changed',
        said,
        `${name} has no vocabulary`,
        'Check that the words of the heading are what authors write, and add synonyms.',
      )
      return said
    }
    let main = e.main
    if (main && !(e.below ? (headings.belowMain ?? headings.main) : headings.main)) {
      this.lose(
        e,
        'main focus',
        'wider',
        heading(e.label, e.below),
        `${name} does not mark the main focus`,
        'Nothing to do: it finds more.',
      )
      main = false
    }
    const direct = e.below ? (main ? headings.belowMain : headings.below) : headings.plain
    if (!e.below || direct) return { ...e, main }
    const listedOut = or(...labels().map((l) => heading(l, false, main)))
    if (!this.options.withNarrower?.(e.label))
      this.lose(
        e,
        'with narrower',
        'narrower',
        listedOut,
        `${name} cannot take narrower headings along, and they are not known here`,
        'Look the narrower headings up and add them.',
      )
    return listedOut
  }

  private classCode(e: Expr & { kind: 'class' }): Expr {
    const { classes, name } = this.profile
    if (!classes) {
      const said: Expr = { kind: 'phrase', words: foldLabel(e.code).split(' ') }
      this.lose(
        e,
        'classification code',
        'changed',
        said,
        `${name} has no codes`,
        'Use words for what the code stands for.',
      )
      return said
    }
    if (e.below && !classes.below) {
      const alone: Expr = { ...e, below: false }
      this.lose(
        e,
        'codes below',
        'narrower',
        alone,
        `${name} cannot take the codes below along`,
        'Add the codes below one by one.',
      )
      return alone
    }
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
      this.lose(
        e,
        'line',
        'changed',
        print(e),
        `${this.profile.name} keeps no lines`,
        'Write out what the lines say in one query.',
      )
      return e
    }
    if (e.kind === 'line') return e
    const form = mode === 'any' ? this.profile.lines.anyOf : this.profile.lines.allOf
    return form ? e : join(numbers.map((number) => ({ kind: 'line', number })))
  }
}
