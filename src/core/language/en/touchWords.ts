/** English: what is read in the lines about touch. Common practice, no source. */
export const englishTouch = {
  /** Whether the hand weighs on the student here: that goes with the out-breath. */
  presses: (line: string) =>
    /\b(?:press|push|lean|weigh|sink|deepen|ease|turn|rotate|lower|settle)\b/i.test(line) &&
    !/\b(?:they|the student|her|him|them) (?:press|push|lean)|\blift|\bfrom (?:under|below)/i.test(
      line
    ),
  onOut: (words: string, breath: string) =>
    `“${words}” presses on ${breath}. The body gives way on the out-breath.`,
  makeOut: 'Make it out',
  noStance: 'No touch says how the teacher stands. Steady your own stance first, and write how.',
}
