import type { Card, Rung } from './card'
import { packOf } from '../language'
import type { Found, Rule } from './rules'
import { completeness, SECTIONS, type SectionId } from './sections'
import { idsOf, linksOf } from './parts'

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

const NAMED = { step: 'steps', cue: 'cues', rung: 'rungs' } as const

function doubles(card: Card): Found[] {
  const seen = new Set<string>()
  return idsOf(card).flatMap(({ of, value, path }) => {
    const key = `${of} ${value as string}`
    if (!seen.has(key)) {
      seen.add(key)
      return []
    }
    const what = NAMED[of as keyof typeof NAMED]
    return [
      {
        where: path,
        message: `The id “${value as string}” is used by two ${what}; give one of them another.`,
      },
    ]
  })
}

/** Links inside the card that lead nowhere. */
function deadLinks(card: Card): Found[] {
  const ids = new Set(idsOf(card).map(({ of, value }) => `${of} ${value as string}`))
  return linksOf(card).flatMap(({ to, value, path, owners }) => {
    if (to === 'card' || ids.has(`${to} ${value as string}`)) return []
    const rung = owners.find((owner) => owner.of === 'rung')?.value as Rung | undefined
    return [
      {
        where: path,
        message: rung
          ? `The rung “${rung.name}” speaks of a ${to} “${value as string}” that is not on this card.`
          : `There is no ${to} “${value as string}” on this card.`,
      },
    ]
  })
}

/** The rules about the card as a whole. */
export const cardRules: readonly Rule[] = [
  {
    id: 'card/one-id-one-part',
    looksAt: 'Ids of steps, cues and rungs.',
    why: 'Rungs, mistakes and cautions point at parts by id; two parts with one id mix them up.',
    source: 'format',
    severity: 'stop',
    check: doubles,
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
    id: 'card/language-is-known',
    looksAt: 'Whether Notula knows the language that the card is written in.',
    why: 'Without its words the second side cannot be written, and no breath, count or side word is checked.',
    source: 'format',
    severity: 'mend',
    check: ({ language, sides }) =>
      packOf(language)
        ? []
        : [
            {
              where: 'language',
              message: `Notula knows no words of “${language}” yet: ${sides === 'sided' ? 'only the side that the text is kept for can be read, and ' : ''}side words, breath and time to say it are not checked.`,
            },
          ],
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
