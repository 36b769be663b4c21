/** What is said of a card file that cannot be read: what is wrong, and how it is written. */
const quoted = (words: string) => `“${words}”`
const listed = (words: readonly string[]) => words.join(', ')

/** What can be wanted where something else stands. */
const kinds = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'names with their values',
  record: 'names with their values',
}

export const englishFileWords = {
  // The file as a whole.
  empty: 'the file is empty',
  noText: 'the file is no text file; a card is Markdown or JSON',
  notUtf8: 'the file is not text in UTF-8; save it again with that encoding',
  noJson: (why: string) => `this is no valid JSON${why && ` (${why})`}`,
  noCard: 'the file holds no card: it should be one JSON object',
  noStart: 'a card file starts with a line of ---, then names and families, then --- again',
  noVersion: (version: number) =>
    `the file does not say which card format it is in; write “notula: ${version}” at its top`,
  otherVersion: (found: string, known: readonly number[]) =>
    `the file says it is in card format ${found}; this Notula reads format ${known.join(' and ')}`,
  // Too much of something.
  lines: (most: number) => `the file has more than ${most} lines; split the card`,
  frontLines: (most: number) =>
    `more than ${most} lines stand between the --- lines; a card has far fewer`,
  line: (most: number) => `the line is longer than ${most} characters; split it`,
  headings: (most: number) => `more than ${most} headings stand here; a card has far fewer`,
  marks: (most: number) =>
    `more than ${most} marks (* _ &) stand in this file; a card has far fewer`,
  deepLists: (most: number) => `lists lie more than ${most} deep in each other here`,
  deepJson: (most: number) => `the data lie more than ${most} deep in each other here`,
  // Between the --- lines.
  notNamed: 'the part between the --- lines should be a list of “name: value” lines',
  badFront: (why: string) =>
    `this line between the --- lines cannot be read: ${why}. Put a text that holds a colon or a bracket in "quotes"`,
  inItself:
    'the part between the --- lines refers to itself (YAML aliases) in a way that cannot be followed',
  ownSection: (key: string) =>
    `${quoted(key)} is not written between the --- lines; it has a section of its own below`,
  // Headings and lines.
  frontOnly: (title: string) =>
    `${quoted(title)} is not written under a heading; it stands between the --- lines at the top`,
  noSection: (title: string, known: readonly string[]) =>
    `${quoted(title)} is no section of a card; the sections are ${listed(known)}`,
  noHeading: 'this text stands in no section; put a heading such as “## Coming in” above it',
  wrongHeading: (title: string) =>
    `${quoted(title)} should be a section with two ##; the name of the pose stands in names`,
  sectionTwice: (title: string) => `the section ${quoted(title)} stands here twice`,
  noList: 'text in this section stands in a list: start each line with “- ” or “1. ”',
  oneLine: 'only one line of text, and lines that start with - under it, can stand here',
  nothingUnder: 'nothing can stand under this line',
  twice: (what: string) => `${quoted(what)} stands here twice`,
  noLabel: 'the line has no label',
  unknownLabel: (label: string, meant: string) =>
    `${quoted(label)} is not known here${meant && `; ${quoted(meant)} is meant?`}`,
  labels: (what: string, allowed: readonly string[]) =>
    `${what}; it should start with ${allowed.map((each) => `“${each}:”`).join(' or ')}`,
  inBraces: (label: string) =>
    `${quoted(label)} should be written like {name: value}, as between the --- lines`,
  yesOrNothing: (label: string) => `“${label}:” is followed by yes, or left out`,
  // Brackets.
  unknownTag: (word: string, breaths: readonly string[], sides: readonly string[]) =>
    `${quoted(word)} in the bracket is not understood; a bracket takes a breath (${listed(breaths)}), seconds (6 s), repeats (x3, x8-10), cycle, a side (${listed(sides)}) and an id (#s3)`,
  strayTag: (words: string) => `the bracket “[${words}]” holds a word that has no use here`,
  noBreath: 'the step does not say its breath; start it with a bracket such as [in]',
  stepNeedsId: 'an added step needs an id in its bracket, such as [in, #r1]',
  cueNeedsId: 'an added cue needs an id in its bracket, such as [#b1]',
  // Figures.
  figureOf: 'a figure starts with ```json start, with step s1, or with rung and the id of a rung',
  figureJson: (form: string) => `the figure of ${form} is no valid JSON`,
  // What does not fit the card.
  missing: (place: string) => `${quoted(place)} is missing`,
  noPart: (keys: readonly string[], place: string) =>
    `${listed(keys.map(quoted))} ${keys.length === 1 ? 'is no part' : 'are no parts'} of ${place ? quoted(place) : 'a card'}`,
  shouldBe: (kind: keyof typeof kinds) => `should be ${kinds[kind]}`,
  kinds,
  doesNotFit: (why: string) => `does not fit (${why})`,
  at: (place: string, what: string) => `${quoted(place || 'the card')} ${what}`,
}
