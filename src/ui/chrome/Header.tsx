'use client'

import { ActionIcon, useComputedColorScheme, useMantineColorScheme } from '@mantine/core'
import { IconMoon, IconSun } from '@tabler/icons-react'
import { Link } from '../shared/Link'
import type { ReactNode } from 'react'
import { AuthorName } from './AuthorName'
import classes from './Header.module.css'

/** The views that one comes to from anywhere. */
const VIEWS = [
  { id: 'shelf', href: '/', title: 'Shelf' },
  { id: 'files', href: '/files', title: 'In and out' },
  { id: 'findings', href: '/findings', title: 'Findings' },
  { id: 'ladders', href: '/ladders', title: 'Ladders' },
  { id: 'cautions', href: '/cautions', title: 'Cautions' },
  { id: 'school', href: '/school', title: 'School' },
  { id: 'bin', href: '/bin', title: 'Bin' },
  { id: 'about', href: '/about', title: 'About' },
] as const
export type View = (typeof VIEWS)[number]['id']

/** The bar on top of each view: the way to the other views on the left, this view's state on the right. */
export function Header({ here, children }: { here?: View; children?: ReactNode }) {
  return (
    <header className={classes.bar}>
      <a href="#main" className={classes.skip}>
        To the content
      </a>
      <Link href="/" className={classes.mark} aria-label="Notula, to the shelf">
        Not<span aria-hidden>ula</span>
      </Link>
      <nav aria-label="Views" className={classes.nav}>
        {VIEWS.map(({ id, href, title }) => (
          <Link key={id} href={href} aria-current={here === id ? 'page' : undefined}>
            {title}
          </Link>
        ))}
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
