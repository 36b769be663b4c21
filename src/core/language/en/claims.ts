/**
 * English: claims that a card must not make, each with a calmer wording. What is offered keeps
 * what the trainer says of the pose, and takes away only how sure it is.
 * Common practice, no source.
 */

interface Calmer {
  found: RegExp
  /** In its place: words, or what they are made of the match. */
  put: string | ((match: RegExpExecArray) => string)
}

const NOT_BEFORE = String.raw`(?<!\b(?:not|never|no|n['’]t|may|might|can|could|said to|thought to|believed to|claimed to|cannot)\s+)`
const word = (source: string, put: Calmer['put']): Calmer => ({
  found: new RegExp(`${NOT_BEFORE}\\b(?:${source})\\b`, 'i'),
  put,
})

const CLEANS =
  '(?:flush|purg|cleans|purif|detoxifi|remov|eliminat|clear|wring|wash|draw)(?:es|s|e|y|ies)?'
/** What clinicians treat; a pose that is said to act on it is told as said. */
const COMPLAINTS =
  '(?:(?:high |low )?blood pressure|hypertension|(?:back|neck|joint|period|chronic) pain|sciatica|asthma|anxiety|depression|insomnia|migraines?|headaches?|diabetes|arthritis|constipation|indigestion|infertility|heart disease|osteoporosis|cancer|varicose veins|menstrual (?:pain|cramps)|menopaus\\w+|adhd|fatigue|belly fat|weight loss)'
const ORGANS =
  '(?:(?:internal |abdominal |digestive |vital |reproductive )?organs|thyroid(?: gland)?|glands?|hormones?|liver|kidneys|pancreas|spleen|adrenals?|metabolism|immune system|immunity|nervous system|endocrine system|lymph(?:atic system)?|chakras?|ovaries|prostate|pituitary(?: gland)?)'
const SOFTER: Readonly<Record<string, string>> = { end: 'ease', stop: 'ease' }
/** `relieves`, `back pain` as what is said: “is said to relieve back pain”. */
const said = ([, verb, what]: RegExpExecArray) => {
  const base = verb!.toLowerCase().replace(/s$/, '')
  return `is said to ${SOFTER[base] ?? base} ${what!}`
}

const CURES: readonly Calmer[] = [
  word(
    'help(s?) (?:to )?(?:cure|heal|reverse|treat)(?= \\w)',
    (match) => `${match[1] ? 'is' : 'be'} said to help with`
  ),
  word(
    '(?:an?|the) (?:(?:sure|certain|natural|proven|true) )?(?:cure|remedy|treatment|medicine) (?:for|of|against)',
    'said to help with'
  ),
  word(
    `(?:will )?${CLEANS}(?: out| away)? (?:the |all |your )?(?:toxins|poisons|impurities|waste)(?: out of| from)`,
    'is said to be good for'
  ),
  word(
    `(?:will )?${CLEANS}(?: out| away)? (?:the |all |your )?(?:toxins|poisons|impurities)`,
    'is said to feel cleansing'
  ),
  word(
    '(?:will|does|is sure to|is going to)(?: (?:always|surely|certainly|soon|also|quickly|completely))? (?:cure|heal|fix|treat|reverse)',
    'is said to help with'
  ),
  word(
    '(?:cures|heals|fixes|treats|reverses|gets rid of|rids (?:the body|you) of|banishes)(?= \\w)',
    'is said to help with'
  ),
  word(
    '(?:is|are) (?:a|the) (?:(?:sure|certain|natural|proven|true) )?(?:cure|remedy|treatment|medicine) (?:for|of|against)',
    'is said to help with'
  ),
  word('(?:can|may|might|could) (?:cure|heal|fix|reverse)', 'is said by some to help with'),
  word('to (?:cure|heal|reverse)', 'that is said to help with'),
  word(
    '(?:flushes|purges|cleanses|purifies|detoxifies|detoxes|wrings out|washes out)',
    'is said to be good for'
  ),
  word(
    '(?:will )?(?:flush|purge|cleanse|purify|detoxify|detox) (?=the|your|toxins)',
    'is said to be good for '
  ),
  word('(?:curing|healing) (?=[a-z])', 'said to help with '),
]

