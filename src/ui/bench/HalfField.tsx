'use client'

import { type KeyboardEvent, memo, useState } from 'react'
import { dropUnwritable, MAX_LINE, type Side } from '@/core/card'
import { type MirrorOptions, mirrorText, sideWords, toggleFixed } from '@/core/sides'
import classes from './HalfField.module.css'
import { useBench } from './store'
import { keyOf } from './keys'

interface Props {
  /** The stored line, written for `writtenFor`. */
  value: string
  onChange: (stored: string) => void
  side: Side
  writtenFor: Side
  /** An even card has one field, which mirrors nothing. */
  sided: boolean
  label: string
  /** Finds the field again: list, row and half. */
  field: string
  placeholder?: string
  onKeyDown?: (event: KeyboardEvent<HTMLTextAreaElement>) => void
  onPasteLines?: (first: string, rest: string[]) => void
}

/** One half of a spread row: what is typed here is written for the other side at once. */
export const HalfField = memo(function HalfField(props: Props) {
  const { value, onChange, side, writtenFor, sided, label, field, placeholder } = props
  const said = { language: useBench((state) => state.card.language) }
  const [typed, setTyped] = useState<string | null>(null)
  const across = sided && side !== writtenFor
  const store = (text: string) => (across ? mirrorText(text, said) : text)
  // What was typed stands letter by letter as long as it means what is stored.
  const shown =
    typed !== null && store(typed) === value ? typed : across ? mirrorText(value, said) : value

  function change(text: string) {
    const clean = dropUnwritable(text).replace(/[\n\t]+/g, ' ')
    setTyped(clean)
    onChange(store(clean))
  }

  function keyDown(event: KeyboardEvent<HTMLTextAreaElement>) {
    if (sided && keyOf(event) === 'fix-word') {
      event.preventDefault()
      change(toggleFixed(shown, event.currentTarget.selectionStart, said))
      return
    }
    props.onKeyDown?.(event)
  }

  return (
    // A form of its own: a browser that remembers forms looks through all fields of the form that
    // is typed in, and would look through the whole bench.
    <form
      className={`${classes.field} ${sided ? classes[side] : classes.right}`}
      onSubmit={(event) => event.preventDefault()}
    >
      <div className={classes.backdrop} aria-hidden dir="auto">
        <Underlined text={shown} side={side} sided={sided} said={said} />
        {'\u200b'}
      </div>
      <textarea
        dir="auto"
        rows={1}
        className={classes.input}
        aria-label={label}
        data-field={field}
        data-half={side}
        value={shown}
        maxLength={MAX_LINE}
        placeholder={placeholder}
        spellCheck
        onChange={(event) => change(event.currentTarget.value)}
        onBlur={() => setTyped(null)}
        onKeyDown={keyDown}
        onPaste={(event) => {
          const lines = event.clipboardData
            .getData('text')
            .split(/\r?\n/)
            .map((line) => dropUnwritable(line).trim())
            .filter(Boolean)
          if (lines.length < 2 || !props.onPasteLines) return
          event.preventDefault()
          const { selectionStart, selectionEnd } = event.currentTarget
          const first = shown.slice(0, selectionStart) + lines[0]! + shown.slice(selectionEnd)
          props.onPasteLines(store(first), lines.slice(1).map(store))
        }}
      />
    </form>
  )
})

/** The same letters, unseen, with the underlines of the side words. */
function Underlined(props: { text: string; side: Side; sided: boolean; said: MirrorOptions }) {
  const { text, side, sided, said } = props
  if (!sided) return text
  const words = sideWords(text, said).filter((word) => word.role !== 'plain')
  const ends = [0, ...words.map((word) => word.end)]
  return (
    <>
      {words.map((word, i) => (
        <span key={word.start}>
          {text.slice(ends[i], word.start)}
          <span
            className={word.role === 'swaps' ? classes[`${side}Word`] : classes[`${word.role}Word`]}
          >
            {text.slice(word.start, word.end)}
          </span>
        </span>
      ))}
      {text.slice(ends.at(-1))}
    </>
  )
}
