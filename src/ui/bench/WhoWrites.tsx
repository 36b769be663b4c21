'use client'

import { useState } from 'react'
import { useStore } from 'zustand'
import { useAuthor } from '../chrome/AuthorName'
import type { Saver } from './saver'
import classes from './SaveMark.module.css'

const ASKED = 'notula:asked-author'

const wasAsked = () => {
  try {
    return localStorage.getItem(ASKED) !== null
  } catch {
    return true
  }
}

/** Asks who writes, once, after the first save without a name; it takes nothing from the cursor. */
export function WhoWrites({ saver }: { saver: Saver }) {
  const [author, setAuthor] = useAuthor()
  const [name, setName] = useState('')
  const [asked, setAsked] = useState(wasAsked)
  const saved = useStore(saver.status, ({ save }) => save.state === 'saved' && save.at !== null)
  const [seen, setSeen] = useState(false)
  if (saved && !seen) setSeen(true)
  if (author || asked || !seen) return null
  const done = () => {
    try {
      localStorage.setItem(ASKED, '1')
    } catch {
      // A browser that keeps nothing asks again next time.
    }
    setAsked(true)
    if (name.trim()) setAuthor(name.trim())
  }
  return (
    <form
      className={classes.who}
      onSubmit={(event) => {
        event.preventDefault()
        done()
      }}
    >
      <label>
        Who is writing?{' '}
        <input
          value={name}
          maxLength={200}
          size={14}
          onChange={(event) => setName(event.currentTarget.value)}
        />
      </label>
      <button type="submit">{name.trim() ? 'Done' : 'Not now'}</button>
    </form>
  )
}
