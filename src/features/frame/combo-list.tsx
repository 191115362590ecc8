'use client'
import { Input } from 'antd'
import { useId, useState, type ReactNode } from 'react'

export interface ComboItem {
  id: string
  /** What it is found by. */
  words: string
  shown: ReactNode
  /** It cannot be chosen now. */
  off?: boolean
}

/** A combobox: the box keeps the focus, the active item is named to whoever listens. */
export function ComboList<Item extends ComboItem>({
  items,
  go,
  label,
  placeholder,
  of,
  none,
  beneath,
}: {
  items: readonly Item[]
  go: (item: Item) => void
  /** What is done in the box: "Search the actions". */
  label: string
  placeholder: string
  /** What the items are called: "Actions". */
  of: string
  /** Said where nothing has the words. */
  none: string
  /** Said of the active one, below the list. */
  beneath?: (item: Item) => ReactNode
}) {
  const [asked, setAsked] = useState('')
  const [at, setAt] = useState(0)
  const list = useId()
  const words = asked.toLowerCase().split(/\s+/)
  const has = items.filter((i) => words.every((w) => i.words.toLowerCase().includes(w)))
  // What begins with it comes first: who types a number means the number.
  const begins = (i: Item): boolean => i.words.toLowerCase().startsWith(asked.toLowerCase())
  const found = [...has.filter(begins), ...has.filter((i) => !begins(i))]
  const take = (i: number): void => {
    const item = found[i]
    if (item && !item.off) go(item)
  }
  const show = (i: number): void => {
    setAt(i)
    document.getElementById(`${list}-${i}`)?.scrollIntoView({ block: 'nearest' })
  }
  const active = found[at]
  return (
    <>
      <Input
        autoFocus
        value={asked}
        placeholder={placeholder}
        aria-label={label}
        role="combobox"
        aria-expanded="true"
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={active ? `${list}-${at}` : undefined}
        onChange={(e) => {
          setAsked(e.target.value)
          setAt(0)
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') show(Math.min(at + 1, found.length - 1))
          else if (e.key === 'ArrowUp') show(Math.max(at - 1, 0))
          else if (e.key === 'Enter') take(at)
          else return
          e.preventDefault()
        }}
      />
      <ul role="listbox" id={list} aria-label={of}>
        {found.map((item, i) => (
          <li
            key={item.id}
            id={`${list}-${i}`}
            role="option"
            className="palette-action"
            aria-selected={i === at}
            aria-disabled={item.off ?? false}
            onClick={() => take(i)}
          >
            {item.shown}
          </li>
        ))}
      </ul>
      {!found.length && <p className="empty">{none}</p>}
      {active && beneath?.(active)}
    </>
  )
}
