'use client'

import { type KeyboardEvent, memo, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { dropUnwritable, LIMITS, type Side, valueAt } from '@/core/card'
import { type MirrorOptions, mirrorText, sideWords, toggleFixed } from '@/core/sides'
import { keepTyping, steadyHeight } from './fieldEvents'
import { fieldName } from './focus'
import classes from './HalfField.module.css'
import { keyOf } from './keys'
import { useBench, useBenchStore } from './store'

interface Props {
  /** Where the line stands in the card. */
  path: string
  /** The stored line, written for `writtenFor`. */
  value: string
  side: Side
  writtenFor: Side
  /** An even card has one field, which mirrors nothing. */
  sided: boolean
  label: string
  placeholder?: string
  onKeyDown?: (event: KeyboardEvent<HTMLTextAreaElement>) => void
  onPasteLines?: (first: string, rest: string[]) => void
}

/** While letters come fast, in ms from one to the next that the other half of the line follows. */
const FOLLOWS_MS = 250

/**
 * One half of a spread row: what is typed here is written for the other side at once. The two
 * fields of a line write themselves letter by letter, and the page is drawn anew at the pause.
 */
export const HalfField = memo(function HalfField(props: Props) {
  const { path, value, side, writtenFor, sided, label, placeholder } = props
  const bench = useBenchStore()
  const language = useBench((state) => state.card.language)
  const across = sided && side !== writtenFor
  const line = useMemo(() => {
    const said = { language }
    const turned = (text: string) => (across ? mirrorText(text, said) : text)
    return { said, stored: turned, shown: turned, words: wordsOf(side, sided, said) }
  }, [language, across, side, sided])
  const field = useRef<HTMLTextAreaElement>(null)
  const backdrop = useRef<HTMLDivElement>(null)
  const [first] = useState(() => line.shown(value))

  useLayoutEffect(() => {
    const box = field.current!
    const steady = steadyHeight(box, backdrop.current!, classes.steady!)
    const here = () => document.activeElement === box
    /** What was typed stands letter by letter as long as it means what is stored. */
    const textOf = (stored: string) => {
      const typed = dropUnwritable(box.value)
      return here() && line.stored(typed) === stored ? typed : line.shown(stored)
    }
    const show = (text: string) => draw(backdrop.current!, line.words(text))
    const settle = (stored: string) => {
      const text = textOf(stored)
      show(text)
      if (box.value !== text) box.value = text
    }
    /** Whether the field itself shows what was typed, and its underlines stay where they are. */
    const isSeen = (stored: string) =>
      steady.holds() &&
      box.value === textOf(stored) &&
      isDrawn(backdrop.current!, line.words(box.value))
    settle(value)
    // Of the half that is not typed in, the letters follow some times a second, the field the pause.
    let followed = 0
    const deaf = bench.onTyped(path, (stored, goesOn) => {
      if (here()) {
        if (goesOn && isSeen(stored)) return
        settle(stored)
      } else if (goesOn && performance.now() - followed < FOLLOWS_MS) return
      else {
        followed = performance.now()
        show(line.shown(stored))
      }
      // When both fields of the line are written: to be measured they are laid out, once.
      queueMicrotask(steady.hold)
    })
    const input = () => {
      const clean = dropUnwritable(box.value).replace(/[\n\t]+/g, ' ')
      if (clean !== box.value) box.value = clean
      bench.type(path, line.stored(clean))
    }
    const now = () => settle(valueAt(bench.getState().card, path) as string)
    const quit = keepTyping(box, input)
    const done = new AbortController()
    for (const event of ['focus', 'blur']) box.addEventListener(event, now, { signal: done.signal })
    return () => {
      deaf()
      quit()
      done.abort()
      steady.release()
    }
  }, [bench, path, line, value])

  const type = (text: string) => bench.type(path, line.stored(text))

  function keyDown(event: KeyboardEvent<HTMLTextAreaElement>) {
    const box = event.currentTarget
    if (sided && keyOf(event) === 'fix-word') {
      event.preventDefault()
      const { selectionStart } = box
      box.value = toggleFixed(box.value, selectionStart, line.said)
      box.setSelectionRange(selectionStart, selectionStart)
      return type(box.value)
    }
    props.onKeyDown?.(event)
  }

  return (
    // A form of its own: a browser that remembers forms looks through all fields of the form that
    // is typed in, and would look through the whole bench.
    <form
      className={`${classes.field} ${sided ? classes[side] : classes.right}`}
      autoComplete="off"
      onSubmit={(event) => event.preventDefault()}
    >
      {/* Of what lies in a row by flex or grid a browser never lays out a part on its own. */}
      <div className={classes.letters}>
        <Backdrop box={backdrop} words={line.words} text={first} />
        <textarea
          ref={field}
          dir="auto"
          rows={1}
          className={classes.input}
          aria-label={label}
          data-field={fieldName(path, side)}
          data-half={side}
          defaultValue={first}
          maxLength={LIMITS.line}
          placeholder={placeholder}
          spellCheck
          autoComplete="off"
          onKeyDown={keyDown}
          onPaste={(event) => {
            const lines = event.clipboardData
              .getData('text')
              .split(/\r?\n/)
              .map((each) => dropUnwritable(each).trim())
              .filter(Boolean)
            if (lines.length < 2 || !props.onPasteLines) return
            event.preventDefault()
            const { selectionStart, selectionEnd, value: shown } = event.currentTarget
            const begun = shown.slice(0, selectionStart) + lines[0]! + shown.slice(selectionEnd)
            props.onPasteLines(line.stored(begun), lines.slice(1).map(line.stored))
          }}
        />
      </div>
    </form>
  )
})

type Piece = { text: string; className?: string }

/** A line in pieces: its side words, each with its underline, and what stands between them. */
const wordsOf =
  (side: Side, sided: boolean, said: MirrorOptions) =>
  (text: string): Piece[] => {
    const words = sided ? sideWords(text, said).filter((word) => word.role !== 'plain') : []
    const ends = [0, ...words.map((word) => word.end)]
    return [
      ...words.flatMap((word, i) => [
        { text: text.slice(ends[i], word.start) },
        {
          text: text.slice(word.start, word.end),
          className: classes[word.role === 'swaps' ? `${side}Word` : `${word.role}Word`],
        },
      ]),
      // The last one holds the height of a line that is empty.
      { text: `${text.slice(ends.at(-1))}\u200b` },
    ]
  }

interface BackdropProps {
  box: React.RefObject<HTMLDivElement | null>
  words: (text: string) => Piece[]
  text: string
}

/** The letters, with the underlines of the side words. Drawn once, then by `draw`. */
const Backdrop = memo(
  function Backdrop({ box, words, text }: BackdropProps) {
    return (
      <div ref={box} className={classes.backdrop} aria-hidden dir="auto">
        {words(text).map((piece, i) => (
          <span key={i} className={piece.className}>
            {piece.text}
          </span>
        ))}
      </div>
    )
  },
  () => true
)

/** Whether pieces stand as they were written, but for letters after the last underline. */
const isDrawn = (box: HTMLElement, pieces: Piece[]) =>
  box.children.length === pieces.length &&
  pieces.every(({ text, className = '' }, i) => {
    const span = box.children[i]!
    const last = i === pieces.length - 1
    return span.className === className && (last || span.textContent === text)
  })

/** Writes the pieces, and touches only what differs. */
function draw(box: HTMLElement, pieces: Piece[]) {
  pieces.forEach(({ text, className = '' }, i) => {
    const span =
      (box.children[i] as HTMLElement | undefined) ??
      box.appendChild(document.createElement('span'))
    const letters = span.firstChild as Text | null
    // Within its node a text changes for less than a node costs.
    if (!letters) span.textContent = text
    else if (letters.data !== text) letters.data = text
    if (span.className !== className) span.className = className
  })
  while (box.children.length > pieces.length) box.lastChild!.remove()
}
