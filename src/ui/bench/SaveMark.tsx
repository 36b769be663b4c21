'use client'

import { Button } from '@mantine/core'
import { IconAlertTriangle, IconCheck, IconCloudOff, IconPencil } from '@tabler/icons-react'
import { useStore } from 'zustand'
import classes from './SaveMark.module.css'
import type { Saver } from './saver'

const clock = (at: string) =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

/** How far the card is saved, in words. */
export function SaveMark({ saver }: { saver: Saver }) {
  const save = useStore(saver.status, (state) => state.save)
  switch (save.state) {
    case 'saved':
      return (
        <span className={classes.saved} role="status">
          <IconCheck size={16} /> saved{save.at ? ` ${clock(save.at)}` : ''}
        </span>
      )
    case 'unsaved':
    case 'saving':
      return (
        <span className={classes.busy} role="status">
          <IconPencil size={16} /> saving …
        </span>
      )
    case 'waiting':
      return (
        <span className={classes.waiting} role="status" title={save.message}>
          <IconCloudOff size={16} />{' '}
          {save.kept ? 'kept in this browser, not yet saved' : 'not saved'}
          <Button size="compact-xs" variant="default" onClick={() => void saver.flush()}>
            Save now
          </Button>
        </span>
      )
    case 'refused':
      return (
        <span className={classes.waiting} role="alert">
          <IconAlertTriangle size={16} /> not saved: {save.message}
        </span>
      )
    case 'stale':
      return (
        <span className={classes.waiting} role="alert">
          <IconAlertTriangle size={16} /> someone saved this card meanwhile
        </span>
      )
  }
}