const PROMISES: readonly Calmer[] = [
  word(
    `(relieves|lowers|reduces|improves|alleviates|ends|stops|eases|controls|regulates|manages|combats) ((?:your |the |chronic |severe )?${COMPLAINTS})(?: for good| forever)?`,
    said
  ),
  word(
    `(stimulates|massages|tones|activates|squeezes|balances|regulates|strengthens|nourishes|rejuvenates|energi[sz]es) ((?:your |the |all |all the )?${ORGANS})`,
    said
  ),
  word('(?:scientifically|clinically|medically) proven to', 'said to'),
  word('guaranteed', 'hoped-for'),
  word('(?:is|are) guaranteed to', 'may'),
  word('guarantees', 'may bring'),
  word('will (?:always |certainly |surely |definitely )', 'may '),
  word('(?:always|invariably|certainly|surely|definitely|undoubtedly)', 'often'),
  word('prevents', 'is said to protect against'),
  word('(?:eliminates|removes|dissolves|melts away|burns away)', 'is said to ease'),
  word('you will (?!feel\\b|need\\b|find\\b|notice\\b)', 'you may '),
  word(
    'will (?=(?:lower|raise|improve|increase|reduce|strengthen|boost|calm|relax|relieve|ease|stop|end|make|give|keep|balance|regulate|stimulate|prevent|slow|lengthen|tone|burn|clear|open)\\b)',
    'may '
  ),
  word('(?:boosts|supercharges|maximi[sz]es|skyrockets)', 'is said to help'),
  word('(?:is|are) (?:scientifically |clinically |medically )?proven to', 'is said to'),
  word('(?:works|helps) for everyone', 'suits many'),
  word('never fails to', 'often seems to'),
]

/** `by 30 %`, `up to 40 percent`, `three times more`: with the words that lead to it. */
const NUMBERS: readonly Calmer[] = [
  { found: /\s*\bby (?:(?:a|one) )?(?:half|third|quarter)\b/i, put: '' },
  { found: /\b(?:doubles|triples|halves)\b/i, put: 'changes' },
  {
    found:
      /\s*(?:\b(?:by|up to|as much as|about|around|nearly|over|more than|at least|some)\s+)*\d+(?:[.,]\d+)?\s?(?:%|percent\b|per cent\b)(?:\s+(?:more|less|better|faster|of)\b)?/i,
    put: '',
  },
  {
    found:
      /\s*\b(?:by\s+)?(?:(?:two|three|four|five|six|seven|eight|nine|ten|twenty|fifty|a hundred|\d+)(?:\s+times|[- ]?fold)|double|triple|half)\s+(?:more|less|better|faster|as\s+(?:much|many)(?:\s+as)?)\b/i,
    put: ' more',
  },
  {
    found:
      /\s*\b(?:in|after|within)\s+(?:only\s+|just\s+)?(?:\d+|one|two|three|four|five|six|seven|ten)\s+(?:days?|weeks?|minutes?)\b/i,
    put: '',
  },
]

const SENTENCE = /^./

/** Any of these, whatever stands before it: nearly every line is known by it to say none. */
const anyOf = (list: readonly Calmer[]) =>
  new RegExp(list.map(({ found }) => found.source.replace(NOT_BEFORE, '')).join('|'), 'i')

/** The first of these that a line says; with the line said calmly. */
function calm(
  line: string,
  list: readonly Calmer[],
  any: RegExp
): { words: string; calmer: string } | null {
  if (!any.test(line)) return null
  let calmer = line
  let words = ''
  // A second claim in the line is calmed as well.
  for (let round = 0; round < 4; round += 1) {
    const hit = list
      .flatMap((each) => {
        const match = each.found.exec(calmer)
        return match
          ? [{ match, put: typeof each.put === 'string' ? each.put : each.put(match) }]
          : []
      })
      .sort((a, b) => a.match.index - b.match.index)[0]
    if (!hit) break
    words ||= hit.match[0].trim()
    const { match, put } = hit
    calmer = `${calmer.slice(0, match.index)}${put}${calmer.slice(match.index + match[0].length)}`
  }
  if (!words) return null
  const tidy = calmer
    .replace(/ {2,}/g, ' ')
    .replace(/ ([.,;])/g, '$1')
    .trim()
    .replace(SENTENCE, (letter) => (/^\p{Lu}/u.test(line) ? letter.toUpperCase() : letter))
  return { words, calmer: tidy }
}

const calmed = (list: readonly Calmer[]) => {
  const any = anyOf(list)
  return (line: string) => calm(line, list, any)
}

export const englishClaims = {
  cure: calmed(CURES),
  promise: calmed(PROMISES),
  number: calmed(NUMBERS),
  cureTold: (words: string) =>
    `“${words}” promises a cure. A card promises none; it may tell what is said of the pose.`,
  promiseTold: (words: string) => `“${words}” promises what nobody can promise.`,
  numberTold: (words: string) =>
    `“${words}” is a number with no published source. Name the source, or say it without the number.`,
  sayIt: (calmer: string) => `Say “${calmer}”`,
}
