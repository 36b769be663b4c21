import { devanagari } from '.'

// Spellings: common practice in print, no source; written from memory.
test.each([
  ['Vṛkṣāsana', 'वृक्षासन'],
  ['utthita pārśvakoṇāsana', 'उत्थित पार्श्वकोणासन'],
  ['Śavāsana', 'शवासन'],
  ['Vīrabhadrāsana II', 'वीरभद्रासन २'],
  ['adho mukha śvānāsana', 'अधो मुख श्वानासन'],
])('%s', (iast, script) => {
  expect(devanagari(iast)).toBe(script)
  expect(devanagari(iast.normalize('NFD'))).toBe(script)
})

test('leaves what is no IAST alone', () => {
  expect(devanagari('')).toBe('')
  expect(devanagari('<b>Tree</b>')).toBe('')
  expect(devanagari('Äsana x9')).toBe('')
})
