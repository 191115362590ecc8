import { problem, type Problem, type Span } from '../../base'
import { maskedWords } from '../mask'
import { tooDeep } from '../depth'
import { MOST_WORDS_BETWEEN } from '../lexer'
import { DEEPEST, isNearOperand } from '../parse'
import { readWord, type Expr, type Field } from '../tree'
import { INDEXES } from './context'

type Mark = { kind: 'word' | 'string' | 'sign'; text: string; at: Span }
const SIGN = /==|>=|<=|<>|[=<>()/]/y
const WORD = /[^\s()=<>"/]+/y
const STRING = /"((?:[^"\\]|\\[\s\S])*)("?)/y
const BOOLEANS = new Set(['and', 'or', 'not', 'prox'])
const NAMED_RELATIONS = new Set(['any', 'all', 'adj', 'exact', 'within', 'encloses', 'scr'])

/**
 * Reads CQL 1.2 (Contextual Query Language, Library of Congress) into our tree. Booleans have equal precedence and
 * associate to the left; `=` and `adj` with several words are a phrase, `all` and `any` join the words. Never throws;
 * what has no counterpart here is named in a problem.
 */
export function readCql(text: string): { tree: Expr | undefined; problems: Problem[] } {
  const problems: Problem[] = []
  const marks: Mark[] = []
  for (let i = 0; i < text.length;) {
    if (/\s/.test(text.charAt(i))) {
      i++
      continue
    }
    const found = match(STRING, text, i) ?? match(SIGN, text, i) ?? match(WORD, text, i)
    if (!found) {
      // A quote can always be read, and so can any other sign; nothing gets here.
      i++
      continue
    }
    const end = i + found[0].length
    if (found[0].startsWith('"')) {
      if (!found[2])
        problems.push(
          problem('quote-open', 'error', 'This term is not closed: add a second quotation mark.', [i, end]),
        )
      marks.push({ kind: 'string', text: found[1]!, at: [i, end] })
    } else marks.push({ kind: SIGN_ONLY.test(found[0]) ? 'sign' : 'word', text: found[0], at: [i, end] })
    i = end
  }
  const reader = new CqlReader(marks, problems, text.length)
  const tree = reader.whole()
  const deep = tree && tooDeep(tree)
  if (deep) return { tree: undefined, problems: [...problems.slice(0, 99), deep] }
  return { tree, problems: problems.slice(0, 100) }
}

const SIGN_ONLY = /^(?:==|>=|<=|<>|[=<>()/])$/
function match(re: RegExp, text: string, i: number): RegExpExecArray | null {
  re.lastIndex = i
  return re.exec(text)
}

interface Modifier {
  name: string
  sign: string
  value: string
}

class CqlReader {
  private next = 0
  private depth = 0
  constructor(
    private readonly marks: Mark[],
    private readonly problems: Problem[],
    private readonly length: number,
  ) {}

  whole(): Expr | undefined {
    const tree = this.query()
    for (let mark = this.marks[this.next]; mark; mark = this.marks[this.next]) {
      if (mark.kind === 'word' && mark.text.toLowerCase() === 'sortby') {
        this.say(
          'cql-sort',
          'warning',
          'The order of the results (sortBy) is not part of a query here and is passed over.',
          mark.at,
        )
        this.next = this.marks.length
        break
      }
      this.say('cql-unexpected', 'error', `"${mark.text}" does not belong here.`, mark.at)
      this.next++
    }
    return tree
  }

  /** Clauses joined from left to right; a run of the same Boolean is one flat node. */
  private query(): Expr | undefined {
    this.prefixes()
    let left = this.clause()
    // The parts of the node that is being built are added to, not copied: a long chain would take for ever.
    let flat: { op: string; parts: Expr[] } | undefined
    for (
      let mark = this.marks[this.next];
      mark?.kind === 'word' && BOOLEANS.has(mark.text.toLowerCase());
      mark = this.marks[this.next]
    ) {
      const op = mark.text.toLowerCase() as 'and' | 'or' | 'not' | 'prox'
      this.next++
      const modifiers = this.modifiers()
      const right = this.clause()
      if (!left || !right) {
        this.say(
          'operand-missing',
          'error',
          `${op} has nothing ${left ? 'behind' : 'before'} it to work on.`,
          mark.at,
        )
        if (!left && op !== 'not') left = right
        continue
      }
      const at = around(left, right)
      if (op === 'prox') {
        left = this.near(left, right, modifiers, at)
        flat = undefined
      } else if (flat?.op === op) {
        flat.parts.push(right)
        left.at = at
      } else {
        flat = { op, parts: [left, right] }
        left = { kind: op, parts: flat.parts, at }
      }
    }
    return left
  }

  /** `> dc = "…"`: context sets are known by their usual names; other assignments are passed over. */
  private prefixes(): void {
    while (this.marks[this.next]?.text === '>' && this.marks[this.next]?.kind === 'sign') {
      const start = this.marks[this.next]!
      this.next++
      if (this.marks[this.next + 1]?.text === '=') this.next += 2
      this.next++
      this.say(
        'cql-prefix',
        'note',
        'Context sets are known by their usual names; this assignment is passed over.',
        start.at,
      )
    }
  }

  private clause(): Expr | undefined {
    const mark = this.marks[this.next]
    if (!mark) return undefined
    if (mark.kind === 'sign') {
      if (mark.text !== '(') return undefined
      this.next++
      if (this.depth >= DEEPEST) {
        if (this.depth === DEEPEST)
          this.say(
            'deep',
            'error',
            `More than ${DEEPEST} levels of brackets: split the query over lines.`,
            mark.at,
          )
        this.depth++
        this.next = this.marks.length
        return undefined
      }
      this.depth++
      const of = this.query()
      this.depth--
      const end = this.marks[this.next]
      if (end?.text === ')') this.next++
      else this.say('bracket-open', 'error', 'This bracket is not closed: add ")".', mark.at)
      return of && { ...of, at: [mark.at[0], end?.at[1] ?? this.length] }
    }
    if (mark.kind === 'word' && BOOLEANS.has(mark.text.toLowerCase())) return undefined
    this.next++
    const relation = this.marks[this.next]
    const named =
      relation?.kind === 'word' &&
      (NAMED_RELATIONS.has(relation.text.toLowerCase()) || relation.text.includes('.'))
    const isRelation =
      relation && (named || (relation.kind === 'sign' && !['(', ')', '/'].includes(relation.text)))
    const after = this.marks[this.next + 1]
    // A name can be a term of its own ("cat any"); a sign cannot.
    const bare = named && (!after || (after.kind === 'word' && BOOLEANS.has(after.text.toLowerCase())))
    if (!isRelation || bare) return this.term('cql.serverChoice', '=', [], mark, mark)
    this.next++
    const modifiers = this.modifiers()
    const term = this.marks[this.next]
    if (!term || term.kind === 'sign') {
      this.say('cql-term', 'error', `"${mark.text} ${relation.text}" needs a term behind it.`, relation.at)
      return undefined
    }
    this.next++
    return this.term(mark.text, relation.text.toLowerCase().replace(/^cql\./, ''), modifiers, term, mark)
  }

  private modifiers(): Modifier[] {
    const found: Modifier[] = []
    while (this.marks[this.next]?.text === '/' && this.marks[this.next]?.kind === 'sign') {
      const name = this.marks[this.next + 1]
      if (!name || name.kind === 'sign') break
      this.next += 2
      const sign = this.marks[this.next]
      if (sign?.kind === 'sign' && /^(?:==|>=|<=|<>|[=<>])$/.test(sign.text) && this.marks[this.next + 1]) {
        found.push({ name: name.text.toLowerCase(), sign: sign.text, value: this.marks[this.next + 1]!.text })
        this.next += 2
      } else found.push({ name: name.text.toLowerCase(), sign: '', value: '' })
    }
    return found
  }

  private near(left: Expr, right: Expr, modifiers: Modifier[], at: Span): Expr {
    const of = (name: string): Modifier | undefined =>
      modifiers.find((m) => m.name.replace(/^cql\./, '') === name)
    const unit = of('unit')?.value ?? 'word'
    const distance = of('distance')
    const steps = Number(distance?.value ?? 1) - (distance?.sign === '<' ? 1 : 0)
    if (
      unit !== 'word' ||
      !Number.isInteger(steps) ||
      steps < 1 ||
      (distance && !['<=', '<', '='].includes(distance.sign))
    ) {
      this.say(
        'cql-prox',
        'error',
        'Here prox can say at most how many words apart: prox/unit=word/distance<=5.',
        at,
      )
      return { kind: 'and', parts: [left, right], at }
    }
    if (distance?.sign === '=' && steps > 1)
      this.say('cql-prox', 'warning', 'Exactly so many words apart is read as at most so many.', at)
    if (steps - 1 > MOST_WORDS_BETWEEN)
      this.say('near-far', 'warning', `At most ${MOST_WORDS_BETWEEN} words may stand between here.`, at)
    const [a, fieldsA] = unfielded(left)
    const [b, fieldsB] = unfielded(right)
    if (!isNearOperand(a) || !isNearOperand(b) || String(fieldsA) !== String(fieldsB)) {
      this.say(
        'near-operand',
        'error',
        'prox joins words, phrases, or groups of them joined by or, in one index.',
        at,
      )
      return { kind: 'and', parts: [left, right], at }
    }
    const near: Expr = {
      kind: 'near',
      ordered: of('ordered') !== undefined,
      distance: Math.min(steps - 1, MOST_WORDS_BETWEEN),
      left: a,
      right: b,
      at,
    }
    return fieldsA ? { kind: 'fields', fields: fieldsA, of: near, at } : near
  }

  private term(
    index: string,
    relation: string,
    modifiers: Modifier[],
    term: Mark,
    start: Mark,
  ): Expr | undefined {
    const at: Span = [start.at[0], term.at[1]]
    const name = index.toLowerCase()
    const text = unescaped(term.text).trim()
    if (name === 'luv.line') {
      const numbers = text.split(/\s+/).map(Number)
      if (numbers.some((n) => !Number.isInteger(n) || n < 1)) {
        this.say('cql-line', 'error', 'luv.line takes line numbers: luv.line any "1 2 3".', term.at)
        return undefined
      }
      const [only] = numbers
      if (numbers.length === 1) return { kind: 'line', number: only!, at }
      return {
        kind: 'lines',
        mode: relation === 'all' ? 'all' : 'any',
        ranges: numbers.map((n) => ({ from: n, to: n })),
        at,
      }
    }
    const has = (m: string): boolean => modifiers.some((x) => x.name === `luv.${m}`)
    if ((name === 'luv.heading' || name === 'luv.class') && !text) {
      this.say('name-missing', 'error', `${name} needs a name behind it.`, at)
      return undefined
    }
    if (name === 'luv.heading')
      return { kind: 'heading', label: text, below: has('below'), main: has('main'), at }
    if (name === 'luv.class') return { kind: 'class', code: text, below: has('below'), at }
    const field = INDEXES[name]
    if (!field) {
      this.say(
        'cql-index',
        'error',
        `There is no index "${index}" here. There are ${[...new Set(Object.keys(INDEXES))].filter((i) => i.includes('.')).join(', ')}, luv.heading, luv.class and luv.line.`,
        start.at,
      )
      return undefined
    }
    for (const m of modifiers)
      this.say(
        'cql-modifier',
        'warning',
        `The modifier "${m.name}" means nothing here and is passed over.`,
        at,
      )
    const words = maskedWords(text.replace(/\^/g, ''))
    if (text.includes('^'))
      this.say('cql-anchor', 'warning', 'The anchor ^ means nothing here and is passed over.', term.at)
    if (!words.length) {
      this.say('no-letter', 'error', 'A search term needs at least one letter or digit.', term.at)
      return undefined
    }
    const of = this.related(words, relation, term, at)
    return of && (field === 'any' ? of : { kind: 'fields', fields: [field], of, at })
  }

  private related(words: string[], relation: string, term: Mark, at: Span): Expr | undefined {
    const each = words.map((text): Expr => readWord(text, term.at))
    const [only] = each
    switch (relation) {
      case 'all':
        return each.length > 1 ? { kind: 'and', parts: each, at } : only
      case 'any':
        return each.length > 1 ? { kind: 'or', parts: each, at } : only
      case '==':
      case 'exact':
        this.say(
          'cql-exact',
          'warning',
          'The whole field cannot be compared here; the words are searched as a phrase.',
          at,
        )
        return { kind: 'phrase', words, at }
      case '=':
      case 'adj':
      case 'scr':
        return each.length > 1 ? { kind: 'phrase', words, at } : only
      default:
        this.say(
          'cql-relation',
          'error',
          `The relation "${relation}" compares values, which is what limits are for; use =, all, any or adj.`,
          at,
        )
        return undefined
    }
  }

  private say(...args: [string, Problem['severity'], string, Span]): void {
    if (this.problems.length < 100) this.problems.push(problem(...args))
  }
}

/** What stands in a field, and the field; an expression without a field has none. */
function unfielded(e: Expr): [Expr, Field[] | undefined] {
  if (e.kind === 'fields') return [e.of, e.fields]
  if (e.kind === 'or') {
    const parts = e.parts.map(unfielded)
    const [, fields] = parts[0]!
    if (fields && parts.every(([, f]) => String(f) === String(fields)))
      return [{ ...e, parts: parts.map(([p]) => p) }, fields]
  }
  return [e, undefined]
}

const unescaped = (text: string): string => text.replace(/\\(.)/gs, '$1')

function around(a: Expr, b: Expr): Span {
  return [a.at![0], b.at![1]]
}
