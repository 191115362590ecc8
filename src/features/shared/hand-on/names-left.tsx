import { Checkbox } from 'antd'
import { plural } from '@/core/base'
import type { NamedText } from '@/core/review'

/** By which a text that holds a name is told from others. */
export const textKey = ({ part, name, text }: NamedText): string => `${part}\n${name}\n${text}`

/** Texts that somebody wrote and that hold a name: each is asked about, for nothing of them can be changed on the way. */
export function NamesLeft({
  texts,
  agreed,
  agree,
}: {
  texts: readonly NamedText[]
  agreed: readonly string[]
  agree: (keys: readonly string[]) => void
}) {
  const open = texts.filter((t) => !agreed.includes(textKey(t)))
  return (
    <div className="sub hand-on-names" role="group" aria-label="Texts that hold a name">
      {plural(texts.length, 'text')} that somebody wrote {texts.length === 1 ? 'holds' : 'hold'} a name. Say
      of each that it may go as it is written, or change it in the review first.
      <ul>
        {texts.map((t) => {
          const key = textKey(t)
          return (
            <li key={key}>
              <Checkbox
                checked={agreed.includes(key)}
                onChange={(e) => agree(e.target.checked ? [...agreed, key] : agreed.filter((k) => k !== key))}
              >
                {t.name}, in {t.part}: “{t.text.length > 160 ? `${t.text.slice(0, 160)} …` : t.text}”
              </Checkbox>
            </li>
          )
        })}
      </ul>
      {open.length > 1 && (
        <button className="plain link" onClick={() => agree(texts.map(textKey))}>
          all {texts.length} may go as they are written
        </button>
      )}
    </div>
  )
}
