import { idOf } from '../describe'
import type { Lists } from './list-forms'

/** What was learned as a description: what no example showed is as it mostly is, or missing. */
export function assembled(
  name: string,
  forms: ReadonlyMap<string, string>,
  lists: Lists,
): Record<string, unknown> {
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
    id: idOf(name),
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
