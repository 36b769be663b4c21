/** Spellings of one sound in transliterated Sanskrit, levelled to one (common practice, no source). */
const VARIANTS: [RegExp, string][] = [
  [/x/g, 'ks'],
  [/sh/g, 's'],
  [/ch+/g, 'c'],
  [/w/g, 'v'],
  [/aa/g, 'a'],
  [/ee|ii/g, 'i'],
  [/oo|uu/g, 'u'],
  [/([^aeiou ])r[iu](?=[^aeiou ])/g, '$1r'],
  [/^r[iu](?=[^aeiou ])/g, 'r'],
  [/ng(?=[a-z])/g, 'n'],
  [/ph/g, 'f'],
  [/([bcdgjkpt])h/g, '$1'],
  [/([a-z])\1+/g, '$1'],
]

/** A name without marks, capitals and signs. */
export function plainName(name: string): string {
  return name
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}

/**
 * A name as it is searched: without marks and capitals, spelling variants levelled.
 * Two spellings of one name give one key.
 * @example searchKey('Vīrabhadrāsana') === searchKey('veerabhadrasana') // true
 */
export function searchKey(name: string): string {
  return VARIANTS.reduce((key, [variant, level]) => key.replace(variant, level), plainName(name))
}
