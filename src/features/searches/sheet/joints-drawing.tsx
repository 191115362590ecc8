'use client'
import { useLayoutEffect, useMemo, useRef, useState } from 'react'
import { jointsOf } from './joints'

const NEAR = 40
const LANE = 9

/** Draws in the margin which lines feed which. `editing` is the place of the line that is open, or -1. */
export function Joints({ texts, editing }: { texts: string[]; editing: number }) {
  const ref = useRef<SVGSVGElement>(null)
  const [rows, setRows] = useState<{ middles: number[]; height: number }>({ middles: [], height: 0 })
  const key = texts.join('\n')
  useLayoutEffect(() => {
    const sheet = ref.current?.parentElement
    if (!sheet) return
    const measure = (): void => {
      // Rows are alike, only the one that is edited is higher: two of them are measured, however many there are.
      const all = sheet.querySelectorAll<HTMLElement>('[data-line]')
      const plain = all[editing === 0 ? 1 : 0]?.getBoundingClientRect().height ?? 0
      const edited = editing < 0 ? plain : (all[editing]?.getBoundingClientRect().height ?? plain)
      const middles = Array.from(all, (_, i) =>
        i === editing
          ? i * plain + Math.min(edited, 36) / 2
          : i * plain + (editing >= 0 && i > editing ? edited - plain : 0) + plain / 2,
      )
      setRows({ middles, height: sheet.clientHeight })
    }
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(sheet)
    return () => observer.disconnect()
  }, [key, editing])
  const joints = useMemo(() => jointsOf(key.split('\n')), [key])
  return (
    <svg ref={ref} className="joints" width="56" height={rows.height} aria-hidden="true">
      {joints.map(({ from, to, lane }, i) => {
        const y0 = rows.middles[from - 1]
        const y1 = rows.middles[to - 1]
        if (y0 === undefined || y1 === undefined) return null
        const x = Math.max(4, NEAR - lane * LANE)
        return (
          <g key={i}>
            <path d={`M52 ${y0}H${x + 6}Q${x} ${y0} ${x} ${y0 + 6}V${y1 - 6}Q${x} ${y1} ${x + 6} ${y1}H52`} />
            <circle cx="52" cy={y1} r="2.6" />
          </g>
        )
      })}
    </svg>
  )
}
