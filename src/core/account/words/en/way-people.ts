import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const wayPeople: Words<FoundOf<'way-people'>> = {
  says: ({ sourceId: id, asked, answered }) => {
    const who = listed(answered.map((a) => fact('contact', a)))
    const when = fact('people.days', id)
    const silent = asked - answered.length
    if (!answered.length)
      return asked === 1
        ? [
            `The person asked ${when} has not answered yet.`,
            `No answer has come from the person asked ${when}.`,
          ]
        : [
            `None of ${fact('people.asked', id)} asked ${when} has answered yet.`,
            `No answer has come from ${fact('people.asked', id)} asked ${when}.`,
          ]
    if (!silent)
      return asked === 1
        ? [`An answer to what was asked ${when} came from ${who}.`, `Asked ${when}, ${who} answered.`]
        : [
            `Answers to what was asked ${when} came from ${who}.`,
            `All ${fact('people.asked', id)} asked ${when} answered: ${who}.`,
          ]
    return [
      `Of ${fact('people.asked', id)} asked ${when}, ${who} answered; ${fact('people.silent', id)} of them ${silent === 1 ? 'has' : 'have'} not answered yet.`,
      `From ${fact('people.asked', id)} asked ${when}, an answer came from ${who}; ${fact('people.silent', id)} of them ${silent === 1 ? 'has' : 'have'} not answered yet.`,
    ]
  },
}
