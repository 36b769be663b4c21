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
