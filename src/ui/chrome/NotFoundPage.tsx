'use client'

import dynamic from 'next/dynamic'
import { Link } from '../shared/Link'
import classes from '../cardView/CardPage.module.css'

// Comes with each page and is seldom shown: its bar is loaded when it is.
const Header = dynamic(() => import('./Header').then((module) => module.Header))

export function NotFoundPage() {
  return (
    <>
      <Header />
      <main id="main" tabIndex={-1} className={classes.main}>
        <h1>There is no such card</h1>
        <p>
          It may have been deleted, or the address has a slip in it. Go{' '}
          <Link href="/">to the shelf</Link>.
        </p>
      </main>
    </>
  )
}
