import { TRAIT_NAMES, TRAITS } from '../card'
import { LABELS } from '../language'
import { conditions } from './conditions'
import { ASK_ANYWAY, DEFAULT_POLICY } from './policy'
import { STRICTNESS } from './verdicts'

/** The usual policy, as a page for trainers: made from the rules that are used. */
export function cautionsPage(): string {
  const rank = (verdict: (typeof STRICTNESS)[number]) => STRICTNESS.indexOf(verdict)
  const groups = [...new Set(conditions.map(({ group }) => group))]
  const names = groups
    .map(
      (group) =>
        `### ${group.replace(/^./, (letter) => letter.toUpperCase())}\n\n${conditions
          .filter((each) => each.group === group)
          .map(({ name, synonyms }) => `- **${name}**: ${synonyms.join(', ')}`)
          .join('\n')}`
    )
    .join('\n\n')
  const rules = conditions
    .map(({ id, name }) => {
      const mine = DEFAULT_POLICY.filter(({ condition }) => condition === id).toSorted(
        (a, b) => rank(a.verdict) - rank(b.verdict)
      )
      return mine
        .map(
          ({ trait, least, verdict, change, basis }) =>
            `| ${name} | ${trait} from ${least < 1 ? 'any' : least} ${TRAITS[trait]} | ${LABELS.verdict[verdict]} | ${change} | ${basis} |`
        )
        .join('\n')
    })
    .join('\n')
  return `# Cautions

What a form means for people with some conditions, worked out from what the body does in it. This page is made from the rules that Notula uses (\`npm run docs\`).

**Usual cautions, no diagnosis and no cure.** The person’s own clinician comes first, and so do local rules. What cannot be seen is never told as fine: a form that is neither drawn nor told by words that are understood, and a condition that no rule is about, are *ask first* at the mildest. With ${[...ASK_ANYWAY].map((id) => conditions.find((each) => each.id === id)!.name).join(', ')} the clinician is asked whatever the form.

\`notula verdicts FILE --has "glaucoma, vertigo"\` tells the verdict of each rung, what to change and why, and the highest rung that all of the conditions leave open; \`notula conditions\` lists the names. Of several conditions the strictest verdict stands, and the changes add up.

## Whose word stands

1. **The policy**: what a form asks, by the rules below or by those of the school (*Cautions*, *The policy*). Changing a rule shows every verdict that it changes before it is saved, and reaches every card at once.
2. **The card, where it is stricter**: a caution that is written on a card and has no reason stands when it is stricter than the policy. When it is milder, the policy stands, and that is a finding.
3. **The card, with a reason**: a caution with a reason stands in place of the policy, on the rung that it names or on all. It is shown as the card’s own, with what is usual; and when the rule beneath it changes, it is told as out of date, and the stricter of the two stands until somebody looks at it again.

A caution with no reason speaks of the form described; the rung that it names is where one goes. *Instead* names another card for those whom no rung lets in. Without it, a condition with which every rung is to be avoided is a finding.

Where no figure tells the form, what it asks may be **set by hand**; a verdict is *fine* then only when everything is told that its rules ask for.

## The room

Counts of people by condition, no names. The rung that is offered first is the highest, up to the form described, that lets everyone in who is let in anywhere. What is said to all names changes that anyone may take, and no condition; it invites nobody to a rung that is closed to someone in the room. Two changes that go against each other are told to the teacher, and not said. People are counted condition by condition: of one who has two the stricter holds, and who that is, is for nobody to know.

## What is read off a form

${TRAIT_NAMES.map((trait) => `${trait} (${TRAITS[trait]})`).join(', ')}. They come from the solved figure of the rung ([the ladder](ladder.md)), its steps and its stay. Loads are the least that hold the body; a body that grips carries more.

## The rules

All thresholds are common practice with no single source, set by trying them on forms of the trade.

| condition | when | verdict | change | basis |
|---|---|---|---|---|
${rules}

## The conditions

${names}
`
}
