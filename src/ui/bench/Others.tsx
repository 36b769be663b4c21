'use client'

import { IconUsers } from '@tabler/icons-react'
import { useEffect, useState } from 'react'
import { api } from '../shared/api'
import classes from './SaveMark.module.css'

const EVERY_MS = 5000

/** Tells of other tabs and other people who have this card on the bench. */
export function Others({ id, author }: { id: string; author: string }) {
  const [others, setOthers] = useState<string[]>([])
  useEffect(() => {
    const tab = crypto.randomUUID?.() ?? String(Math.random())
    const path = `/api/cards/${id}/presence`
    const tell = () =>
      api<{ others: string[] }>(path, { method: 'POST', json: { tab, who: author } })
        .then((answer) => setOthers(answer.others))
        .catch(() => undefined)
    // The server takes JSON alone, and a bare text goes out as plain text.
    const gone = new Blob([JSON.stringify({ tab, gone: true })], { type: 'application/json' })
    const leave = () => navigator.sendBeacon(path, gone)
    void tell()
    const timer = setInterval(() => void tell(), EVERY_MS)
    window.addEventListener('pagehide', leave)
    return () => {
      clearInterval(timer)
      window.removeEventListener('pagehide', leave)
      leave()
    }
  }, [id, author])
  if (others.length === 0) return null
  const names = others.map((name) =>
    name === author ? 'you, in another tab' : name || 'someone without a name'
  )
  return (
    <span className={classes.others} role="status">
      <IconUsers size={16} aria-hidden /> also here: {[...new Set(names)].join(', ')}
    </span>
  )
}
