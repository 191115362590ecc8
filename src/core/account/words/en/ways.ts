import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import { afterwards, commaBecause } from './reason'
import { database, databases, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Way = FoundOf<'way-gone'>

/** What is done with a source that is no database: people are asked, lists are read, websites are searched. */
const DEED: Record<Way['kind'], { plan: string; done: string; passive?: string }> = {
  'reference lists': { plan: 'read', done: 'read' },
  'citing papers': { plan: 'follow', done: 'followed' },
  people: { plan: 'ask', done: 'asked' },
  web: { plan: 'search', done: 'searched' },
  catalogue: { plan: 'search', done: 'searched' },
  'own collection': { plan: 'go through', done: 'went through', passive: 'gone through' },
  'hand search': { plan: 'go through', done: 'went through', passive: 'gone through' },
  register: { plan: 'search', done: 'searched' },
}

const gone: Words<Way>['says'] = ({ sourceId, kind, reason, nth, alone }, say) => {
  // Each of several begins in its own way.
  const turned = (ways: string[]): string[] => ways.map((_, n) => ways[(n + nth) % ways.length]!)
  const { done } = DEED[kind]
  const behind = `${database(sourceId)}${commaBecause(reason)}.${afterwards(reason)}`
  const asked = kind === 'people'
  if (alone && nth === 0)
    return say(
      [`We ${done} ${behind}`],
      [asked ? `Questions went to ${behind}` : `Works were sought through ${behind}`],
    )
  const beyond = alone ? 'Further' : 'Beyond databases'
  return say(
    turned([
      `We also ${done} ${behind}`,
      `${beyond} we ${done} ${behind}`,
      `In addition, we ${done} ${behind}`,
    ]),
    asked
      ? turned([
          `${beyond}, questions went to ${behind}`,
          `Questions went to ${behind}`,
          `In addition, questions went to ${behind}`,
        ])
      : turned([
          `${beyond}, works were sought through ${behind}`,
          `Works were also sought through ${behind}`,
          `In addition, works were sought through ${behind}`,
        ]),
  )
}

export const wayGone: Words<Way> = {
  says: gone,
  short: (found, say, context) => gone({ ...found, reason: '' }, say, context),
}

const planned: Words<FoundOf<'way-planned'>>['says'] = ({ sourceId, kind, reason }, say) => {
  const behind = `${commaBecause(reason)}.${afterwards(reason)}`
  const { plan, done, passive = done } = DEED[kind]
  return say(
    [
      `We plan to ${plan} ${database(sourceId)} as well${behind}`,
      `Beyond that we plan to ${plan} ${database(sourceId)}${behind}`,
    ],
    [
      `Beyond that, it is planned that ${database(sourceId)} be ${passive}${behind}`,
      `As yet only planned: that ${database(sourceId)} be ${passive}${behind}`,
    ],
  )
}

export const wayPlanned: Words<FoundOf<'way-planned'>> = {
  says: planned,
  short: (found, say, context) => planned({ ...found, reason: '' }, say, context),
}

export const waysAtOnce: Words<FoundOf<'ways-at-once'>> = {
  says: ({ ways, sourceIds }, say) => {
    const deeds = listed(ways.map((w) => `${DEED[w.kind].done} ${database(w.sourceId)}`))
    const names = databases(sourceIds)
    return say(
      [`We also ${deeds}.`, `Beyond that we ${deeds}.`],
      [`Works were sought through ${names} as well.`, `Beyond that, works were sought through ${names}.`],
    )
  },
}

const NOTED: Readonly<Record<FoundOf<'pages-noted'>['of'][number], string>> = {
  publisher: 'who publishes',
  dated: 'how it is dated',
  evidence: 'what it rests on',
  purpose: 'what it is for',
}

export const pagesNoted: Words<FoundOf<'pages-noted'>> = {
  says: ({ sourceId: id, count, of }) => {
    const what = of.length ? `, with ${listed(of.map((w) => NOTED[w]))}` : ''
    return [
      `${fact('^pages', id)} there ${were(count)} noted${what}.`,
      `Noted ${were(count)} ${fact('pages', id)} there${what}.`,
    ]
  },
}
