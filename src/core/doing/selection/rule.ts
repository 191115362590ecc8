import { held } from '../../base'
import {
  askedNow,
  leadsOut,
  personId,
  ruledBefore,
  saysTheSame,
  type Answer,
  type Command,
  type Criterion,
  type PassName,
  type Retrieval,
  type Ruled,
  type Ruling,
  type Work,
} from '../../review'
import { isHad } from '../../selection'
import type { Doing } from '../doing'
import { retrievalSet } from './retrieve'

export interface RulingMade {
  work: Work
  /** What was said of all works before. */
  ruled: Ruled
  pass: PassName
  verdict: Ruling['verdict']
  criterionId?: string | undefined
  reason?: string | undefined
  answers?: Readonly<Record<string, Answer>> | undefined
  note?: string | undefined
  /** What is noted of its full text. */
  retrieval?: Retrieval | undefined
  /** Where the full text was had, said with the ruling; `none noted` where nobody says. */
  had?: Retrieval['state'] | 'none noted' | undefined
}

/** The questions whose answers lead out, in their order. */
export const outBy = (
  criteria: readonly Criterion[],
  answers: Readonly<Record<string, Answer>> | undefined,
): Criterion[] => criteria.filter((c) => answers?.[c.id] === leadsOut(c))

/** Must it be asked where the full text was had, before a work is ruled on it? */
export const asksWhereHad = (pass: PassName, retrieval: Retrieval | undefined): boolean =>
  pass === 'close' && !isHad(retrieval?.state)

/**
 * Rules a work in the name of who works here. The ruling carries the questions as they were shown, whether another's ruling
 * could be seen, and of a full text where it was had; what is said of that with it is noted in the same press. One that says
 * once more what was said is no deed.
 */
export const ruleWork: Doing<RulingMade> = ({ review, person }, made) => {
  const { work, ruled, pass, verdict, criterionId, retrieval, had } = made
  const me = personId(review, person)
  const own = held(ruled.byWork, work.id)
  const others = ruledBefore(ruled, work, pass, person).filter((id) => id !== work.id)
  const asked = askedNow(review, pass)
  const version = review.criteriaVersions?.at(-1)?.id
  const [reason, note] = [made.reason?.trim(), made.note?.trim()]
  const unseen = !Object.values(own ?? {}).some((r) => r.pass === pass && r.reader !== me && !r.unread)
  const text = pass === 'broad' ? undefined : (had ?? retrieval?.state ?? 'none noted')
  const ruling: Ruling = {
    recordId: work.id,
    pass,
    reader: person,
    verdict,
    ...(others.length ? { replaces: others } : {}),
    ...(criterionId ? { criterionId } : {}),
    ...(reason && !criterionId ? { reason } : {}),
    ...(made.answers && Object.keys(made.answers).length ? { answers: { ...made.answers } } : {}),
    ...(version ? { version } : {}),
    ...(note ? { note } : {}),
    ...(asked ? { asked: { ...asked } } : {}),
    ...(text ? { text } : {}),
    blinded: unseen,
  }
  const noted: Command[] =
    had !== undefined && had !== 'none noted' && had !== retrieval?.state
      ? [retrievalSet(retrieval, { recordId: retrieval?.recordId ?? work.id, state: had })]
      : []
  if (saysTheSame(own?.[`${pass}/${me}`], ruling)) return noted
  return [...noted, { kind: 'ruling.set', payload: ruling }]
}

/** Rules many works out at once, which a filter or a group names: nobody reads them. Those that one ruled stay as they are. */
export const ruleMany: Doing<{
  ids: readonly string[]
  ruled: Ruled
  pass: PassName
  because: string
  /** Which works they are, in words. */
  which: string
}> = ({ review, person }, { ids, ruled, pass, because, which }) => {
  const records = notRuledBy(personId(review, person), pass, ids, ruled)
  if (!records.length || !because.trim()) return []
  return [
    {
      kind: 'ruling.many',
      payload: { records, pass, reader: person, verdict: 'out', because: because.trim(), which },
    },
  ]
}

/** Those of these works that a person has not ruled in a pass. */
export const notRuledBy = (
  person: string,
  pass: PassName,
  ids: readonly string[],
  { byWork }: Pick<Ruled, 'byWork'>,
): string[] => ids.filter((id) => !held(byWork, id)?.[`${pass}/${person}`])
