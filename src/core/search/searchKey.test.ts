import { searchKey } from '.'

// Spellings as they are met in print (common practice, no source; from memory).
test.each([
  ['Vīrabhadrāsana', 'virabhadrasana', 'veerabhadrasana', 'Virabadrasana'],
  ['Vṛkṣāsana', 'vrksasana', 'vrikshasana', 'vrkshasana', 'Vrikśasana'],
  ['Pārśvakoṇāsana', 'parsvakonasana', 'parshvakonasana', 'paarshwakonasana'],
  ['Śavāsana', 'savasana', 'shavasana', 'Shavaasana'],
  ['Bhujaṅgāsana', 'bhujangasana', 'bujangasana'],
  ['Ardha Candrāsana', 'ardha chandrasana', 'ARDHA CANDRASANA'],
  ['Adho mukha śvānāsana', 'adho mukha shvanasana', 'Adho-Mukha Svanasana'],
])('%s', (...spellings) => {
  expect(new Set(spellings.map(searchKey)).size).toBe(1)
})

test('names that differ keep apart', () => {
  const keys = ['Tree', 'Gate', 'Tāḍāsana', 'Bhujaṅgāsana', 'Balāsana', '木', 'Low cobra'].map(
    searchKey
  )
  expect(new Set(keys).size).toBe(keys.length)
})
