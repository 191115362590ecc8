import type { HeadingsSeen } from '../reads/en'
import type { Deeds } from './deeds'

/** On the first and the last of these days somebody looked there; just these words were sought in vain, and never found. */
export function headingsSeen({ source, time, missing }: HeadingsSeen, deeds: Deeds): boolean {
  const id = deeds.of('source.set').findLast((s) => s.name === source)?.id
  const noted = deeds.of('heading.noted').filter((h) => h.sourceId === id && h.from !== 'record')
  const looked = deeds.of('lookup.log').filter((l) => l.sourceId === id && l.what === 'heading')
  const days = [...noted, ...looked].map((l) => l.day as string).sort()
  const found = noted.map((h) => (h.label as string).toLowerCase())
  const vain = new Set(looked.map((l) => l.words as string).filter((w) => !found.includes(w.toLowerCase())))
  return (
    days.length > 0 &&
    time.first === days[0] &&
    time.last === days.at(-1) &&
    JSON.stringify([...missing].sort()) === JSON.stringify([...vain].sort())
  )
}
