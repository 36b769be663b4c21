import { KEYS, keyOf } from './keys'

const press = (key: string, held: Partial<KeyboardEvent> = {}) =>
  keyOf({
    key,
    code: `Key${key.toUpperCase()}`,
    altKey: false,
    ctrlKey: false,
    metaKey: false,
    shiftKey: false,
    ...held,
  })

test('each key of the key map does what it says', () => {
  expect(press('Enter')).toBe('line-new')
  expect(press('Enter', { ctrlKey: true })).toBe('part-new')
  expect(press('i', { altKey: true })).toBe('breath-in')
  // The place of the key counts, not the letter that Alt makes of it on some keyboards.
  expect(press('ø', { altKey: true, code: 'KeyO' })).toBe('breath-out')
  expect(press('z', { ctrlKey: true })).toBe('undo')
  expect(press('Z', { metaKey: true, shiftKey: true })).toBe('redo')
  expect(press('?', { shiftKey: true })).toBe('show-keys')
  expect(press('ArrowUp', { altKey: true })).toBe('line-up')
  expect(press('ArrowUp')).toBe('line-above')
})

test('letters that are typed are no keys of the bench', () => {
  for (const letter of 'abcdefghijklmnopqrstuvwxyz.,') expect(press(letter)).toBeNull()
  expect(press('i', { ctrlKey: true, altKey: true })).toBeNull()
})

test('no two actions share a key', () => {
  const told = KEYS.map(({ on }) => JSON.stringify(on))
  expect(new Set(told).size).toBe(KEYS.length)
  expect(KEYS.every(({ does, keys }) => does.length > 3 && keys.length > 0)).toBe(true)
})
