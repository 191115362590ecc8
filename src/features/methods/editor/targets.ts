import { create } from 'zustand'
import { plainTarget, type Target } from '@/core/account'

/** What the section can refer to as it stands, for the parts of its text that show it. */
export const useTargets = create<{ targets: readonly Target[] }>(() => ({ targets: [] }))

export const keepTargets = (targets: readonly Target[]): void => useTargets.setState({ targets })

/** What a reference is called now; `found` is false where it leads nowhere. */
export function useTarget(to: string): { label: string; title: string; found: boolean } {
  const target = useTargets((s) => s.targets.find((t) => t.to === to))
  return target
    ? { label: target.label, title: target.title, found: true }
    : { label: plainTarget(to), title: 'It is not in the section.', found: false }
}
