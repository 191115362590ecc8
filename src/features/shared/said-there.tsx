'use client'
import { App } from 'antd'
import { useEffect } from 'react'

const waiting: string[] = []

/** Says what was done where one is led behind it: what is said here goes away with this page. */
export const sayThere = (words: string): unknown => waiting.push(words)

export function SaidThere(): null {
  const { message } = App.useApp()
  useEffect(() => {
    waiting.splice(0).forEach((words) => message.success(words, 6))
  }, [message])
  return null
}
