import type { FoundOf } from '../../sayings'
import { questionList } from './titles-asked'
import type { Words } from './words'

export const textsAsked: Words<FoundOf<'texts-asked'>> = {
  says: (found, _say, context) => {
    const { end, each, one } = questionList(found, context, 'close')
    if (each)
      return one
        ? [
            `One question was asked of each full text: ${end}`,
            `Asked of each full text was one question: ${end}`,
          ]
        : [`These questions were asked of each full text: ${end}`, `Each full text was asked: ${end}`]
    return one
      ? [`One question was asked of full texts: ${end}`, `The question of full texts was this one: ${end}`]
      : [`These questions were asked of full texts: ${end}`, `The questions of full texts were these: ${end}`]
  },
}
