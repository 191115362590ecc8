'use client'
import { Working } from '../shared/working'
import { Shelf, type ShelfProps } from './shelf'

/** The shelf with everything that works on reviews. */
export function ShelfWhole(props: ShelfProps) {
  return (
    <Working>
      <Shelf {...props} />
    </Working>
  )
}
