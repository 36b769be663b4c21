import type * as FieldEvents from './fieldEvents'
import { KEYS } from './keys'

/** What of typing a field keeps to itself, and what the bench hears. */

class Key extends Event {
  key = ''
  code = ''
  altKey = false
  ctrlKey = false
  metaKey = false
  shiftKey = false
  constructor(name: string, what: Partial<Key>) {
    super(name)
    Object.assign(this, what)
  }
}

/** The window, and the field that is typed in: an event at one is heard by both. */
let page: EventTarget
let lib: typeof FieldEvents
let typed: number
let stop: () => void

beforeEach(() => {
  jest.resetModules()
  page = new EventTarget()
  Object.assign(globalThis, { window: page, KeyboardEvent: Key })
  lib = jest.requireActual('./fieldEvents')
  typed = 0
  stop = lib.keepTyping(page as HTMLElement, () => (typed += 1))
})
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'window')
  Reflect.deleteProperty(globalThis, 'KeyboardEvent')
})

/** Whether anything besides the field hears of it. */
function heard(event: Event) {
  page.dispatchEvent(event)
  return !event.cancelBubble
}
const key = (what: Partial<Key>, name = 'keydown') => heard(new Key(name, what))

test.each(['a', 'Z', ' ', 'ā', 'प', '.', '1', '[', '—'])('%s is the field’s own', (letter) => {
  for (const name of ['keydown', 'keypress', 'keyup'])
    expect(key({ key: letter }, name)).toBe(false)
})

test.each(KEYS.map((each) => [each.keys.join(' '), each.on] as const))(
  'the bench hears %s, which is a key of its own',
  (_, on: { key?: string; code?: string; alt?: true; command?: true; shift?: true }) => {
    const { key: letter = 'x', code = '', alt = false, command = false, shift = false } = on
    const what = { key: letter, code, altKey: alt, shiftKey: shift }
    expect(key({ ...what, ctrlKey: command })).toBe(true)
    expect(key({ ...what, metaKey: command })).toBe(true)
  }
)

test.each(['Tab', 'Escape', 'Backspace', 'Home', 'F5', 'Process', 'Dead'])(
  'the bench hears %s, which writes no letter',
  (name) => expect(key({ key: name })).toBe(true)
)

test('a letter with Alt, Ctrl or Meta is heard, whatever it does', () => {
  for (const held of ['altKey', 'ctrlKey', 'metaKey'] as const)
    expect(key({ key: 'q', [held]: true })).toBe(true)
})

test('what was typed is told once for each letter, and to the field alone', () => {
  expect(heard(new Event('input'))).toBe(false)
  expect(heard(new Event('selectionchange'))).toBe(false)
  expect(typed).toBe(1)
  stop()
  expect(heard(new Event('input'))).toBe(true)
  expect(key({ key: 'a' })).toBe(true)
  expect(typed).toBe(1)
})
