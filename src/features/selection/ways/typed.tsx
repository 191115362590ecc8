'use client'
import { Input } from 'antd'
import type { Command } from '@/core/review'
import { useStaged } from '@/page/use-staged'

/** A part of something that is typed into. */
export function Typed({
  name,
  value,
  label,
  command,
  wide,
}: {
  name: string
  value: string
  label: string
  command: (value: string) => Command
  wide?: boolean
}) {
  const text = useStaged(name, value, command)
  return (
    <Input
      size="small"
      aria-label={label}
      placeholder={label}
      style={{ width: wide ? 320 : 150 }}
      {...text}
    />
  )
}
