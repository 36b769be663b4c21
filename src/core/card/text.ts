/** What no file or database can hold. */
export const UNWRITABLE = /[\p{Cc}\p{Cs}\p{Noncharacter_Code_Point}]/u

/**
 * Brings one line of wording into the form that is stored: Unicode NFC, no line
 * breaks or tabs (a blank instead), no blanks at the ends.
 * @example tidyLine(' Fold\n forward ') // 'Fold forward'
 */
export function tidyLine(text: string): string {
  return text
    .normalize('NFC')
    .replace(/[\t\n\v\f\r\u0085\u2028\u2029]+/g, ' ')
    .trim()
}

/**
 * Brings wording of several paragraphs into the form that is stored: NFC,
 * `\n` as the only line break, at most one empty line in a row, no blanks at
 * the ends of a line.
 */
export function tidyProse(text: string): string {
  return text
    .normalize('NFC')
    .replace(/\r\n?|[\u0085\u2028\u2029\v\f]/g, '\n')
    .replace(/\t/g, ' ')
    .split('\n')
    .map((line) => line.trim())
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
}

/** Takes out what no file or database can hold: control characters and half surrogates. */
export function dropUnwritable(text: string): string {
  return text.replace(/[^\P{Cc}\n\t]|\p{Cs}|\p{Noncharacter_Code_Point}/gu, '')
}
