import fc from 'fast-check'
import { demoCard, demoCards } from '../../../tests/support/cards'
import { form, ladderCard, oneLeg } from '../../../tests/support/ladders'
import {
  applyPatches,
  type Card,
  type Caution,
  DEFAULT_SCHOOL,
  type PolicyRule,
  runRules,
  type School,
  TRAIT_NAMES,
} from '../card'
import { checkDeck } from '../check'
import {
  basisFor,
  cautionRules,
  conditionNamed,
  conditions,
  conditionsOf,
  DEFAULT_POLICY,
  freshRuleId,
  isClosed,
  judgedCard,
  overNow,
  policyFrom,
  policyOf,
  propCount,
  roomCard,
  rulesAbout,
  STRICTNESS,
  together,
  verdictOf,
  waysOut,
  askedOf,
} from '.'

const caution = (of: Partial<Caution>): Caution => ({
  condition: 'glaucoma',
  verdict: 'avoid',
  say: '',
  ...of,
})
/** A fold that is high on a wall-like rung, and low in the form described. */
const fold = (...cautions: Caution[]): Card =>
  ladderCard({ tall: form('standing'), fold: form('standing-fold') }, 'fold', { cautions })
/** A card that nothing tells the form of. */
const undrawn = (): Card => ({
  ...fold(),
  ladder: [],
  enter: [{ id: 's1', text: 'Melt into the shape.', breath: 'out' }],
})
const cellsOf = (card: Card, name: string, school: School = DEFAULT_SCHOOL) =>
  judgedCard(card, school).rows.find(
    (row) => row.condition.id === conditionNamed(name, school)!.id
  )!.cells
const found = (card: Card, school: School = DEFAULT_SCHOOL) =>
  runRules(cautionRules, card, school, true)
const rules = (card: Card, school?: School) => found(card, school).map(({ rule }) => rule)
const withPolicy = (change: (rules: PolicyRule[]) => PolicyRule[]): School => ({
  ...DEFAULT_SCHOOL,
  policy: policyFrom(change([...DEFAULT_POLICY])),
})
/** A school whose head may go lower before eye pressure says avoid. */
const mild = withPolicy((all) =>
  all.map((rule) => (rule.id === 'eye-pressure/head-below-heart-8' ? { ...rule, least: 60 } : rule))
)

describe('the policy', () => {
  test('is kept as what differs from the usual one, and comes back as it was', () => {
    const rule = fc.record({
      at: fc.nat(DEFAULT_POLICY.length - 1),
      least: fc.integer({ min: 0, max: 300 }),
      out: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(rule, { maxLength: 12 }), fc.nat(3), (changes, more) => {
        let table = [...DEFAULT_POLICY]
        for (const { at, least, out } of changes) {
          const { id } = DEFAULT_POLICY[at]!
          table = out
            ? table.filter((each) => each.id !== id)
            : table.map((each) => (each.id === id ? { ...each, least } : each))
        }
        for (let n = 0; n < more; n += 1)
          table.push({ ...DEFAULT_POLICY[n]!, id: freshRuleId(DEFAULT_POLICY[n]!, table) })
        const school = { policy: policyFrom(table) }
        expect(policyOf(school)).toEqual(table)
        expect(new Set(table.map(({ id }) => id)).size).toBe(table.length)
      })
    )
    expect(policyFrom(DEFAULT_POLICY)).toEqual({ rules: [], without: [] })
    expect(policyOf(DEFAULT_SCHOOL)).toBe(DEFAULT_POLICY)
  })

  test('a change of it reaches every card at once', () => {
    for (const card of demoCards()) {
      const before = cellsOf(card, 'glaucoma').filter(({ by }) => by === 'policy')
      const none = withPolicy((all) => all.filter((each) => each.condition !== 'eye-pressure'))
      const after = cellsOf(card, 'glaucoma', none).filter(({ by }) => by === 'policy')
      // With no rule about it, it is asked first on every form, and fine on none.
      expect([card.id, new Set(after.map(({ verdict }) => verdict))]).toEqual([
        card.id,
        new Set(before.length ? ['ask-first'] : []),
      ])
    }
    expect(cellsOf(fold(), 'glaucoma').at(-1)!.verdict).toBe('avoid')
    expect(cellsOf(fold(), 'glaucoma', mild).at(-1)!.verdict).toBe('ask-first')
  })

  test('a condition of the school’s own is asked first until a rule is about it', () => {
    const own = { id: 'long-covid', group: 'our own', name: 'long covid', synonyms: ['post covid'] }
    const school = { ...DEFAULT_SCHOOL, conditions: [own] }
    expect(conditionNamed('Post-Covid', school)?.id).toBe('long-covid')
    expect(conditionNamed('Post-Covid')).toBeNull()
    expect(cellsOf(fold(), 'long covid', school).map(({ verdict }) => verdict)).toEqual([
      'ask-first',
      'ask-first',
    ])
    const ruled: School = {
      ...school,
      policy: policyFrom([
        ...DEFAULT_POLICY,
        {
          id: 'long-covid/stay',
          condition: 'long-covid',
          trait: 'stay',
          least: 600,
          verdict: 'change',
          change: 'shorter',
          basis: 'school',
        },
      ]),
    }
    expect(cellsOf(fold(), 'long covid', ruled).map(({ verdict }) => verdict)).toEqual([
      'fine',
      'fine',
    ])
    // A usual one may be worded anew, and is still found by its usual words.
    const worded = { ...DEFAULT_SCHOOL, conditions: [{ ...own, id: 'wrist', name: 'sore hands' }] }
    expect(conditionNamed('wrist pain', worded)?.name).toBe('sore hands')
    expect(conditionsOf(worded)).toHaveLength(conditions.length)
  })

  test('rules about a condition are those of the table, in its order', () => {
    for (const { id } of conditions)
      expect(rulesAbout(DEFAULT_POLICY, id)).toEqual(
        DEFAULT_POLICY.filter((rule) => rule.condition === id)
      )
  })
})

