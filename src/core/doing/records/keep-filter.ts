import type { Doing } from '../doing'

type Chosen = Partial<Record<string, readonly string[]>>
/** What the list is narrowed to. */
export interface Narrowed {
  words: string
  chosen: Chosen
  leftOut: Chosen
}

/** Keeps what the list is narrowed to as a filter, under a name. */
export const keepFilter: Doing<{ name: string; asked: Narrowed }> = ({ newId }, { name, asked }) => {
  if (!name.trim()) return []
  const words = asked.words.trim()
  return [
    {
      kind: 'filter.set',
      payload: {
        id: newId(),
        name: name.trim(),
        ...(words ? { words } : {}),
        chosen: asked.chosen as Record<string, string[]>,
        leftOut: asked.leftOut as Record<string, string[]>,
      },
    },
  ]
}

/** Takes a kept filter away. */
export const dropFilter: Doing<string> = (_at, id) => [{ kind: 'filter.remove', payload: { id } }]
