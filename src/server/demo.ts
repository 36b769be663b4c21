import { readdir, readFile } from 'node:fs/promises'
import path from 'node:path'
import { readCardBytes } from '@/core/formats'
import type { Card, School, STATUSES } from '@/core/card'
import { createCard, saveCard } from './cards'
import { db } from './db'

/** The invented school that the demo deck belongs to. */
export const DEMO_SCHOOL: Partial<School> = {
  name: 'Lindenhof School, yoga for orchestra musicians',
  firstSide: 'right',
  conventions: {
    'heel-line': 'front heel to back arch',
    'hips-in-twists': 'free, the turn taken in the ribs',
    'cobra-hands': 'by the chest',
    'meal-gap': '2 hours',
    menstruation: 'as the student likes',
  },
}

/** How far the school is with some of its cards. */
const STATUS: Readonly<Record<string, (typeof STATUSES)[number]>> = {
  'long-side-angle': 'approved',
  tree: 'approved',
  'cat-and-cow': 'approved',
  gate: 'review',
  'low-cobra': 'review',
  'seated-half-twist': 'review',
}

/** Some cards as they were first written. */
const EARLIER: Readonly<Record<string, (card: Card) => Card>> = {
  'long-side-angle': (card) => ({
    ...card,
    stay: { breaths: 3, repeats: 1 },
    mistakes: card.mistakes.slice(0, 1),
  }),
  gate: (card) => ({ ...card, cautions: card.cautions.slice(0, 1), exit: card.exit.slice(0, 2) }),
  tree: (card) => ({ ...card, alignment: card.alignment.slice(0, 2) }),
}

/**
 * Loads the demo deck into a database that never had one, in one transaction.
 * @param folder that holds the card files
 * @returns how many cards were loaded; 0 when the demo, or any card, is already there
 */
export async function loadDemo(folder: string): Promise<number> {
  const { demo_loaded_at: loaded } = await db()('deck').where({ id: 1 }).first('demo_loaded_at')
  if (loaded || (await db()('cards').first('id'))) return 0
  const files = (await readdir(folder)).filter((name) => /\.(md|json)$/.test(name)).sort()
  const cards = await Promise.all(
    files.map(async (name) => readCardBytes(await readFile(path.join(folder, name))))
  )
  await db().transaction(async (trx) => {
    for (const card of cards) {
      const before = EARLIER[card.id]
      if (before) {
        await createCard(before(card), 'Ines Aldorf', 'first writing', trx)
        await saveCard(card, 1, 'Jonas Reiter', 'after the review in class', trx)
      } else await createCard(card, 'Ines Aldorf', 'from the demo deck', trx)
      const status = STATUS[card.id]
      if (status) await trx('cards').where({ id: card.id }).update({ status })
    }
    await trx('deck')
      .where({ id: 1 })
      .update({
        demo_loaded_at: trx.fn.now(),
        school: JSON.stringify(DEMO_SCHOOL),
      })
  })
  return cards.length
}
