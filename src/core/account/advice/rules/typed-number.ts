import { rowOf } from '../../documents/table-1'
import { searchedIn } from '../../../figures'
import { inlineWords, resolveFact } from '../../facts'
import { inlinesOf } from '../../document'
import { FACT_SIGN, type Look } from '../look'
import type { Rule } from '../advice'

const NUMBER = /\d[\d,]*(?:\.\d+)?/g
const plain = (n: string): string => n.replace(/,/g, '')

/** Of smaller numbers there is one for nearly everything in a record: they count only where the account tells them. */
const TELLING = 100

/** Every number that the account tells, and the larger ones that the record holds, as they are written. */
function known({ context, passages }: Look): Set<string> {
  const found = new Set<string>()
  const take = (words: string): void => {
    for (const n of words.match(NUMBER) ?? []) found.add(plain(n))
  }
  JSON.stringify(context.figures, (_key, value: unknown) => {
    if (typeof value === 'number' && value >= TELLING) found.add(String(value))
    return value
  })
  for (const p of passages)
    for (const d of p.drafted) for (const n of d.content) take(inlineWords(context, n))
  for (const p of passages)
    for (const b of p.content)
      for (const n of inlinesOf(b)) if (n.type === 'fact') take(resolveFact(context, n.attrs.ref).text)
  for (const r of context.review.runs) if (r.hits >= TELLING) found.add(String(r.hits))
  for (const s of searchedIn(context.review))
    for (const c of rowOf(context, s)) for (const n of c) if (n.type === 'text') take(n.text)
  return found
}

/** A number that was typed and that nothing in the record bears out: of a fact it would change by itself. */
export const typedNumber: Rule = (look) => {
  const record = known(look)
  return look.sentences
    .filter((s) => s.edited)
    .flatMap((s) =>
      [...s.typed.replaceAll(FACT_SIGN, ' ').matchAll(/(?<![\w.])\d[\d,]*(?:\.\d+)?(?![\w])/g)]
        .filter(([n]) => !record.has(plain(n)))
        .map(([n]) => ({
          matter: `${n} ${s.typed.slice(0, 80)}`,
          message: `The number ${n} was typed, and the record does not hold it.`,
          passage: s.passage,
          words: s.text,
        })),
    )
}
