import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const wayFollowed: Words<FoundOf<'way-followed'>> = {
  says: ({ sourceId: id, kind, steps, works, through, counted, known, lastGaveNothing }) => {
    const cited = kind === 'reference lists'
    const of = works ? fact('followed.of', id) : 'works'
    const when = ` ${fact('followed.days', id)}${through ? `, through ${fact('followed.through', id)}` : ''}${steps > 1 ? `, in ${fact('followed.steps', id)}` : ''}`
    const already = known ? `, ${fact('followed.known', id)} of them known already` : ''
    const named = counted
      ? `; ${fact('followed.named', id)} were named${already}`
      : '; how many were named was not noted'
    const partly =
      counted && counted < steps ? `; of ${fact('followed.uncounted', id)} it was not noted how many` : ''
    const end = `${named}${partly}${lastGaveNothing ? '; the last step brought nothing new' : ''}.`
    return cited
      ? [`The references of ${of} were read${when}${end}`, `Read were the references of ${of}${when}${end}`]
      : [
          `Works that cite ${of} were looked for${when}${end}`,
          `Looked for were works that cite ${of}${when}${end}`,
        ]
  },
}
