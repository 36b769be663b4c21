const WORD = /\S+\s*|\s+/gu

/**
 * Cuts a line into pieces that fit on a page, between words; a word that is longer than a
 * piece is cut between letters. The pieces run together are the line.
 * @param parts of the line, each with a look of its own that its pieces keep
 * @param limit characters in a piece, at most
 */
export function pieces<Part extends { text: string }>(parts: Part[], limit: number): Part[][] {
  const cut: Part[][] = []
  let piece: Part[] = []
  let open = false
  let room = limit
  const close = () => {
    if (piece.length) cut.push(piece)
    piece = []
    open = false
    room = limit
  }
  const put = (text: string, part: Part) => {
    if (open) piece.push({ ...part, text: piece.pop()!.text + text })
    else piece.push({ ...part, text })
    open = true
    room -= text.length
  }
  for (const part of parts) {
    open = false
    for (const [word] of part.text.matchAll(WORD)) {
      if (word.length > room) close()
      if (word.length <= limit) put(word, part)
      else
        for (const letter of lettersOf(word)) {
          if (letter.length > room) close()
          put(letter, part)
        }
    }
  }
  close()
  return cut
}

function lettersOf(word: string): string[] {
  return [...new Intl.Segmenter('en').segment(word)].map((each) => each.segment)
}
