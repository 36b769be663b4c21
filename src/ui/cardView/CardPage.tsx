'use client'

import { Button, Menu } from '@mantine/core'
import { IconFile, IconPencil, IconPrinter } from '@tabler/icons-react'
import { Link } from '../shared/Link'
import type { ReactNode } from 'react'
import type { Card, School } from '@/core/card'
import { Header } from '../chrome/Header'
import { PlayButton } from '../play/PlayButton'
import { api } from '../shared/api'
import classes from './CardPage.module.css'

/** The frame around a card that is read: the ways to the bench, to paper and to a file. */
export function CardPage({
  id,
  rung,
  children,
}: {
  id: string
  /** The rung that is read; the form described when it is left out. */
  rung?: string
  children: ReactNode
}) {
  const onRung = rung === undefined ? '' : `?rung=${rung}`
  return (
    <>
      <Header>
        <PlayButton
          get={async () => {
            const [{ card }, { school }] = await Promise.all([
              api<{ card: Card }>(`/api/cards/${id}`),
              api<{ school: School }>('/api/school'),
            ])
            return { card, school }
          }}
        />
        <Button
          component={Link}
          href={`/cards/${id}/bench`}
          variant="default"
          size="compact-md"
          leftSection={<IconPencil size={16} />}
        >
          Write
        </Button>
        <Button
          component="a"
          href={`/api/cards/${id}/pdf${onRung}`}
          target="_blank"
          size="compact-md"
          leftSection={<IconPrinter size={16} />}
        >
          Print, A5
        </Button>
        <Menu>
          <Menu.Target>
            <Button variant="default" size="compact-md" leftSection={<IconFile size={16} />}>
              As a file
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item component="a" href={`/api/cards/${id}/file`} download>
              Markdown
            </Menu.Item>
            <Menu.Item component="a" href={`/api/cards/${id}/file?as=json`} download>
              JSON
            </Menu.Item>
          </Menu.Dropdown>
        </Menu>
      </Header>
      <main id="main" tabIndex={-1} className={classes.main}>
        {rung !== undefined && (
          <p className={classes.oneRung}>
            One rung of the ladder. <Link href={`/cards/${id}`}>The whole card</Link>
          </p>
        )}
        {children}
      </main>
    </>
  )
}
