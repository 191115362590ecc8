import type { Problem } from '../../base'
import { fieldOf } from '../fields'
import { emptyRecord, type Rec } from '../record'
import { atLine, Lines, type Reader, type ReadsTo } from './item'
import { putForeign, type Reading } from './foreign-value'
import { READER_VERSION } from './versions'

/** How a line with a tag looks, how records end, and where the value of each tag goes. */
export interface TagShape {
  form: TagForm
  /** A tag that begins a record; without it, an empty line ends one. */
  begins?: string | undefined
  /** A tag that ends one. */
  ends?: string | undefined
  /** By tag: a field of a record, or `id`. A tag without one, or with an empty one, is kept. */
  fields: Readonly<Record<string, string>>
}
export type TagForm = 'dash' | 'colon' | 'space'

/** Tags have two to four capitals or digits, the first a letter. */
const FORMS: Readonly<Record<TagForm, RegExp>> = {
  dash: /^([A-Z][A-Z0-9]{1,3}) {0,3}-(?: (.*)|)$/,
  colon: /^([A-Z][A-Z0-9]{1,3}) ?:(?: (.*)|)$/,
  space: /^([A-Z][A-Z0-9]{1,3})(?: {1,4}(\S.*)|)$/,
}

/** The tag of a line and its value; undefined for one that goes on with what stands before. */
export function tagIn(row: string, form: TagForm): { tag: string; value: string } | undefined {
  const found = FORMS[form].exec(row.trimEnd())
  return found ? { tag: found[1]!, value: (found[2] ?? '').trim() } : undefined
}

/** Which of the forms fits most lines of a text; undefined where none fits a third of those that are no continuations. */
export function tagFormOf(text: string): TagForm | undefined {
  const rows = text.split(/\r\n?|\n/).filter((r) => r.trim() && !/^\s/.test(r))
  const counts = (Object.keys(FORMS) as TagForm[]).map(
    (form) => [form, rows.filter((r) => tagIn(r, form)).length] as const,
  )
  const best = counts.sort((a, b) => b[1] - a[1])[0]!
  return rows.length && best[1] >= 2 && best[1] * 3 >= rows.length ? best[0] : undefined
}

/**
 * Reads tagged text in pieces, by a shape. A line without a tag goes on with the value before it. Of a tag that comes
 * again, lists take every value; of another field the first is taken and the rest kept by the tag.
 */
export function taggedReader(to: ReadsTo, shape: TagShape, version = READER_VERSION): Reader {
  let tags: { tag: string; parts: string[]; line: number }[] = []
  let position = 0
  const finish = (): void => {
    if (!tags.length) return
    const own = tags
    tags = []
    position++
    const line = own[0]!.line
    const { record, problems, understood } = recordOf(own, shape, position, { version })
    if (understood) to.item({ position, line, record, problems })
    else
      to.item({
        position,
        line,
        text: own.map((t) => `${t.tag} ${t.parts.join('\n   ')}`).join('\n'),
        problems: [atLine(line, 'tagged-nothing', 'error', 'no tag of this record goes into a field.')],
      })
  }
  const lines = new Lines((row, number) => {
    const found = tagIn(row, shape.form)
    if (found && found.tag === shape.begins) finish()
    if (!found) {
      if (!row.trim()) {
        if (!shape.begins && !shape.ends) finish()
      } else if (tags.length) tags[tags.length - 1]!.parts.push(row.trim())
      else
        to.stray(
          atLine(number, 'tagged-stray', 'warning', 'no tag, and no record before it: it is left out.'),
        )
      return
    }
    if (found.tag === shape.ends) return finish()
    tags.push({ tag: found.tag, parts: [found.value], line: number })
  })
  return {
    push: (text) => lines.push(text),
    end: () => {
      lines.end()
      finish()
    },
  }
}

function recordOf(
  tags: readonly { tag: string; parts: string[]; line: number }[],
  shape: TagShape,
  position: number,
  reading: Reading,
): { record: Rec; problems: Problem[]; understood: boolean } {
  const record = emptyRecord(String(position))
  const problems: Problem[] = []
  let understood = false
  for (const { tag, parts, line } of tags) {
    const key = Object.hasOwn(shape.fields, tag) ? shape.fields[tag] : undefined
    const list = Boolean(key) && fieldOf(key!)?.form === 'list'
    // Each line of a list is a value of its own; other values go on from line to line.
    const values = list ? parts.filter(Boolean) : [parts.filter(Boolean).join(' ')]
    for (const value of values) {
      if (!value) continue
      if (putForeign(record, key, value, false, reading)) understood = true
      else {
        ;(record.extra[tag] ??= []).push(value)
        if (key === 'year' && record.year === undefined)
          problems.push(atLine(line, 'tagged-year', 'warning', `"${value}" holds no year of four digits.`))
      }
    }
  }
  if (understood && !record.title)
    problems.push(atLine(tags[0]!.line, 'no-title', 'warning', 'this record has no title.'))
  return { record, problems, understood }
}
