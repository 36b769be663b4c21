/**
 * How much of anything is taken at once: the one table of limits. A real card has some 6,000
 * characters; what is refused by one of these is told with its number.
 */
export const LIMITS = {
  /** Characters of one line of wording, and of the notes. */
  line: 20_000,
  notes: 100_000,
  /** Characters of all words of a card. */
  words: 150_000,
  /** Steps, cues, mistakes … in one list. */
  list: 400,
  /** Characters of a card as it is stored, up to which the server draws its pages. */
  page: 30_000,
  /** Numbers and words in the data of one figure, and how deep they lie. */
  figureValues: 2_000,
  figureDepth: 12,

  /** Bytes of one card file; files of one import. */
  fileBytes: 2 * 1024 * 1024,
  files: 2_000,
  /** Bytes of an upload, and of what it unpacks to. */
  uploadBytes: 64 * 1024 * 1024,
  unpackedBytes: 128 * 1024 * 1024,
  /** Bytes of any other request. */
  bodyBytes: 8 * 1024 * 1024,

  /** Lines of a card file, characters of one of them. */
  fileLines: 12_000,
  fileLine: 40_000,
  /** Headings, lines between the --- lines, how deep lists lie in lists. */
  headings: 200,
  frontLines: 2_000,
  nesting: 8,
  /** Marks of emphasis and of characters by name, which each may belong to any before it. */
  marks: 5_000,
  /** How deep JSON lies in JSON. */
  jsonDepth: 40,
  /** Problems told of one file. */
  problems: 20,
} as const

/** Whether a card is so long that its pages are drawn in the browser: the server would be kept from others. */
export const isLong = (card: object): boolean => JSON.stringify(card).length > LIMITS.page
