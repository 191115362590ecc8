import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const wayPeople: Words<FoundOf<'way-people'>> = {
  says: ({ sourceId: id, asked, answered }) => {
    const who = listed(answered.map((a) => `{contact:${a}}`))
    const when = `{people.days:${id}}`
    const silent = asked - answered.length
    if (!answered.length)
      return asked === 1
        ? [
            `The person asked ${when} has not answered yet.`,
            `No answer has come from the person asked ${when}.`,
          ]
        : [
            `None of {people.asked:${id}} asked ${when} has answered yet.`,
            `No answer has come from {people.asked:${id}} asked ${when}.`,
          ]
    if (!silent)
      return asked === 1
        ? [`An answer to what was asked ${when} came from ${who}.`, `Asked ${when}, ${who} answered.`]
        : [
            `Answers to what was asked ${when} came from ${who}.`,
            `All {people.asked:${id}} asked ${when} answered: ${who}.`,
          ]
    return [
      `Of {people.asked:${id}} asked ${when}, ${who} answered; {people.silent:${id}} of them ${silent === 1 ? 'has' : 'have'} not answered yet.`,
      `From {people.asked:${id}} asked ${when}, an answer came from ${who}; {people.silent:${id}} of them ${silent === 1 ? 'has' : 'have'} not answered yet.`,
    ]
  },
}
