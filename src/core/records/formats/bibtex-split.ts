import { atLine, Lines, type Reader } from './item'
import { thousands, type Problem } from '../../base'

/** An entry in pieces: its type and key, and its fields as they stand, without the outer braces or quotation marks. */
export interface Entry {
  type: string
  key: string
  /** Name in small letters, and value with its own braces. */
  fields: [name: string, value: string][]
  line: number
  /** What is missing in it, though all fields could be read. */
  damage: string[]
}

export interface EntriesTo {
  entry: (entry: Entry) => void
  broken: (text: string, line: number, problem: Problem) => void
}

const START = /^\s*@\s*([A-Za-z]+)\s*[{(]/
const BARE = /^\s*@\s*[A-Za-z]+\s*$/
/** No field has so many letters; short entries can name strings that do. */
const LONGEST = 2_000_000
const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ')

/**
 * Cuts BibTeX into entries. An entry begins at a line's beginning with "@type{" (or "("; the bracket may stand on the
 * next line) and goes to where the next
 * begins; so one that is broken ends there too, and the rest is read. `@string` is remembered and put in; `@comment` and
 * `@preamble` and what stands between entries mean nothing, as BibTeX has it.
 */
export function splitBibtex(to: EntriesTo, onNextLine = true): Reader {
  const strings = new Map<string, string>(MONTHS.map((m) => [m, m]))
  let rows: string[] = []
  let line = 0
  const finish = (): void => {
    if (!rows.length) return
    const text = rows.join('\n')
    rows = []
    const read = parseEntry(text, strings)
    if (read === 'nothing') return
    if (typeof read === 'string')
      to.broken(text.trimEnd(), line, atLine(line, 'bibtex-broken', 'error', read))
    else to.entry({ ...read, line })
  }
  // A line that may begin an entry, if a brace stands on the next that is not empty.
  let held: string[] = []
  let heldAt = 0
  const go = (row: string, number: number): void => {
    if (START.test(row)) {
      finish()
      line = number
      rows.push(row)
    } else if (rows.length) rows.push(row)
  }
  const lines = new Lines((row, number) => {
    if (held.length && !row.trim()) {
      held.push(row)
      return
    }
    if (held.length) {
      const [first = '', ...blank] = held
      held = []
      if (/^\s*[{(]/.test(row)) return go(`${first.trimEnd()}${row.trimStart()}`, heldAt)
      for (const h of [first, ...blank]) go(h, heldAt)
    }
    if (onNextLine && BARE.test(row)) [held, heldAt] = [[row], number]
    else go(row, number)
  })
  return {
    push: (text) => lines.push(text),
    end: () => {
      lines.end()
      for (const h of held) go(h, heldAt)
      finish()
    },
  }
}

/** Reads one entry; gives "nothing" for what describes no work, and in words what is wrong with one that is broken. */
function parseEntry(text: string, strings: Map<string, string>): Omit<Entry, 'line'> | string {
  const start = START.exec(text)
  if (!start) return 'nothing'
  const type = start[1]!.toLowerCase()
  if (type === 'comment' || type === 'preamble') return 'nothing'
  const cursor = new Cursor(text, start[0].length, text[start[0].length - 1] === '(' ? ')' : '}')
  if (type === 'string') {
    const fields = cursor.fields(strings)
    if (typeof fields === 'string') return fields
    for (const [name, value] of fields) strings.set(name, value)
    return 'nothing'
  }
  const key = cursor.key()
  const fields = cursor.fields(strings)
  return typeof fields === 'string' ? fields : { type, key, fields, damage: cursor.damage }
}

class Cursor {
  readonly damage: string[] = []

  constructor(
    private readonly text: string,
    private at: number,
    private readonly close: string,
  ) {}

  private skip(): void {
    const found = /[^\s]/g
    found.lastIndex = this.at
    this.at = found.exec(this.text)?.index ?? this.text.length
  }

  /** The key before the first comma; empty where there is none. */
  key(): string {
    const found = /\s*([^\s,={}()"]+)(?!\s*=)\s*(,?)/y
    found.lastIndex = this.at
    const match = found.exec(this.text)
    if (!match) {
      this.damage.push('the entry has no key')
      return ''
    }
    if (!match[2] && this.text[found.lastIndex] !== this.close) this.damage.push('no comma behind the key')
    this.at = found.lastIndex
    return match[1]!
  }

  fields(strings: ReadonlyMap<string, string>): [string, string][] | string {
    const fields: [string, string][] = []
    for (let comma = true; ;) {
      this.skip()
      if (this.text[this.at] === ',') {
        this.at++
        comma = true
        continue
      }
      if (this.text[this.at] === this.close) return fields
      if (this.at >= this.text.length) {
        if (!fields.length) return `the entry ends before its first field.`
        this.damage.push(`the closing ${this.close} is missing`)
        return fields
      }
      const name = /([^\s=,{}"#()]+)\s*=\s*/y
      name.lastIndex = this.at
      const found = name.exec(this.text)
      if (!found)
        return `after ${fields.length ? `the field "${fields[fields.length - 1]![0]}"` : 'the key'} a name, an equals sign and a value were expected, not "${this.text.slice(this.at, this.at + 20).trim()}".`
      if (!comma) this.damage.push(`no comma before "${found[1]}"`)
      comma = false
      this.at = name.lastIndex
      const value = this.value(strings)
      if (value === undefined) return `the value of "${found[1]}" does not end.`
      if (value.length > LONGEST)
        return `the value of "${found[1]}" is put together from strings to more than ${thousands(LONGEST)} letters.`
      fields.push([found[1]!.toLowerCase(), value])
    }
  }

  /** Parts with "#" between them: in braces, in quotation marks, a number, or a name that @string gave. */
  private value(strings: ReadonlyMap<string, string>): string | undefined {
    let value = ''
    for (;;) {
      this.skip()
      const sign = this.text[this.at]
      if (sign === '{' || sign === '"') {
        const end = this.endOf(sign)
        if (end === undefined) return undefined
        value += this.text.slice(this.at + 1, end)
        this.at = end + 1
      } else {
        const bare = /[^\s,#{}"()=]+/y
        bare.lastIndex = this.at
        const found = bare.exec(this.text)?.[0]
        if (found === undefined) return undefined
        this.at += found.length
        value += strings.get(found.toLowerCase()) ?? found
        // Strings of strings double with each line: it is told, and not gone on with.
        if (value.length > LONGEST) return value
      }
      this.skip()
      if (this.text[this.at] !== '#') return value
      this.at++
    }
  }

  private endOf(open: string): number | undefined {
    let depth = 0
    for (let i = this.at + 1; i < this.text.length; i++) {
      const sign = this.text[i]
      if (sign === '\\') i++
      else if (sign === '{') depth++
      else if (sign === '}' && depth) depth--
      else if (sign === '}' && open === '{') return i
      else if (sign === '"' && open === '"' && !depth) return i
    }
    return undefined
  }
}
