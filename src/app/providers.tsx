'use client'
import { ConfigProvider } from 'antd'
import { useEffect, type ReactNode } from 'react'
import { startKeeping } from '@/offline/page'
import { antdTheme, useDark } from '@/ui/theme'

/** What every page has: how controls look. What keeps reviews comes with the pages that need it at once. */
export function Providers({ children }: { children: ReactNode }) {
  const dark = useDark()
  useEffect(startKeeping, [])
  return (
    <ConfigProvider theme={antdTheme(dark)} button={{ autoInsertSpace: false }} wave={{ disabled: true }}>
      {children}
    </ConfigProvider>
  )
}
