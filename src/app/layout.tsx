import '@fontsource-variable/source-serif-4/index.css'
import '@fontsource-variable/source-serif-4/wght-italic.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/ibm-plex-mono/400.css'
import '@fontsource/ibm-plex-mono/500.css'
import '@/ui/base.css'
import '@/ui/parts.css'
import '@/ui/controls.css'
import '@/features/frame/frame.css'
import '@/features/methods/methods.css'
import '@/features/question/question.css'
import '@/features/records/records.css'
import '@/features/records/list/list.css'
import '@/features/records/settle/settle.css'
import '@/features/records/overlap/overlap.css'
import '@/features/records/references/references.css'
import '@/features/shared/bring-file/bring-file.css'
import '@/features/searches/outside/outside.css'
import '@/features/searches/panes/panes.css'
import '@/features/searches/sheet/sheet.css'
import '@/features/selection/pass/pass.css'
import '@/features/selection/selecting.css'
import '@/features/shelf/shelf.css'
import '@/features/terms/terms.css'
import '@/features/terms/reader.css'
import { AntdRegistry } from '@ant-design/nextjs-registry'
import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { PALETTE_CSS } from '@/ui/palette'
import { Providers } from './providers'

// The title is each page's own: that of a review is known in the browser alone, and one from here would come behind it.
export const metadata: Metadata = {
  description: 'One living record from review question to methods section',
}

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <style dangerouslySetInnerHTML={{ __html: PALETTE_CSS }} />
      </head>
      <body>
        <AntdRegistry>
          <Providers>{children}</Providers>
        </AntdRegistry>
      </body>
    </html>
  )
}
