'use client'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'

/** What stands in the place of a screen that failed. The review is on disk; nothing that was written is lost. */
export default function ScreenFailed({ error, reset }: { error: Error; reset: () => void }) {
  const router = useRouter()
  return (
    <main className="shelf">
      <h1>This screen failed</h1>
      <p>
        Everything up to the last change is saved in this browser. Show the screen again, or go back to the
        shelf and open the review from there.
      </p>
      <p className="shelf-actions">
        <Button type="primary" onClick={reset}>
          Show the screen again
        </Button>
        <Button onClick={() => router.push('/')}>To the shelf</Button>
      </p>
      <details className="sub">
        <summary>What was reported</summary>
        <pre>{error.stack ?? error.message}</pre>
      </details>
    </main>
  )
}
