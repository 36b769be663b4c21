import { cueOf, finishedCards, lunge, stepsOf } from '../../../tests/support/cards'
import { sideWords } from '../../../tests/support/english'
import { applyPatches, atRung, type Card, runRules, valueAt, withValue } from '../card'
import { checkCard } from '../check'
import { sidedLines, sideRules } from '.'

const found = (card: Card) => runRules(sideRules(), card)
const rules = (card: Card) => found(card).map((finding) => finding.rule.replace('sides/', ''))
const fixed = (card: Card) => {
  const finding = found(card).find((each) => each.fix)!
  return applyPatches(card, finding.fix!.patches)
}
const step = (text: string) =>
  lunge({ enter: [...lunge().enter, { id: 's5', breath: 'in', text }] })

test('the finished cards of the demo deck have nothing wrong with their sides', () => {
  expect(
    finishedCards().flatMap((card) => found(card).map((each) => [card.id, each.message]))
  ).toEqual([])
  expect(found(lunge())).toEqual([])
})

describe('words that are probably fixed', () => {
  test.each([
    ['Roll to the right side and sit up.', 'Roll to the {right} side and sit up.'],
    ['Roll onto your right side to rest.', 'Roll onto your {right} side to rest.'],
    ['Close the left nostril with the thumb.', 'Close the {left} nostril with the thumb.'],
    ['Keep your stiff left shoulder low.', 'Keep your stiff {left} shoulder low.'],
    ["Watch Noemi's left knee.", "Watch Noemi's {left} knee."],
    ['Press the right side of the colon first.', 'Press the {right} side of the colon first.'],
  ])('%s', (text, expected) => {
    const card = lunge({ exit: stepsOf([['free', text]], 'x') })
    expect(rules(card)).toEqual(['suspect-fixed'])
    expect(fixed(card).exit[0]!.text).toBe(expected)
    expect(rules(fixed(card))).toEqual([])
  })

  test('lying on a side is fixed when it is for late pregnancy', () => {
    const caution = (condition: string, say: string) =>
      lunge({ cautions: [{ condition, verdict: 'change', say }] })
    expect(rules(caution('third trimester', 'Lie on the left side.'))).toEqual(['suspect-fixed'])
    expect(rules(caution('knee trouble', 'Lie on the left side.'))).toEqual([])
  })

  test.each([
    'Roll the right ribs up to the ceiling.',
    'Roll the right thigh in.',
    'Rest the right hand on the hip.',
    'Turn to the right.',
  ])('%s is not', (text) => {
    expect(rules(lunge({ exit: stepsOf([['free', text]], 'x') }))).toEqual([])
  })
})

describe('what changes without a side word', () => {
  test.each([
    'Interlace the fingers behind the back.',
    'Cross the shins and sit.',
    'Sit cross-legged.',
    'Fold the arms overhead.',
  ])('%s', (text) => {
    const card = step(text)
    expect(rules(card)).toEqual(['silent-swap'])
    const mended = fixed(card)
    expect(mended.alignment[0]!.on).toBe('second-only')
    expect(rules(mended)).toEqual([])
  })

  test('a crossing that has side words, or is told, is none', () => {
    expect(rules(step('Cross the right ankle over the left.'))).toEqual([])
    const told = step('Interlace the fingers.')
    expect(rules({ ...told, betweenSides: { text: 'Change the clasp of the fingers.' } })).toEqual(
      []
    )
  })
})

describe('both sides are one pose', () => {
  test.each([
    ['Hold the right side only.', 'right-only'],
    ['Lift the heel, only on the left side.', 'left-only'],
    ['On the second side only, close the eyes.', 'second-only'],
    ['Skip it on the second side.', 'first-only'],
  ])('the cue “%s” is to be marked', (text, on) => {
    const card = lunge({ alignment: [cueOf(text)] })
    expect(rules(card)).toEqual(['one-sided-cue-is-marked'])
    expect(fixed(card).alignment[0]!.on).toBe(on)
    expect(rules(fixed(card))).toEqual([])
  })

  test.each([
    'Lift the back heel, right side only.',
    'Stay 5 breaths on the right side and 8 on the left side.',
    'Take three breaths on the first side, five on the second.',
    'Stay longer on the stiffer side.',
  ])('the step “%s” makes two poses', (text) => {
    expect(rules(step(text))).toEqual(['same-form-on-both'])
  })

  test('equal counts and places on a side are no matter', () => {
    expect(rules(step('Stay 5 breaths on the right side and 5 on the left side.'))).toEqual([])
    expect(rules(lunge({ alignment: [cueOf('Open the ribs on the left side.')] }))).toEqual([])
  })

  test('a rung for one side only is found', () => {
    const rung = (name: string) => ({
      id: 'r',
      name,
      props: [],
      steps: { replace: [], add: [], omit: [] },
      upWhen: [],
      downWhen: [],
    })
    expect(rules(lunge({ ladder: [rung('Hand on a block, left side only')] }))).toEqual([
      'same-form-on-both',
    ])
    expect(rules(lunge({ ladder: [rung('Hand on a block')] }))).toEqual([])
  })
})

