'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import { ofOldAddress } from '@/page/address'

/** An address that is nothing here; one of before leads on to the one of now. */
export default function NotFound() {
  const router = useRouter()
  useEffect(() => {
    const now = ofOldAddress(window.location.pathname)
    if (now) router.replace(now)
  }, [router])
  return (
    <main className="shelf">
      <title>Luvren</title>
      <h1>Nothing stands at this address</h1>
      <p className="empty">Reviews stand on the shelf, in the browser in which they were made.</p>
      <p>
        <Link href="/">To the shelf</Link>
      </p>
    </main>
  )
}
