import { ACTIONS, type Reader } from '../../instruction'
import { PART_WORDS, RELATION_WORDS, THING_WORDS, WAY_WORDS } from './bodyWords'
import {
  ANY_SIDE,
  hops,
  namesProp,
  propsIn,
  sameThing,
  SPEAKS_OF,
  several,
  startOfLine,
  withSide,
} from './placeWords'
import { partsNamed, readEnglish } from './read'
import { VERBS } from './verbWords'

const listed = (table: Record<string, string>) =>
  Object.fromEntries(
    Object.entries(table).map(([name, words]) => [
      name,
      words
        .split(',')
        .map((word) => word.trim())
        .filter(Boolean),
    ])
  )

const parts: Record<string, string[]> = {}
for (const [word, { part }] of PART_WORDS) (parts[part] ??= []).push(word)

/** How English lines are read. */
export const englishReader: Reader = {
  read: readEnglish,
  start: startOfLine,
  parts: partsNamed,
  props: propsIn,
  namesProp,
  several,
  speaksOf: SPEAKS_OF,
  withSide,
  sameThing,
  hops,
  anySide: ANY_SIDE,
  words: {
    actions: Object.fromEntries(
      ACTIONS.map((action) => [
        action,
        Object.keys(VERBS).filter((verb) => VERBS[verb]!.some((sense) => sense.action === action)),
      ])
    ) as Reader['words']['actions'],
    parts: parts as Reader['words']['parts'],
    ways: listed(WAY_WORDS),
    things: listed(THING_WORDS),
    relations: listed(RELATION_WORDS),
  },
  verbs: Object.keys(VERBS),
}
