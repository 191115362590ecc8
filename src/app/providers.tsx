'use client'
import '@/core/base/jitless'
import { App, ConfigProvider } from 'antd'
import { useEffect, type ReactNode } from 'react'
import { startKeeping } from '@/offline/page'
import { recordsElsewhere } from '@/features/shared/records-elsewhere'
import { StoreProvider } from '@/store/provider'
import { antdTheme, useDark } from '@/ui/theme'

export function Providers({ children }: { children: ReactNode }) {
  const dark = useDark()
  useEffect(startKeeping, [])
  return (
    <ConfigProvider theme={antdTheme(dark)} button={{ autoInsertSpace: false }} wave={{ disabled: true }}>
      <App component={false} message={{ maxCount: 3 }}>
        <StoreProvider records={recordsElsewhere}>{children}</StoreProvider>
      </App>
    </ConfigProvider>
  )
}
