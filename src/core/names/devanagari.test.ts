import Sanscript from '@indic-transliteration/sanscript'
import { demoCards } from '../../../tests/support/cards'
import { devanagari, misspellings, nearMisses, tidyIast } from '.'
import { SANSKRIT_WORDS } from './sanskritWords'

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

test.each([
  ['siṁhāsana', 'सिंहासन'],
  ['siṃhāsana', 'सिंहासन'],
  ['vr̥kṣāsana', 'वृक्षासन'],
  ['parivr̥tta trikōṇāsana', 'परिवृत्त त्रिकोणासन'],
  ['jānu śīrṣāsana', 'जानु शीर्षासन'],
  ['krauñcāsana', 'क्रौञ्चासन'],
  ['naṭarājāsana', 'नटराजासन'],
  ['garuḍāsana', 'गरुडासन'],
  ['uṣṭrāsana', 'उष्ट्रासन'],
  ['upaviṣṭa koṇāsana', 'उपविष्ट कोणासन'],
])('%s, written either way', (name, script) => {
  expect(devanagari(name)).toBe(script)
})

test('goes by other schemes of writing to the same letters, and back', () => {
  for (const word of SANSKRIT_WORDS) {
    const script = devanagari(word)
    expect([word, script]).not.toEqual([word, ''])
    for (const scheme of ['slp1', 'hk', 'velthuis'])
      expect([word, Sanscript.t(Sanscript.t(word, 'iast', scheme), scheme, 'devanagari')]).toEqual([
        word,
        script,
      ])
    expect(Sanscript.t(script, 'devanagari', 'iast')).toBe(word)
  }
})

test.each([
  ['vrksasana', 'vṛkṣāsana'],
  ['Vrikshasana', 'Vṛkṣāsana'],
  ['Virabhadrasana II', 'Vīrabhadrāsana'],
  ['trikonasana', 'trikoṇāsana'],
  ['Shavasana', 'Śavāsana'],
  ['Savāsana', 'Śavāsana'],
  ['tadasana', 'tāḍāsana'],
  ['tādāsana', 'tāḍāsana'],
  ['bhujangāsana', 'bhujaṅgāsana'],
  ['paschimottanasana', 'paścimottānāsana'],
  ['urdhva', 'ūrdhva'],
  ['chakrasana', 'cakrāsana'],
  ['Simhasana', 'Siṃhāsana'],
  ['Ardha Chandrasana', 'Candrāsana'],
])('“%s” is told, and “%s” offered', (name, offered) => {
  expect(misspellings(name).map((each) => each.offered)).toEqual([offered])
  expect(devanagari(name)).toBe('')
})

test('a word that is not in the list is told only when its letters cannot be IAST', () => {
  expect(misspellings('gandabherundasana')).toMatchObject([{ offered: null, unmarked: true }])
  expect(misspellings('śaktichālanī mudrā')).toEqual([])
  expect(misspellings('Natashoonya')).toMatchObject([{ offered: null }])
  expect(misspellings('deva')).toEqual([])
})

test.each([
  ['matsendrāsana', 'matsyendrāsana'],
  // Surely misspelt, and told as that.
  ['Vīrabadrāsana II', null],
  ['paścimotānāsana', null],
  ['pārśvakoāsana', 'pārśvakoṇāsana'],
  ['sarvāgāsana', 'sarvāṅgāsana'],
  ['bharadvajāsna', null],
  ['caturṅga daṇḍāsana', 'caturaṅga'],
  ['naṭarājsana', null],
  ['supta baddha koṇāsna', null],
  ['vasiṭhāsana', 'vasiṣṭhāsana'],
])('“%s” is near a known word', (name, offered) => {
  expect(nearMisses(name).map((each) => each.offered)).toEqual(offered ? [offered] : [])
})

// Names that stand in no list here, and words that are one letter apart and both right.
test.each([
  'skandāsana',
  'kandāsana',
  'gheraṇḍāsana',
  'yogāsana',
  'guptāsana',
  'vīrāsana',
  'nāvāsana',
  'navāsana',
  'śavāsana',
  'tolāsana',
  'tulāsana',
  'matsyāsana',
  'mārjārāsana',
  'mārjaryāsana',
  'haṃsāsana',
  'śaktichālanī mudrā',
  'Tree',
  '',
])('“%s” is near none', (name) => {
  expect(nearMisses(name)).toEqual([])
})

test('a word of the list is near none, and is written in Devanagari whatever it is near', () => {
  for (const word of SANSKRIT_WORDS) expect([word, nearMisses(word)]).toEqual([word, []])
  expect(devanagari('matsendrāsana')).not.toBe('')
})

test('the names of the demo deck are as IAST writes them, in Devanagari too', () => {
  for (const { names } of demoCards()) {
    expect([names.sanskrit, misspellings(names.sanskrit)]).toEqual([names.sanskrit, []])
    if (names.sanskrit) expect(devanagari(names.sanskrit)).not.toBe('')
  }
  expect(tidyIast('Siṁhāsana')).toBe('siṃhāsana')
})
