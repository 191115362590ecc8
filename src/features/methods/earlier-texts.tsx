import { dropOwnWords } from '@/core/doing'
import { EARLIER_PASSAGES, inlinesOf, PARTS, inlineWords, type FactContext } from '@/core/account'
import { useStore } from '@/page/provider'

/**
 * Text that a person wrote under parts which the section as it is told now does not have: under the six parts of earlier
 * accounts, or in the other order. It is kept until they take it away.
 */
export function EarlierTexts({ context, shown }: { context: FactContext; shown: readonly string[] }) {
  const { deed, doIt } = useStore()
  const { edited, voice } = context.review.account
  const kept = Object.entries(edited).filter(([id]) => !shown.includes(id))
  if (!kept.length) return null
  return (
    <section className="earlier-texts" aria-label="Your earlier text">
      <h2>Your earlier text</h2>
      <p className="sub">
        You wrote this under parts that the section does not have as it is told now. Take from it what you
        want; its facts go on following the record.
      </p>
      {kept.map(([id, content]) => (
        <div key={id}>
          <div className="passage-head">
            <span>{id in PARTS ? PARTS[id as keyof typeof PARTS][voice] : (EARLIER_PASSAGES[id] ?? id)}</span>
            <button className="plain link sub" onClick={() => deed(doIt(dropOwnWords, { passage: id }))}>
              take it away
            </button>
          </div>
          {content.map((block, n) => (
            <p key={n} className="account">
              {[...inlinesOf(block)].map((node) => inlineWords(context, node)).join('')}
            </p>
          ))}
        </div>
      ))}
    </section>
  )
}
