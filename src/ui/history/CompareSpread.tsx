'use client'

import { Switch } from '@mantine/core'
import { useState } from 'react'
import type { WordChange } from '@/core/compare'
import { type ComparedRow, compareSheets, type Sheet } from '@/core/print'
import classes from './CompareSpread.module.css'

const KIND_WORDS = { same: '', changed: 'changed', gone: 'taken out', come: 'new' } as const

/** Two versions of a card laid over each other, both halves around the breath. */
export function CompareSpread({ older, newer }: { older: Sheet; newer: Sheet }) {
  const [all, setAll] = useState(false)
  const parts = compareSheets(older, newer)
    .map((part) => ({ ...part, rows: part.rows.filter((row) => all || row.kind !== 'same') }))
    .filter((part) => part.rows.length > 0)
  return (
    <>
      <Switch
        label="Show what is the same, too"
        checked={all}
        onChange={(event) => setAll(event.currentTarget.checked)}
        mb="xs"
      />
      {parts.length === 0 && <p>Both are the same.</p>}
      {parts.map((part) => (
        <section key={part.title} className={classes.part}>
          <h2>{part.title}</h2>
          <table className={classes.table}>
            {part.rows.some((row) => row.left) && (
              <thead>
                <tr>
                  <th scope="col" className={classes.left}>
                    left leads
                  </th>
                  <td />
                  <th scope="col" className={classes.right}>
                    right leads
                  </th>
                </tr>
              </thead>
            )}
            <tbody>
              {part.rows.map((row, i) => (
                <Row key={i} row={row} />
              ))}
            </tbody>
          </table>
        </section>
      ))}
    </>
  )
}

function Row({ row }: { row: ComparedRow }) {
  const kind = KIND_WORDS[row.kind] && (
    <small className={classes.kind}>{KIND_WORDS[row.kind]}</small>
  )
  if (!row.left)
    return (
      <tr>
        <td colSpan={3} className={classes.once}>
          {kind} {row.middle.length > 0 && <Laid words={row.middle} />} <Laid words={row.right} />
        </td>
      </tr>
    )
  return (
    <tr>
      <td className={classes.left}>
        <Laid words={row.left} />
      </td>
      <td className={classes.middle}>
        <Laid words={row.middle} />
        {kind}
      </td>
      <td className={classes.right}>
        <Laid words={row.right} />
      </td>
    </tr>
  )
}

function Laid({ words }: { words: WordChange[] }) {
  return (
    <bdi dir="auto">
      {words.map((word, i) => {
        if (word.kind === 'gone') return <del key={i}>{word.text}</del>
        if (word.kind === 'come') return <ins key={i}>{word.text}</ins>
        return <span key={i}>{word.text}</span>
      })}
    </bdi>
  )
}
