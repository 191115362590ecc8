'use client'

/** What stands in the place of everything where even the frame of the pages failed. No control is needed for it. */
export default function EverythingFailed({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body style={{ margin: '48px auto', maxWidth: '64ch', padding: '0 24px', fontFamily: 'sans-serif' }}>
        <title>Luvren</title>
        <h1>Luvren failed here</h1>
        <p>
          Everything up to the last change is saved in this browser. Show the page again, or go to the shelf
          and open the review from there.
        </p>
        <p>
          <button onClick={reset}>Show the page again</button>{' '}
          <button onClick={() => window.location.assign('/')}>To the shelf</button>
        </p>
        <details>
          <summary>What was reported</summary>
          <pre>{error.stack ?? error.message}</pre>
        </details>
      </body>
    </html>
  )
}
