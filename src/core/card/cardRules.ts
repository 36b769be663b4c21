import type { Card } from './card'
import type { Found, Rule } from './rules'
import { completeness, SECTIONS, type SectionId } from './sections'
import { stepIds } from './names'

const WHY: Record<SectionId, string> = {
  name: 'A card that is not named, or does not say what its side is named by, is ambiguous.',
  when: 'The gap after a meal and the time of day decide whether the pose fits the class.',
  setup: 'The students must be in place before the first step is said.',
  enter: 'The way in is the part that is said word by word.',
  alignment: 'Trainees look at the body from the ground up and need a cue for each place.',
  stay: 'Without a count, or with different counts for the sides, the class guesses.',
  mistakes: 'A trainee must know what goes wrong, why it matters and what to say.',
  cautions: 'Someone in the class may not do this pose, and the teacher must know who.',
  ladder: 'Students differ; each needs a form to do.',
  exit: 'Most slips happen on the way out.',
  rest: 'A class needs to know what follows, and what to do between the sides.',
}

const completenessRules: Rule[] = SECTIONS.map(({ id, title }) => ({
  id: `card/${id}-complete`,
  looksAt: `Whether “${title}” is written.`,
  why: WHY[id],
  source: 'common practice',
  severity: 'mend',
  check: (card) => completeness(card).find((section) => section.id === id)!.missing,
}))

function doubles(ids: { id: string; where: string }[], what: string): Found[] {
  const seen = new Set<string>()
  return ids.flatMap(({ id, where }) => {
    if (!seen.has(id)) {
      seen.add(id)
      return []
    }
    return [{ where, message: `The id “${id}” is used by two ${what}; give one of them another.` }]
  })
}

function stepPlaces(card: Card): { id: string; where: string }[] {
  return [
    ...card.enter.map((step, i) => ({ id: step.id, where: `enter[${i}].id` })),
    ...card.otherWay.map((step, i) => ({ id: step.id, where: `otherWay[${i}].id` })),
    ...card.exit.map((step, i) => ({ id: step.id, where: `exit[${i}].id` })),
    ...card.ladder.flatMap((rung, r) =>
      rung.steps.add.map((added, i) => ({
        id: added.step.id,
        where: `ladder[${r}].steps.add[${i}].step.id`,
      }))
    ),
  ]
}

/** Links inside the card that lead nowhere. */
function deadLinks(card: Card): Found[] {
  const steps = new Set(stepIds(card))
  const cues = new Set(card.alignment.map((cue) => cue.id))
  const rungs = new Set(card.ladder.map((rung) => rung.id))
  const dead: Found[] = []
  card.mistakes.forEach(({ cue }, i) => {
    if (cue && !cues.has(cue))
      dead.push({ where: `mistakes[${i}].cue`, message: `There is no cue “${cue}” on this card.` })
  })
  card.cautions.forEach(({ rung }, i) => {
    if (rung && !rungs.has(rung))
      dead.push({
        where: `cautions[${i}].rung`,
        message: `There is no rung “${rung}” on this card.`,
      })
  })
  card.ladder.forEach(({ name, steps: change }, r) => {
    const missing = (id: string | undefined, where: string) => {
      if (id && !steps.has(id))
        dead.push({
          where: `ladder[${r}].steps.${where}`,
          message: `The rung “${name}” speaks of a step “${id}” that is not on this card.`,
        })
    }
    change.replace.forEach((each, i) => missing(each.step, `replace[${i}].step`))
    change.omit.forEach((id, i) => missing(id, `omit[${i}]`))
    change.add.forEach((each, i) => missing(each.after, `add[${i}].after`))
  })
  return dead
}

/** The rules about the card as a whole. */
export const cardRules: readonly Rule[] = [
  {
    id: 'card/one-id-one-part',
    looksAt: 'Ids of steps, cues and rungs.',
    why: 'Rungs, mistakes and cautions point at parts by id; two parts with one id mix them up.',
    source: 'format',
    severity: 'stop',
    check: (card) => [
      ...doubles(stepPlaces(card), 'steps'),
      ...doubles(
        card.alignment.map((cue, i) => ({ id: cue.id, where: `alignment[${i}].id` })),
        'cues'
      ),
      ...doubles(
        card.ladder.map((rung, i) => ({ id: rung.id, where: `ladder[${i}].id` })),
        'rungs'
      ),
    ],
  },
  {
    id: 'card/links-lead-somewhere',
    looksAt: 'Cues, rungs and steps that other parts of the card name.',
    why: 'A part that names something that was deleted says nothing to the reader.',
    source: 'format',
    severity: 'stop',
    check: deadLinks,
  },
  {
    id: 'card/one-reference-rung',
    looksAt: 'Which rung the main steps describe.',
    why: 'All other rungs are told as differences from one form; two such forms contradict.',
    source: 'common practice',
    severity: 'stop',
    check: (card) =>
      card.ladder.filter((rung) => rung.reference).length > 1
        ? [{ where: 'ladder', message: 'More than one rung is marked as the reference; keep one.' }]
        : [],
  },
  {
    id: 'card/not-its-own-counter',
    looksAt: 'The counter poses.',
    why: 'A pose does not balance itself.',
    source: 'common practice',
    severity: 'mend',
    check: (card) =>
      card.counter.flatMap((id, i) =>
        id === card.id
          ? [{ where: `counter[${i}]`, message: 'The card names itself as its counter pose.' }]
          : []
      ),
  },
  {
    id: 'card/claims-have-a-basis',
    looksAt: 'Effects marked as published.',
    why: 'A claim stands on a source that the reader can look up, or is marked as tradition or experience.',
    source: 'common practice',
    severity: 'mend',
    check: (card) =>
      card.effects.flatMap((claim, i) =>
        claim.basis === 'published' && !claim.source
          ? [
              {
                where: `effects[${i}].source`,
                message: 'This effect is marked as published but names no source.',
              },
            ]
          : []
      ),
  },
  ...completenessRules,
]
