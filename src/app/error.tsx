'use client'

import { Button } from '@mantine/core'
import { later } from '@/ui/shared/later'

// Comes with each page and is seldom shown: its bar is loaded when it is.
const Header = later(() => import('@/ui/chrome/Header').then((module) => module.Header))

/** Shown when a view cannot be made, as when the database is out of reach. */
export default function Failed({ reset }: { reset: () => void }) {
  return (
    <>
      <Header />
      <main id="main" tabIndex={-1} style={{ padding: 22 }}>
        <h1>This view cannot be shown now</h1>
        <p>
          The database may be out of reach, or what is stored of this one card cannot be read; then
          the other cards still can, and an earlier version may be brought back from its history.
          What is saved is safe, and what you typed is kept in this browser.
        </p>
        <Button onClick={() => reset()}>Try again</Button>
      </main>
    </>
  )
}