describe('what a card says itself', () => {
  test('a stricter word stands, a milder one does not, and is told with the mend', () => {
    expect(cellsOf(fold(caution({ condition: 'wrist trouble' })), 'wrist').at(-1)).toMatchObject({
      verdict: 'avoid',
      usual: 'fine',
      by: 'card',
    })
    const card = fold(caution({ verdict: 'change', say: 'Go slowly.' }))
    expect(cellsOf(card, 'glaucoma').at(-1)).toMatchObject({
      verdict: 'avoid',
      by: 'policy',
      milder: true,
    })
    const [told] = found(card)
    expect(told).toMatchObject({ rule: 'cautions/contradict', where: 'cautions[0].verdict' })
    const mended = applyPatches(card, told!.fix!.patches)
    expect(mended.cautions[0]).toEqual(caution({ say: 'Go slowly.' }))
    expect(rules(mended)).not.toContain('cautions/contradict')
  })

  test.each<[string, Partial<Caution>, boolean]>([
    ['fine where it is to be avoided', { verdict: 'fine' }, true],
    ['change with nowhere to go', { verdict: 'change' }, true],
    ['ask first where it is to be avoided', { verdict: 'ask-first' }, true],
    ['change, to a rung that is open', { verdict: 'change', rung: 'tall' }, false],
    ['change, to a rung that is closed', { verdict: 'change', rung: 'fold' }, true],
    ['avoid', { verdict: 'avoid' }, false],
    ['fine, with a reason', { verdict: 'fine', reason: 'only for a breath' }, false],
    ['fine, with an empty reason', { verdict: 'fine', reason: ' ' }, true],
    ['fine for reflux', { condition: 'reflux', verdict: 'fine' }, true],
    ['change for reflux', { condition: 'reflux', verdict: 'change' }, false],
    ['fine for the wrist', { condition: 'wrist trouble', verdict: 'fine' }, false],
    ['change after surgery', { condition: 'recent surgery', verdict: 'change' }, true],
    ['ask first after surgery', { condition: 'recent surgery', verdict: 'ask-first' }, false],
  ])('%s: told %s', (_, of, told) => {
    expect(rules(fold(caution(of))).includes('cautions/contradict')).toBe(told)
  })

  test('a form that nobody has seen goes against nothing but plainly fine', () => {
    const bare = undrawn()
    const told = (verdict: Caution['verdict']) =>
      rules({ ...bare, cautions: [caution({ verdict })] }).includes('cautions/contradict')
    expect([told('change'), told('ask-first'), told('fine')]).toEqual([false, false, true])
  })

  test('a reason overrides its rung or all, and is told again when what is beneath it changes', () => {
    const reason = 'our eye clinic allows a short stay'
    const bare = caution({ verdict: 'change', rung: 'fold', reason })
    const kept = { ...bare, over: overNow(fold(), bare, DEFAULT_SCHOOL) }
    expect(kept.over).toBe('avoid: head below heart from 8 cm avoid')
    const card = fold(kept)
    expect(cellsOf(card, 'glaucoma').map(({ verdict, by }) => [verdict, by])).toEqual([
      ['fine', 'policy'],
      ['change', 'reason'],
    ])
    expect(rules(card)).not.toContain('cautions/reason-holds')
    // The rule beneath it changes: the stricter stands until somebody looks.
    const strict = withPolicy((all) =>
      all.map((rule) =>
        rule.id === 'eye-pressure/head-below-heart-8' ? { ...rule, least: 2 } : rule
      )
    )
    expect(cellsOf(card, 'glaucoma', strict)[1]).toMatchObject({ verdict: 'avoid', stale: true })
    const [stale] = found(card, strict).filter(({ rule }) => rule === 'cautions/reason-holds')
    const renewed = applyPatches(card, stale!.fix!.patches)
    expect(renewed.cautions[0]).toMatchObject({ reason, verdict: 'change' })
    expect(rules(renewed, strict)).not.toContain('cautions/reason-holds')
    expect(cellsOf(renewed, 'glaucoma', strict)[1]).toMatchObject({
      verdict: 'change',
      by: 'reason',
    })
    // A reason that does not say what it overrides is told, so that a change of it can be.
    expect(rules(fold(bare))).toContain('cautions/reason-holds')
    const all = caution({ verdict: 'ask-first', reason })
    expect(
      cellsOf(fold({ ...all, over: overNow(fold(), all, DEFAULT_SCHOOL) }), 'glaucoma').map(
        ({ verdict }) => verdict
      )
    ).toEqual(['ask-first', 'ask-first'])
    expect(basisFor(fold(), all, cellsOf(fold(), 'glaucoma'))).toContain(' | ')
  })

  test('a change of another rule leaves a reason alone', () => {
    const bare = caution({ verdict: 'change', reason: 'so we do' })
    const card = fold({ ...bare, over: overNow(fold(), bare, DEFAULT_SCHOOL) })
    const other = withPolicy((all) =>
      all.map((rule) => (rule.condition === 'retina' ? { ...rule, least: rule.least + 1 } : rule))
    )
    expect(rules(card, other)).not.toContain('cautions/reason-holds')
  })
})

