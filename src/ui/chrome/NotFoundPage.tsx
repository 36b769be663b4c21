'use client'

import { Link } from '../shared/Link'
import { Header } from './Header'
import classes from '../cardView/CardPage.module.css'

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
