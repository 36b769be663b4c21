import { sittings, type Version } from './sittings'

const at = (minutes: number) => new Date(Date.UTC(2026, 0, 5, 9, minutes)).toISOString()
const saved = (version: number, minutes: number, more: Partial<Version> = {}): Version => ({
  version,
  author: 'Ines',
  note: '',
  savedAt: at(minutes),
  ...more,
})
const shown = (...versions: Version[]) =>
  sittings(versions).map(({ last, saves }) => [last.version, saves.length])

test('the saves of one sitting are one, and all are kept', () => {
  expect(shown(saved(5, 41), saved(4, 40), saved(3, 20), saved(2, 1), saved(1, 0))).toEqual([
    [5, 5],
  ])
})

test('a long pause, another person or a note part them', () => {
  expect(shown(saved(3, 90), saved(2, 40), saved(1, 39))).toEqual([
    [3, 1],
    [2, 2],
  ])
  expect(shown(saved(3, 12), saved(2, 11, { author: 'Jon' }), saved(1, 10))).toEqual([
    [3, 1],
    [2, 1],
    [1, 1],
  ])
  expect(shown(saved(3, 12), saved(2, 11, { note: 'figure' }), saved(1, 10))).toEqual([
    [3, 1],
    [2, 1],
    [1, 1],
  ])
  expect(sittings([])).toEqual([])
})
