import fc from 'fast-check'
import { demoCard, demoCards } from '../../../tests/support/cards'
import { form } from '../../../tests/support/ladders'
import { Card, DEFAULT_SCHOOL, otherSide } from '../card'
import { cardLedFrom } from '../sides'
import { familyFits } from './familyRule'

/** What a card is filed under, against its form. Common practice, no source. */

const told = (card: Card) => familyFits(card, DEFAULT_SCHOOL).map(({ where }) => where)
const BASES = Card.shape.base.options
const SPINES = Card.shape.spine.options

describe('the family of a card and its form', () => {
  test.each(demoCards().map((card) => [card.id, card] as const))(
    '%s is filed under what its form is',
    (_, card) => {
      expect(told(card)).toEqual([])
    }
  )

  // Bases that nobody would file the form under; of the others some could.
  test.each([
    ['standing-fold', ['kneeling', 'seated', 'prone', 'supine', 'side-lying', 'hands']],
    ['mountain', ['kneeling', 'seated', 'prone', 'supine', 'side-lying', 'hands']],
    ['tree', ['kneeling', 'seated', 'prone', 'supine', 'side-lying', 'hands']],
    ['final-rest', ['standing', 'kneeling', 'prone', 'side-lying', 'hands']],
    ['seated-fold', ['standing', 'kneeling', 'prone', 'supine', 'side-lying', 'hands']],
    ['cross-legged-twist', ['standing', 'kneeling', 'prone', 'side-lying']],
    ['low-cobra', ['standing', 'seated', 'supine', 'side-lying']],
    ['cat-and-cow', ['standing', 'seated', 'prone', 'supine', 'side-lying']],
    ['side-lying-twist', ['standing', 'seated', 'prone', 'supine', 'hands']],
    ['bridge', ['standing', 'seated', 'prone', 'side-lying', 'kneeling']],
  ] as const)('%s is not of another base', (id, others) => {
    const card = demoCard(id)
    const off = BASES.filter((base) => told({ ...card, base }).includes('base'))
    expect(others.filter((base) => !off.includes(base))).toEqual([])
    expect(off).not.toContain(card.base)
    expect(off).not.toContain('inverted')
  })

  test.each([
    ['seated-half-twist', ['side', 'forward', 'lengthen']],
    ['long-side-angle', ['twist', 'lengthen']],
    ['gate', ['twist', 'lengthen']],
    ['standing-fold', ['twist', 'back', 'lengthen']],
    ['seated-fold', ['twist', 'back', 'lengthen']],
    ['low-cobra', ['twist', 'forward', 'lengthen']],
    ['cat-and-cow', ['twist', 'forward', 'lengthen']],
    ['mountain', ['twist', 'side', 'forward']],
    ['tree', ['twist', 'side', 'forward']],
    ['thread-the-needle', ['lengthen']],
  ] as const)('%s has no other spine direction', (id, others) => {
    const card = demoCard(id)
    const off = SPINES.filter((spine) => told({ ...card, spine }).includes('spine'))
    expect(others.filter((spine) => !off.includes(spine))).toEqual([])
    expect(off).not.toContain(card.spine)
  })

  test('says what the form does', () => {
    const [found] = familyFits(
      { ...demoCard('seated-half-twist'), spine: 'lengthen' },
      DEFAULT_SCHOOL
    )
    expect(found!.message).toMatch(/filed as lengthening, and its form turns by 4\d°/)
    const [base] = familyFits({ ...demoCard('final-rest'), base: 'standing' }, DEFAULT_SCHOOL)
    expect(base!.message).toContain('its form rests on back, head, left leg, right leg')
  })

  test('a form that the words leave open is not judged', () => {
    const card = demoCard('mountain')
    const open = {
      ...card,
      setUp: { ...card.setUp, figure: undefined },
      enter: [{ id: 's1', breath: 'in' as const, text: 'Wibble the grommet as you like.' }],
      ladder: [],
      spine: 'twist' as const,
      base: 'supine' as const,
    }
    expect(told(open)).toEqual([])
  })

  test('the mirrored card is of the same family', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...demoCards().filter(({ sides }) => sides === 'sided')),
        fc.constantFrom(...BASES),
        fc.constantFrom(...SPINES),
        (card, base, spine) => {
          const mine = { ...card, base, spine }
          const across = cardLedFrom(mine, otherSide(mine.writtenFor), mine.writtenFor)
          // Words alone are mirrored here: the forms that are kept stay, and are judged the same.
          expect(told(across)).toEqual(told(mine))
        }
      ),
      { numRuns: 60 }
    )
  })

  test('what leans on a wall is carried by what stands', () => {
    const leaning = {
      ...form('standing'),
      contacts: [
        { part: 'left sole', on: 'floor' },
        { part: 'right sole', on: 'floor' },
        { part: 'back', on: 'wall' },
      ],
    }
    const mountain = demoCard('mountain')
    const card: Card = {
      ...mountain,
      enter: [{ id: 's1', breath: 'in', text: 'Lean back.', figure: leaning as never }],
      ladder: [],
    }
    expect(told(card)).not.toContain('base')
    expect(told({ ...card, base: 'supine' })).toContain('base')
  })
})
