import '@fontsource-variable/source-serif-4/index.css'
import '@fontsource-variable/source-serif-4/wght-italic.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/ibm-plex-mono/400.css'
import '@fontsource/ibm-plex-mono/500.css'
import '@/ui/base.css'
import '@/ui/parts.css'
import '@/ui/stages.css'
import { AntdRegistry } from '@ant-design/nextjs-registry'
import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { Providers } from './providers'

export const metadata: Metadata = {
  title: 'Luvren',
  description: 'One living record from review question to methods section',
}

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <AntdRegistry>
          <Providers>{children}</Providers>
        </AntdRegistry>
      </body>
    </html>
  )
}