describe('what is set by hand', () => {
  const bare = (...traits: Card['traits']): Card => ({ ...undrawn(), traits })

  test('stands where no figure tells it, and only what all rules ask for makes it fine', () => {
    expect(cellsOf(bare(), 'glaucoma')[0]).toMatchObject({ verdict: 'ask-first', unsure: true })
    expect(cellsOf(bare({ trait: 'head below heart', value: 20 }), 'glaucoma')[0]).toMatchObject({
      verdict: 'avoid',
      reason: [expect.stringContaining('20 cm'), expect.stringContaining('hips above heart')],
    })
    const wrists = bare({ trait: 'weight on wrists', value: 0 })
    expect(cellsOf(wrists, 'wrist trouble')[0]!.verdict).toBe('fine')
    expect(cellsOf(wrists, 'glaucoma')[0]!.verdict).toBe('ask-first')
  })

  test('is silent where the figure tells it', () => {
    const drawn = { ...fold(), traits: [{ trait: 'head below heart' as const, value: 0 }] }
    expect(cellsOf(drawn, 'glaucoma').at(-1)!.verdict).toBe('avoid')
  })

  test('never makes fine what is not told: any traits, any condition', () => {
    fc.assert(
      fc.property(
        fc.subarray([...TRAIT_NAMES]),
        fc.constantFrom(...conditions.map(({ id }) => id)),
        (told, id) => {
          const card = bare(...told.map((trait) => ({ trait, value: 0 })))
          const [cell] = cellsOf(card, id)
          const asks = rulesAbout(DEFAULT_POLICY, id).map(({ trait }) => trait)
          const known = asks.every(
            (trait) => told.includes(trait) || trait === 'stay' || trait === 'breath held'
          )
          if (!known || told.length === 0) expect(cell!.verdict).not.toBe('fine')
        }
      )
    )
  })
})

