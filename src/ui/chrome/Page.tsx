import type { CSSProperties, ReactNode } from 'react'
import { Header, type View } from './Header'
import classes from './Page.module.css'

interface Props {
  here?: View
  /** In px, as far as there is room. */
  width: number
  children: ReactNode
}

/** A view under its bar: what the way past the bar leads to. */
export function Page({ here, width, children }: Props) {
  return (
    <>
      <Header here={here} />
      <main
        id="main"
        tabIndex={-1}
        className={classes.main}
        style={{ '--page-width': `${width}px` } as CSSProperties}
      >
        {children}
      </main>
    </>
  )
}
