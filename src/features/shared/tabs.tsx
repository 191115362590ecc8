'use client'
import { useRef, type KeyboardEvent, type ReactNode } from 'react'
import { KeyHint } from './key-hint'
import styles from './tabs.module.css'

interface Tab<Id extends string> {
  id: Id
  label: string
  /** What is asked there: tabs of one question stand together under it. */
  group?: string
}

/**
 * The panes below something by name, each with what waits in it and the key of its action, `actions` and its id. They are one
 * stop of the tabulator; arrows, Home and End go from one to the next and choose it (ARIA authoring practices, tabs).
 */
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
  const list = useRef<HTMLDivElement>(null)
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return
    const at = tabs.findIndex((t) => t.id === chosen)
    const to = nextPlace(event.key, at, tabs.length)
    if (to === undefined) return
    event.preventDefault()
    choose(tabs[to]!.id)
    list.current?.querySelectorAll<HTMLElement>('[role=tab]')[to]?.focus()
  }
  const one = (tab: Tab<Id>): ReactNode => (
    <button
      key={tab.id}
      className="plain"
      role="tab"
      aria-selected={tab.id === chosen}
      tabIndex={tab.id === chosen ? 0 : -1}
      onClick={(event) => {
        choose(tab.id)
        // Who chose by the mouse goes on at what stands there now, with its keys; arrows on a tab would lead to the next one.
        if (event.detail > 0)
          event.currentTarget.closest<HTMLElement>('#stage')?.focus({ preventScroll: true })
      }}
    >
      {name(tab)}
      {waits(tab.id)}
      <KeyHint of={`${actions}-${tab.id}`} />
    </button>
  )
  return (
    <div ref={list} className="tabs" role="tablist" aria-label={label} onKeyDown={onKeyDown}>
      {groupsOf(tabs).map(({ group, own }) =>
        group === undefined ? (
          own.map(one)
        ) : (
          <div key={group} role="presentation" className={styles.group}>
            <span aria-hidden className={styles.asked}>
              {group}
            </span>
            <div role="presentation" className={styles.own}>
              {own.map(one)}
            </div>
          </div>
        ),
      )}
    </div>
  )
}

/** Where a key leads from a place among so many; undefined where it is none that leads on. */
function nextPlace(key: string, at: number, of: number): number | undefined {
  switch (key) {
    case 'ArrowRight':
      return (at + 1) % of
    case 'ArrowLeft':
      return (at - 1 + of) % of
    case 'Home':
      return 0
    case 'End':
      return of - 1
    default:
      return undefined
  }
}

/** Tabs in their order, those of one question together. */
function groupsOf<T extends { group?: string }>(
  tabs: readonly T[],
): { group?: string | undefined; own: T[] }[] {
  const groups: { group?: string | undefined; own: T[] }[] = []
  for (const tab of tabs) {
    const last = groups.at(-1)
    if (last && last.group === tab.group) last.own.push(tab)
    else groups.push({ group: tab.group, own: [tab] })
  }
  return groups
}