describe('the side that leads', () => {
  test('a text that leads the other side than it is kept for', () => {
    const card = lunge({
      enter: stepsOf([
        ['in', 'Step the right foot back.'],
        ['out', 'Bend the left knee over the ankle.'],
      ]),
    })
    expect(rules(card)).toEqual(['lead-agrees'])
    expect(fixed(card).writtenFor).toBe('left')
    expect(rules(fixed(card))).toEqual([])
  })

  test.each([
    ['lifted leg', 'Lift the left foot off the floor.'],
    ['bent knee', 'Bend the left knee.'],
    ['side bent towards', 'Bend to the left.'],
    ['direction turned', 'Turn slowly to the left.'],
    ['direction turned', 'Twist left.'],
    ['front leg', 'Step the left foot forward.'],
    ['standing leg', 'Shift the weight into the left foot.'],
  ])('named by the %s: %s', (sideNamedBy, text) => {
    const card = lunge({ sideNamedBy, enter: stepsOf([['out', text]]) })
    expect(rules(card)).toContain('lead-agrees')
    expect(rules({ ...card, writtenFor: 'left' })).not.toContain('lead-agrees')
  })

  test('one line that goes against the rest is a slip, told as a note', () => {
    const card = step('Bend the left knee deeper.')
    expect(found(card)).toMatchObject([{ rule: 'sides/slip', severity: 'note' }])
    expect(fixed(card).enter[4]!.text).toBe('Bend the right knee deeper.')
    const bend = lunge({
      sideNamedBy: 'side bent towards',
      enter: stepsOf([
        ['in', 'Reach both arms up.'],
        ['out', 'Bend to the right, left hand down the shin.'],
      ]),
    })
    expect(rules({ ...bend, alignment: [cueOf('Bend to the right from the waist.')] })).toEqual([
      'slip',
    ])
  })

  test.each([
    ['direction turned', 'Turn the left ribs to the right thigh.'],
    ['front leg', 'Turn the left toes in a little.'],
    ['front leg', 'Reach the left arm back.'],
  ])('named by the %s, “%s” is right', (sideNamedBy, text) => {
    expect(rules(lunge({ sideNamedBy, enter: stepsOf([['out', text]]) }))).toEqual([])
  })
})

describe('words that need something before them', () => {
  const first = (text: string) => lunge({ enter: stepsOf([['in', text]]) })
  test.each([
    ['Lift the other foot.', 'other-than-what'],
    ['Hold the opposite elbow.', 'other-than-what'],
    ['Reach the same-side arm up.', 'other-than-what'],
    ['Bend the front knee.', 'front-back-is-set'],
    ['Press the back heel down.', 'front-back-is-set'],
    ['Lift the top arm.', 'front-back-is-set'],
  ])('%s', (text, rule) => {
    expect(rules(first(text))).toEqual([rule])
  })

  test.each([
    'Hold one elbow with the other hand.',
    'Lift the right foot, then the other foot.',
    'Press the palms against each other.',
    'Fold over the front of the legs.',
    'Lengthen the back of the neck.',
    'Step the right foot forward, bend the front knee.',
  ])('%s needs nothing', (text) => {
    expect(rules(first(text))).not.toContain('other-than-what')
    if (!/bend the front/.test(text)) expect(rules(first(text))).not.toContain('front-back-is-set')
  })

  test('after the foot was put back, front and back are known', () => {
    expect(rules(step('Press the back heel and bend the front knee.'))).toEqual([])
    expect(rules(step('Lift the other foot.'))).toEqual([])
  })
})

test('rungs keep the sides in order, too', () => {
  for (const card of finishedCards())
    for (const rung of card.ladder)
      expect([card.id, rules(atRung(card, rung.id))]).toEqual([card.id, []])
})

