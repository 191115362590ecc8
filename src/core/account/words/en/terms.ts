import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import { database, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Terms = FoundOf<'terms'>

/** More in running text, and the rest stands in an appendix. */
const MOST_TERMS = 12

const APPENDICES = 'and the strategies as they were run, line by line, in Appendix B'

const inFull: Words<Terms>['says'] = ({ count, asked, byYield, searched }) => {
  if (!searched) {
    const more = count > MOST_TERMS ? `; ${fact('terms.count')} are gathered so far` : ''
    const among = count > MOST_TERMS
    return [
      `${among ? 'Among the words are' : 'The terms are'} ${fact('terms.most')}${more}.`,
      `As terms serve${among ? ', among others,' : ''} ${fact('terms.most')}${more}.`,
    ]
  }
  if (!asked)
    return count === 1
      ? [
          `The one term of the plan stands in no line that was run; Appendix B has the strategies as they were run, line by line.`,
          `No line that was run has the one term of the plan; Appendix B has the strategies as they were run, line by line.`,
        ]
      : [
          `None of the ${fact('terms.count')} of the plan stands in a line that was run; Appendix A lists them, ${APPENDICES}.`,
          `Appendix A lists ${fact('terms.count')} of the plan, none of which stands in a line that was run; the strategies as they were run stand in Appendix B.`,
        ]
  const few = asked <= MOST_TERMS
  const not = count - asked
  const stand = not === 1 ? 'stands' : 'stand'
  const listedThere =
    'Appendix A has them by concept, and Appendix B the strategies as they were run, line by line'
  const unasked = not
    ? `; ${fact('terms.unasked')} ${few ? 'more of the plan' : 'of these'} ${stand} in no line that was run`
    : ''
  const where = few
    ? `${listedThere}${unasked}`
    : `all ${fact('terms.count')} are listed in Appendix A, ${APPENDICES}${unasked}`
  const which =
    byYield && !few
      ? 'The words held by the most works, in title, abstract or keywords, are'
      : !few
        ? 'Among the words are'
        : 'The terms are'
  return [
    `${which} ${fact('terms.most')}; ${where}.`,
    `As terms were taken${few ? '' : ', among others,'} ${fact('terms.most')}; ${where}.`,
  ]
}

export const terms: Words<Terms> = {
  says: inFull,
  short: (found, say, context) => {
    if (found.count <= MOST_TERMS || (found.searched && !found.asked)) return inFull(found, say, context)
    return found.searched
      ? [`The supplement has all ${fact('terms.count')} and the strategies.`]
      : [`Among the words are ${fact('terms.few')}.`]
  },
}

export const noHeading: Words<FoundOf<'no-heading'>> = {
  says: ({ gaps, searched }) => {
    const said = gaps.map((g) => `${database(g.sourceId)} has no heading for ${fact('gap.about', g.id)}`)
    const what = gaps.length === 1 ? 'it' : 'these'
    const find = searched ? `words alone had to find ${what}` : `words alone have to find ${what}`
    return [`${listed(said)}; there, ${find}.`, `As ${listed(said)}, ${find} there.`]
  },
}

export const dropped: Words<FoundOf<'dropped'>> = {
  says: ({ count, reasoned }, say) => {
    const kept = reasoned ? '; Appendix A says why' : ''
    const passive = `Another ${fact('terms.tried')} ${were(count)} tried and dropped${kept}.`
    return say(
      [`We tried and dropped ${fact('terms.tried')} more${kept}.`, passive],
      [passive, `Tried and dropped ${were(count)} ${fact('terms.tried')} more${kept}.`],
    )
  },
}