describe('several at once', () => {
  const [asked] = askedOf(fold()).slice(-1)
  const verdict = (name: string) => verdictOf(asked!, conditionNamed(name)!)

  test('the strictest stands, and is never milder than any of them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...conditions), { minLength: 1, maxLength: 5 }),
        (some) => {
          const all = some.map((condition) => verdictOf(asked!, condition))
          const one = together(all)
          const rank = (each: (typeof STRICTNESS)[number]) => STRICTNESS.indexOf(each)
          expect(rank(one.verdict)).toBe(Math.min(...all.map((each) => rank(each.verdict))))
          for (const { change } of all) expect(one.change).toEqual(expect.arrayContaining(change))
        }
      )
    )
  })

  test.each([
    ['keep the back long, bend the knees', 'bend less', true],
    ['bend the knee', 'keep the knee more open', true],
    ['do it sitting up', 'recline on a ramp, or lie on the left side', true],
    ['do it kneeling or at the wall', 'pad the knees, or stand', true],
    ['hands at the heart or on the hips', 'a hand on the wall or on a chair', true],
    ['shorter, in and out with the breath', 'stay longer', true],
    ['feet wide', 'feet hip-width', true],
    ['fists, forearms or a wedge', 'take weight off the arms: knees down, hands higher', true],
    ['keep the head up', 'come up slowly, in stages', false],
    ['bend the knee', 'keep the head up', false],
    ['let the breath flow', 'a small arch, shared by the whole back', false],
    ['half as wide, supported', 'feet hip-width', false],
    ['pad the knees, or stand', 'a pad under the heel', false],
    ['bend the knees', 'bend the knee', false],
  ])('“%s” against “%s”: %s', (a, b, told) => {
    const [one, other] = [a, b].map((change) => ({ ...verdict('reflux'), change: [change] }))
    expect(together([one!, other!]).against).toEqual(told ? [[a, b]] : [])
    expect(together([other!, one!]).against).toEqual(told ? [[b, a]] : [])
  })
})

describe('somewhere to go', () => {
  const deck = demoCards()

  test('ways out share the spine direction or the base, and let all of the conditions in', () => {
    for (const card of deck)
      for (const names of [
        ['second trimester'],
        ['glaucoma', 'knee trouble'],
        ['placenta praevia'],
      ]) {
        const ids = names.map((name) => conditionNamed(name)!.id)
        for (const way of waysOut(card, ids, deck, DEFAULT_SCHOOL)) {
          const other = deck.find(({ id }) => id === way.card)!
          expect(other.id).not.toBe(card.id)
          const shares = other.spine === card.spine || other.base === card.base
          expect(shares).toBe(way.shares !== 'nothing')
          const cells = ids.map((id) => cellsOf(other, id).find(({ rung }) => rung === way.rung)!)
          for (const { verdict } of cells) expect(verdict).not.toBe('avoid')
        }
      }
  })

  test('a condition with which nothing is open is told, until another card is named', () => {
    const closed = demoCard('seated-fold')
    const bare = {
      ...closed,
      cautions: closed.cautions.map(({ instead: _, ...each }) => each),
    }
    expect(rules(closed)).not.toContain('cautions/way-out')
    const told = found(bare).find(({ rule }) => rule === 'cautions/way-out')
    expect(told?.message).toContain('osteoporosis')
    const shut = judgedCard(bare, DEFAULT_SCHOOL).rows.filter(isClosed)
    expect(shut.length).toBeGreaterThan(1)
    for (const { condition } of shut) expect(told!.message).toContain(condition.name)
  })

  test('the card that is named must be there, and open', () => {
    const [cobra, sphinx, cow] = ['low-cobra', 'sphinx', 'cat-and-cow'].map(demoCard)
    const to = (instead: string): Card => ({
      ...cobra!,
      cautions: [caution({ condition: 'third trimester', instead })],
    })
    const told = (card: Card) =>
      (checkDeck([card, sphinx!, cow!]).get('low-cobra') ?? []).filter(
        ({ rule }) => rule === 'cautions/instead-open'
      )
    expect(told(to('cat-and-cow'))).toEqual([])
    expect(told(to('nowhere'))).toHaveLength(1)
    const [shut] = told(to('sphinx'))
    expect(applyPatches(to('sphinx'), shut!.fix!.patches).cautions[0]!.instead).toBe('cat-and-cow')
  })

  test('every closed condition of a finished demo card leads somewhere', () => {
    for (const card of deck.filter(({ cautions }) => cautions.some(({ instead }) => instead))) {
      const led = new Set(
        card.cautions.flatMap(({ condition, instead }) =>
          instead ? [conditionNamed(condition)!.id] : []
        )
      )
      for (const row of judgedCard(card, DEFAULT_SCHOOL).rows)
        if (isClosed(row)) expect([card.id, led.has(row.condition.id)]).toEqual([card.id, true])
    }
  })
})

