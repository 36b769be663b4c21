import type { KeyboardEvent as ReactKeyboardEvent } from 'react'

/** The keys of the bench, told once: handlers ask what a key does, and the key map lists them. */

interface Key {
  id: string
  /** As it is shown. */
  keys: readonly string[]
  does: string
  /** Which event it is. `code` is the place of the key, `key` the letter that it writes. */
  on: { key?: string; code?: string; alt?: true; command?: true; shift?: true }
}

const alt = (code: string) => ({ code, alt: true }) as const
const command = (key: string, shift?: true) =>
  ({ key, command: true, ...(shift ? { shift } : {}) }) as const

export const KEYS = [
  { id: 'line-new', keys: ['Enter'], does: 'a new line below', on: { key: 'Enter' } },
  {
    id: 'line-up',
    keys: ['Alt', '↑'],
    does: 'move the line up',
    on: { key: 'ArrowUp', alt: true },
  },
  {
    id: 'line-down',
    keys: ['Alt', '↓'],
    does: 'move the line down',
    on: { key: 'ArrowDown', alt: true },
  },
  {
    id: 'line-above',
    keys: ['↑'],
    does: 'to the line above, from the start of a line',
    on: { key: 'ArrowUp' },
  },
  {
    id: 'line-below',
    keys: ['↓'],
    does: 'to the line below, from the end of a line',
    on: { key: 'ArrowDown' },
  },
  {
    id: 'line-empty',
    keys: ['Backspace'],
    does: 'delete the line, when it is empty',
    on: { key: 'Backspace' },
  },
  {
    id: 'line-delete',
    keys: ['Alt', 'Del'],
    does: 'delete the line',
    on: { key: 'Delete', alt: true },
  },
  { id: 'breath-in', keys: ['Alt', 'I'], does: 'breathe in', on: alt('KeyI') },
  { id: 'breath-out', keys: ['Alt', 'O'], does: 'breathe out', on: alt('KeyO') },
  { id: 'breath-hold', keys: ['Alt', 'H'], does: 'hold: in, then out', on: alt('KeyH') },
  { id: 'breath-free', keys: ['Alt', 'F'], does: 'free breath', on: alt('KeyF') },
  { id: 'other-side', keys: ['Alt', 'S'], does: 'to the other side', on: alt('KeyS') },
  {
    id: 'fix-word',
    keys: ['Alt', 'P'],
    does: 'fix the side word at the cursor, or set it free',
    on: alt('KeyP'),
  },
  {
    id: 'keep-figure',
    keys: ['Alt', 'K'],
    does: 'keep the figure that the words draw',
    on: alt('KeyK'),
  },
  { id: 'undo', keys: ['Ctrl', 'Z'], does: 'undo', on: command('z') },
  { id: 'redo', keys: ['Ctrl', 'Shift', 'Z'], does: 'do it again', on: command('z', true) },
  { id: 'redo', keys: ['Ctrl', 'Y'], does: 'do it again', on: command('y') },
  { id: 'save', keys: ['Ctrl', 'S'], does: 'save now', on: command('s') },
  {
    id: 'palette',
    keys: ['Ctrl', 'K'],
    does: 'go to any card, section or action',
    on: command('k'),
  },
  {
    id: 'take-mend',
    keys: ['Alt', '.'],
    does: 'take the mend that is offered',
    on: { key: '.', alt: true },
  },
  {
    id: 'part-new',
    keys: ['Ctrl', 'Enter'],
    does: 'a new mistake, caution or rung below',
    on: command('enter'),
  },
  { id: 'show-keys', keys: ['?'], does: 'these keys, outside a text', on: { key: '?' } },
] as const satisfies readonly Key[]

export type KeyAction = (typeof KEYS)[number]['id']

type KeyEvent = Pick<
  KeyboardEvent | ReactKeyboardEvent,
  'key' | 'code' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey'
>

/** What a key does on the bench; null when it is no key of the bench. */
export function keyOf(event: KeyEvent): KeyAction | null {
  const held = event.ctrlKey || event.metaKey
  const found = (KEYS as readonly Key[]).find(({ on }) => {
    if (held !== Boolean(on.command) || event.altKey !== Boolean(on.alt)) return false
    if (on.command && event.shiftKey !== Boolean(on.shift)) return false
    return on.code === undefined
      ? on.key!.toLowerCase() === event.key.toLowerCase()
      : on.code === event.code
  })
  return (found?.id as KeyAction | undefined) ?? null
}

/** A key by itself, or with Shift. */
export const isAlone = (event: Pick<KeyEvent, 'altKey' | 'ctrlKey' | 'metaKey'>) =>
  !event.ctrlKey && !event.metaKey && !event.altKey

/** A key that writes a letter. */
export const writesLetter = (event: KeyEvent) => event.key.length === 1 && isAlone(event)
