import { TEXT_FIELDS, type Field } from '../query'
import { DESCRIBED_FIELDS, draftOf, type ProfileDraft } from './draft'
import { Profile } from './schema'

/** Where the code of a field stands. Neutral starts: the codes themselves are to be put right. */
export const FIELD_PATTERNS = {
  'before, with a sign': (code: string) => `${code}={expr}`,
  'before, with a colon': (code: string) => `${code}:{expr}`,
  'before, with brackets': (code: string) => `${code}[{expr}]`,
  behind: (code: string) => `{expr}@${code}`,
  'behind, with dots': (code: string) => `{expr}..${code}..`,
} as const satisfies Record<string, (code: string) => string>
export type FieldPattern = keyof typeof FIELD_PATTERNS

/** How a line is referred to by its number. */
export const LINE_PATTERNS = {
  'with a sign': '#{n}',
  'with a word': 'line {n}',
  'the bare number': '{n}',
  'not at all': '',
} as const
export type LinePattern = keyof typeof LINE_PATTERNS

const CODES: Partial<Record<Field, string>> = {
  title: 'title',
  abstract: 'abstract',
  keywords: 'keyword',
  subject: 'subject',
  author: 'author',
  journal: 'journal',
}

/**
 * The same draft with all its fields in a pattern: those that have a form, or the usual ones where none has. Codes that were typed
 * are kept, and only what stands round them changes.
 */
export function withFieldPattern(draft: ProfileDraft, pattern: FieldPattern): ProfileDraft {
  const make = FIELD_PATTERNS[pattern]
  const had = Object.keys(draft.fields).filter((f) => draft.fields[f])
  const which = had.length ? had : [...Object.keys(CODES), 'title,abstract,keywords']
  const fields = Object.fromEntries(
    DESCRIBED_FIELDS.map((of) => of.join(','))
      .filter((of) => which.includes(of))
      .map((of) => [
        of,
        make(typedCode(draft.fields[of]) ?? (of.includes(',') ? 'text' : (CODES[of as Field] ?? of))),
      ]),
  )
  return { ...draft, fields }
}

/** The letters of a code that was typed; undefined where there are none, or several groups of them. */
const typedCode = (form: string | undefined): string | undefined => {
  const codes = form?.replace('{expr}', ' ').match(/[\p{L}\p{N}]+/gu)
  return codes?.length === 1 ? codes[0] : undefined
}

export const withLinePattern = (draft: ProfileDraft, pattern: LinePattern): ProfileDraft => ({
  ...draft,
  line: LINE_PATTERNS[pattern],
})

/** Where a description begins: what most databases have in common, with a name to be put in. */
export function freshDraft(name = ''): ProfileDraft {
  const plain = Profile.parse({
    id: 'x',
    name: 'x',
    kind: 'index with vocabulary',
    operators: { and: ['and'], or: ['or'], not: ['not'], binding: [['not'], ['and'], ['or']] },
    sideBySide: 'all',
    quotes: { open: '"', close: '"' },
    truncation: { any: '*' },
    any: [...TEXT_FIELDS, 'subject'],
  })
  const draft: ProfileDraft = { ...draftOf(plain), id: '', name, rest: {} }
  return withLinePattern(withFieldPattern(draft, 'before, with a colon'), 'with a sign')
}