describe('on an even card', () => {
  const even = (...texts: string[]) =>
    lunge({
      sides: 'even',
      sideNamedBy: '',
      setUp: { place: '', props: [], note: '' },
      enter: texts.map((text, i) => ({ id: `s${i + 1}`, text, breath: 'free' as const })),
      alignment: [],
      exit: [],
    })

  test.each([
    ['Press the left knee down.', 'even-names-both'],
    ['Step the right foot to the wall.', 'even-names-both'],
    ['Turn the head to the right.', 'even-names-both'],
    ['Hold the left wrist.', 'even-names-both'],
    ['Bend the front knee.', 'front-back-is-set'],
    ['Press the top arm up.', 'front-back-is-set'],
    ['Lift the upper hand.', 'front-back-is-set'],
  ])('“%s” is told', (text, rule) => {
    expect(rules(even(text))).toEqual([rule])
  })

  test.each([
    'Lift the left heel, then the right.',
    'Lift one heel, then the other.',
    'Roll to the right side and sit up.',
    'Press the upper arm to the ribs.',
    'Lift the lower ribs off the hips.',
    'Step one foot back and press the back heel down.',
    'Open the front of the chest.',
    'Turn the head to the right, then to the left.',
    'Cross the arms, right on top; change the cross half way.',
    'Bend both knees to right angles.',
  ])('“%s” is right', (text) => {
    expect(rules(even(text))).toEqual([])
  })

  test('what one step does on the right and another on the left is both', () => {
    expect(rules(even('Lift the right heel.', 'Lift the left heel.'))).toEqual([])
  })
})

describe('two side words of one line', () => {
  const pose = (spine: Card['spine'], text: string) =>
    lunge({ spine, sideNamedBy: 'direction turned', enter: stepsOf([['out', text]]) })

  test.each([
    ['side', 'Stack the left hip over the right knee.'],
    ['side', 'Bring the right knee beside the right.'],
    ['lengthen', 'Set the right foot on the right shin.'],
    ['lengthen', 'Hold the left wrist with the left hand.'],
    ['lengthen', 'Left foot forward, left foot back.'],
    ['lengthen', 'Cross left over left.'],
    ['lengthen', 'Stack the right elbow over the left wrist.'],
    ['lengthen', 'Right hand on the right elbow.'],
    ['lengthen', 'Lower the right leg to the left.'],
    ['twist', 'Set the right elbow outside the right knee.'],
    ['twist', 'Turn the left ribs to the left thigh.'],
    ['lengthen', 'Put the right knee beside the right knee.'],
  ] as const)('in a pose of %s, “%s” cannot be', (spine, text) => {
    expect(rules(pose(spine, text))).toContain('slip')
  })

  test.each([
    ['side', 'Stack the left hip over the left knee.'],
    ['side', 'Bring the right knee beside the left.'],
    ['lengthen', 'Set the right foot on the left shin.'],
    ['lengthen', 'Left foot forward, right foot back.'],
    ['lengthen', 'Right hand on the left shoulder.'],
    ['lengthen', 'Right hand on the right shoulder.'],
    ['lengthen', 'Right heel beside the right hip.'],
    ['lengthen', 'Cross the right knee over the left ankle.'],
    ['lengthen', 'Lower the right leg to the right.'],
    ['lengthen', 'Lean the right hip to the right.'],
    ['twist', 'Turn right, right hand behind you.'],
    ['lengthen', 'Left hand on the left knee.'],
  ] as const)('in a pose of %s, “%s” can', (spine, text) => {
    expect(rules(pose(spine, text))).not.toContain('slip')
  })
})

describe('a flipped side word', () => {
  /** Each side word of the demo deck said wrong, one at a time. */
  const flips = finishedCards()
    .filter(({ sides }) => sides === 'sided')
    .flatMap((card) =>
      sidedLines(card).flatMap(({ where, text }) =>
        sideWords(text)
          .filter(({ role }) => role === 'swaps')
          .map(({ start, end, other }) => {
            const told = (of: Card) =>
              checkCard(of).filter(
                ({ rule }) => rule === 'sides/slip' || rule === 'sides/lead-agrees'
              )
            const flipped = withValue(card, where, text.slice(0, start) + other + text.slice(end))
            const here = told(flipped).filter((each) => each.where === where && each.fix)
            return {
              seen: told(flipped).length > told(card).length,
              clean: told(card).length === 0,
              text,
              mended: here.map(({ fix }) => valueAt(applyPatches(flipped, fix!.patches), where)),
            }
          })
      )
    )

  test('is seen in more than three of four places, and nothing is seen where none is', () => {
    expect(flips.length).toBeGreaterThan(100)
    expect(flips.filter(({ seen }) => seen).length / flips.length).toBeGreaterThan(0.75)
    expect(flips.every(({ clean }) => clean)).toBe(true)
  })

  test('is given back by every mend that is offered for its line', () => {
    const offered = flips.filter(({ mended }) => mended.length > 0)
    expect(offered.length).toBeGreaterThan(flips.length / 2)
    for (const { text, mended } of offered) expect([text, ...mended]).toEqual([text, text])
  })

  test('says what it goes against, and offers the other word', () => {
    const card = finishedCards().find(({ id }) => id === 'tree')!
    const step = card.enter.findIndex(({ text }) => text.includes('on the left shin'))
    const flipped = withValue(card, `enter[${step}].text`, 'Set the left foot on the right shin.')
    const [finding] = checkCard(flipped).filter(({ rule }) => rule === 'sides/slip')
    expect(finding!.message).toMatch(/the right side leads|the right foot is off the floor/)
    expect(applyPatches(flipped, finding!.fix!.patches).enter[step]!.text).toContain('right foot')
  })
})

