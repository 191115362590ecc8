'use client'
import type { ReactNode } from 'react'
import { KeyHint } from './key-hint'

interface Tab<Id extends string> {
  id: Id
  label: string
}

/** The panes below something by name, each with what waits in it and the key of its action, `actions` and its id. */
export function Tabs<Id extends string>({
  label,
  tabs,
  chosen,
  choose,
  actions,
  name = (tab) => tab.label,
  waits,
}: {
  label: string
  tabs: readonly Tab<Id>[]
  chosen: Id
  choose: (id: Id) => void
  actions: string
  /** How a tab is called now, where that changes. */
  name?: (tab: Tab<Id>) => string
  waits: (id: Id) => ReactNode
}) {
  return (
    <div className="tabs" role="tablist" aria-label={label}>
      {tabs.map((tab) => (
        <button
          key={tab.id}
          className="plain"
          role="tab"
          aria-selected={tab.id === chosen}
          onClick={() => choose(tab.id)}
        >
          {name(tab)}
          {waits(tab.id)}
          <KeyHint of={`${actions}-${tab.id}`} />
        </button>
      ))}
    </div>
  )
}