describe('the room', () => {
  const deck = demoCards()
  const room = (card: string, counts: Record<string, number>, people = 10) =>
    roomCard(
      deck.find(({ id }) => id === card)!,
      {
        people,
        counts: Object.fromEntries(
          Object.entries(counts).map(([name, n]) => [conditionNamed(name)!.id, n])
        ),
      },
      deck,
      DEFAULT_SCHOOL
    )

  test('with nobody told of, the form described is offered first', () => {
    expect(room('downward-dog', {})).toMatchObject({ first: 'long', forAll: true, who: [] })
  })

  test('the rung that lets everyone in is offered first, and nobody is named in what is said', () => {
    const told = room('downward-dog', { glaucoma: 1, 'wrist trouble': 2 })
    expect(told.first).toBe('chair')
    expect(told.forAll).toBe(true)
    for (const line of told.say) expect(line).not.toMatch(/glaucoma|wrist trouble|eye pressure/i)
    // What is closed to somebody is said so that staying is no confession.
    expect(told.say.join(' ')).not.toContain('go on as far as you like')
    expect(told.say.join(' ')).toContain('stay')
    expect(told.props).toMatchObject({ chair: 10 })
  })

  test('who is let in nowhere is sent to another card, and is not counted against the first rung', () => {
    const told = room('low-cobra', { 'third trimester': 2, 'wrist trouble': 1 })
    expect(told.forAll).toBe(false)
    expect(told.who[0]).toMatchObject({ name: 'third trimester', people: 2, rung: null })
    // The card itself names where they go.
    expect(told.who[0]!.elsewhere).toMatchObject({ card: 'cat-and-cow', rung: 'hands' })
    expect(told.rungs.every(({ closedTo }) => closedTo >= 2)).toBe(true)
  })

  test('for every card and condition: whoever is let in anywhere is let in on the first rung', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...deck.map(({ id }) => id)),
        fc.subarray([...conditions], { maxLength: 3 }),
        (id, some) => {
          const told = room(id, Object.fromEntries(some.map(({ name }) => [name, 1])))
          const first = told.rungs.find((rung) => rung.id === told.first)!
          const nowhere = told.who.filter(({ rung }) => rung === null).length
          const least = Math.min(...told.rungs.map(({ closedTo }) => closedTo))
          expect(first.closedTo).toBeLessThanOrEqual(Math.max(nowhere, least))
        }
      ),
      { numRuns: 60 }
    )
  })

  test.each([
    ['2 blocks', 'block', 2],
    ['block', 'block', 1],
    ['blocks', 'block', 1],
    ['a strap', 'strap', 1],
    ['two folded blankets', 'folded blanket', 2],
    ['chair', 'chair', 1],
    ['3 cushions', 'cushion', 3],
  ])('%s', (prop, name, count) => expect(propCount(prop)).toEqual({ name, count }))
})

test('one leg on the floor asks vertigo for a hand on the wall, whatever is typed elsewhere', () => {
  const card = ladderCard({ one: oneLeg().one! }, 'one')
  expect(cellsOf(card, 'dizziness')[0]).toMatchObject({ verdict: 'change' })
})
