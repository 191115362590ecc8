import { useCallback } from 'react'
import { held } from '@/core/base'
import { ruledBefore, saysTheSame, type Answer, type PassName, type Ruling, type Work } from '@/core/review'
import { useSession, useStore } from '@/store/provider'
import type { Selected } from '../use-selected'

export interface Said {
  verdict: Ruling['verdict']
  criterionId?: string
  reason?: string
  answers?: Readonly<Record<string, Answer>>
  note?: string
}

/** Rules a work in the name of who works here, under the criteria as they stand; `then` comes after. */
export function useRuling(pass: PassName, { review, ruled }: Selected) {
  const { act, deed, inName } = useStore()
  const person = useSession((s) => s.person)
  const version = review.criteriaVersions?.at(-1)?.id
  return useCallback(
    (work: Work, said: Said, then: () => void = () => undefined): void =>
      inName(() => {
        const before = ruledBefore(ruled, work, pass, person).filter((id) => id !== work.id)
        const { verdict, criterionId, reason, answers, note } = said
        const ruling: Ruling = {
          recordId: work.id,
          pass,
          reader: person,
          verdict,
          ...(before.length ? { replaces: before } : {}),
          ...(criterionId ? { criterionId } : {}),
          ...(reason?.trim() ? { reason: reason.trim() } : {}),
          ...(answers && Object.keys(answers).length ? { answers: { ...answers } } : {}),
          ...(version ? { version } : {}),
          ...(note?.trim() ? { note: note.trim() } : {}),
        }
        // A key that says once more what was said is no deed.
        if (!saysTheSame(held(ruled.byWork, work.id)?.[`${pass}/${person}`], ruling))
          deed(act('ruling.set', ruling))
        then()
      }),
    [act, deed, inName, pass, person, ruled, version],
  )
}
