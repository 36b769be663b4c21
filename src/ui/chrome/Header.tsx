'use client'

import { ActionIcon, useComputedColorScheme, useMantineColorScheme } from '@mantine/core'
import { IconMoon, IconSun } from '@tabler/icons-react'
import { Link } from '../shared/Link'
import type { ReactNode } from 'react'
import { AuthorName } from './AuthorName'
import classes from './Header.module.css'

/** The bar on top of each view: the way to the other views on the left, this view's state on the right. */
export function Header({
  here,
  children,
}: {
  here?: 'shelf' | 'files' | 'findings' | 'ladders' | 'cautions' | 'school'
  children?: ReactNode
}) {
  return (
    <header className={classes.bar}>
      <a href="#main" className={classes.skip}>
        To the content
      </a>
      <Link href="/" className={classes.mark} aria-label="Notula, to the shelf">
        Not<span aria-hidden>ula</span>
      </Link>
      <nav aria-label="Views" className={classes.nav}>
        <Link href="/" aria-current={here === 'shelf' ? 'page' : undefined}>
          Shelf
        </Link>
        <Link href="/files" aria-current={here === 'files' ? 'page' : undefined}>
          In and out
        </Link>
        <Link href="/findings" aria-current={here === 'findings' ? 'page' : undefined}>
          Findings
        </Link>
        <Link href="/ladders" aria-current={here === 'ladders' ? 'page' : undefined}>
          Ladders
        </Link>
        <Link href="/cautions" aria-current={here === 'cautions' ? 'page' : undefined}>
          Cautions
        </Link>
        <Link href="/school" aria-current={here === 'school' ? 'page' : undefined}>
          School
        </Link>
        <Link href="/bin">Bin</Link>
        <Link href="/about">About</Link>
      </nav>
      <div className={classes.state}>
        {children}
        <AuthorName />
        <SchemeSwitch />
      </div>
    </header>
  )
}

function SchemeSwitch() {
  const { setColorScheme } = useMantineColorScheme()
  const scheme = useComputedColorScheme('light', { getInitialValueInEffect: true })
  const other = scheme === 'light' ? 'dark' : 'light'
  const label = other === 'dark' ? 'For an evening room' : 'For daylight'
  return (
    <ActionIcon
      variant="subtle"
      color="gray"
      aria-label={label}
      title={label}
      onClick={() => setColorScheme(other)}
    >
      {other === 'dark' ? <IconMoon size={18} /> : <IconSun size={18} />}
    </ActionIcon>
  )
}
