import { writeFileSync } from 'node:fs'
import { Card } from '../src/core/card/card'
import { treeOf } from '../src/core/card/treeOf'

/** The first part of npm run docs: the tree of a card’s parts, on which all else stands. */
writeFileSync('src/core/card/tree.json', `${JSON.stringify(treeOf(Card))}\n`)