describe('a mistake and the cue that it breaks', () => {
  const card = (cue: string, seen: string, say: string) => {
    const base = lunge()
    return lunge({
      alignment: [...base.alignment, cueOf(cue, { id: 'm1' })],
      mistakes: [{ seen, why: 'It folds there.', say, cue: 'm1', on: 'both' }],
    })
  }
  const told = (...lines: [string, string, string]) =>
    found(card(...lines)).filter(
      ({ rule, where }) => rule === 'sides/slip' && where.startsWith('mistakes')
    )

  test.each([
    ['Draw the left hip forward.', 'The right hip stays behind.', 'Draw it forward.', 'seen'],
    ['Press the outer left heel down.', 'The right heel lifts.', 'Root the heel.', 'seen'],
    ['Draw the left hip forward.', 'The left hip stays behind.', 'Bring the right hip on.', 'say'],
    ['Weigh both hips evenly.', 'The left hip lifts.', 'Sit the right hip down.', 'say'],
    ['Spread the left toes.', 'The left foot goes limp.', 'Push through the right heel.', 'say'],
    ['Keep the ankle quiet.', 'The left ankle shakes.', 'Steady the right ankle.', 'say'],
    ['Root the left hand.', 'The right palm lifts.', 'Press it down.', 'seen'],
    ['Point the left kneecap up.', 'The left knee rolls in.', 'Turn the right knee out.', 'say'],
  ])('“%s”: %s %s', (cue, seen, say, key) => {
    const [finding, ...more] = told(cue, seen, say)
    expect(more).toEqual([])
    expect(finding!.where).toBe(`mistakes[0].${key}`)
    // What it goes against: the cue, or what is seen where the cue is about both.
    expect(finding!.message).toContain(/left|right/.test(cue) ? cue : seen)
    const mended = applyPatches(card(cue, seen, say), finding!.fix!.patches)
    expect(
      found(mended).filter(({ where, rule }) => rule === 'sides/slip' && where === finding!.where)
    ).toEqual([])
  })

  test.each([
    ['Press the left big toe down.', 'The right foot rolls.', 'Press the right big toe down.'],
    ['Draw the left hip back.', 'The right hip swings out.', 'Draw the right hip under you.'],
    ['Spread the left palm.', 'The right wrist sinks.', 'Press the right palm.'],
  ])('of the cue “%s” and what goes wrong the cue is the one that is wrong', (...lines) => {
    const [finding] = found(card(...lines)).filter(({ rule }) => rule === 'sides/slip')
    expect(finding!.where).toBe('alignment[0].text')
    const mended = applyPatches(card(...lines), finding!.fix!.patches)
    expect(mended.alignment[0]!.text).toBe(lines[0].replace('left', 'right'))
    expect(found(mended).filter(({ rule }) => rule === 'sides/slip')).toEqual([])
  })

  test.each([
    ['Draw the left hip forward.', 'The left hip stays behind.', 'Draw the left hip forward.'],
    ['Keep both hips level.', 'The right hip hikes.', 'Lower the right hip.'],
    ['Lift the left hip as high as the right hip.', 'The right hip hikes.', 'Level the hips.'],
    ['Draw the left hip forward.', 'The pelvis turns.', 'Press the right hip back.'],
    ['Draw the left hip forward.', 'The right knee falls in.', 'Aim the right knee ahead.'],
    ['Draw the left hip forward.', 'The left hip trails the right hip.', 'Square them.'],
  ])('“%s” is no matter: %s %s', (...lines) => {
    expect(told(...lines)).toEqual([])
  })
})
