import type { Rule } from '../card'

const cell = (text: string) => text.replaceAll('|', '\\|')

/** The page about the rules (docs/rules.md), written from the register. */
export function rulesPage(rules: readonly Rule[]): string {
  const rows = rules.map(
    ({ id, looksAt, why, source, reference, severity }) =>
      `| \`${id}\` | ${cell(looksAt)} | ${cell(why)} | ${source}${reference ? `: ${cell(reference)}` : ''} | ${severity} |`
  )
  return [
    '# The rules',
    '',
    'Everything that Notula checks on a card. This page is written from the register of rules by `npm run docs`; a school may give any rule another severity.',
    '',
    '| rule | looks at | why | source | severity |',
    '|---|---|---|---|---|',
    ...rows,
    '',
  ].join('\n')
}
