'use client'
import '@/core/base/jitless'
import { App } from 'antd'
import type { ReactNode } from 'react'
import { StoreProvider } from '@/page/provider'
import { recordsElsewhere } from './records-elsewhere'
import { SaidThere } from './said-there'

/** What keeps reviews, and says what was done: around everything that works on them. */
export function Working({ children }: { children: ReactNode }) {
  return (
    <App component={false} message={{ maxCount: 3 }}>
      <StoreProvider records={recordsElsewhere}>{children}</StoreProvider>
      <SaidThere />
    </App>
  )
}
