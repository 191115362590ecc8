import { verbatim } from '../../document'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const wayLooked: Words<FoundOf<'way-looked'>> = {
  says: ({ sourceId: id, kind, times, counted, taken, stopped }) => {
    const people = kind === 'people'
    const days = fact('looked.days', id)
    const kept =
      taken === undefined
        ? ''
        : taken
          ? `, and ${fact('looked.taken', id)} taken on`
          : ', and nothing was taken on'
    const partly =
      counted && counted < times ? `; ${fact('looked.uncounted', id)} it was not noted how many` : ''
    const [stop, ...others] = stopped
    const end =
      stop === undefined
        ? '.'
        : others.length
          ? '; where one stopped stands in Appendix B.'
          : `; one stopped at ${verbatim(stop)}.`
    if (!counted)
      return [
        `This was done ${days}${kept}; how many ${people ? 'works were named' : 'records were looked through'} was not noted${end}`,
        `It was done ${days}${kept}; how many ${people ? 'works were named' : 'records were looked through'} was not noted${end}`,
      ]
    return people
      ? [
          `Asked ${days}, they named ${fact('looked.named', id)}${kept}${partly}${end}`,
          `They were asked ${days} and named ${fact('looked.named', id)}${kept}${partly}${end}`,
        ]
      : [
          `There, ${fact('looked.through', id)} were looked through ${days}${kept}${partly}${end}`,
          `Looked through there were ${fact('looked.through', id)} ${days}${kept}${partly}${end}`,
        ]
  },
}
