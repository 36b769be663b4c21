import { demoCard, demoCards } from '../../../tests/support/cards'
import { timeOf } from '../breath'
import { DEFAULT_SCHOOL } from '../card'
import { rungCard } from '../ladder'
import { callScript, callVtt, clock } from '.'

test('every step is said in its time, both sides in their order, and nothing overlaps', () => {
  for (const card of demoCards()) {
    const lines = callScript(card, DEFAULT_SCHOOL)
    for (const [i, { at, seconds }] of lines.entries()) {
      const next = lines[i + 1]
      if (next) expect([card.id, next.at >= at + seconds - 1e-6]).toEqual([card.id, true])
    }
    const end = Math.max(...lines.map(({ at, seconds }) => at + seconds))
    expect(end).toBeCloseTo(timeOf(card, DEFAULT_SCHOOL).total, 3)
    if (card.sides === 'sided')
      expect(lines.find(({ side }) => side !== null)!.side).toBe(DEFAULT_SCHOOL.firstSide)
  }
})

test('each side is worded for itself; side braces are not said', () => {
  const card = demoCard('gate')
  const said = (side: 'left' | 'right') =>
    callScript(card, DEFAULT_SCHOOL, side).map(({ text }) => text)
  expect(said('right')).toContain('Step the right leg out to the side, foot flat.')
  expect(said('left')).toContain('Step the left leg out to the side, foot flat.')
  expect([...said('left'), ...said('right')].join()).not.toMatch(/[{}]/)
  // What is watched is said while it is held.
  expect(said('right').length).toBe(
    card.enter.length +
      card.exit.length +
      card.alignment.filter(({ on }) => on === 'both').length +
      1
  )
})

test('a rung has a script of its own', () => {
  const card = demoCard('tree')
  const said = callScript(rungCard(card, 'thigh'), DEFAULT_SCHOOL, 'right').map(({ text }) => text)
  expect(said).toContain('Sweep both arms overhead.')
  expect(said).toContain('Lower both arms.')
  expect(said).not.toContain('Bring the palms together at the heart.')
})

test('times for people and for captions', () => {
  expect([clock(0), clock(64.9), clock(3605)]).toEqual(['0:00', '1:04', '60:05'])
  const vtt = callVtt([
    { at: 0, seconds: 4, breath: 'in', times: 1, text: 'Grow <tall> & --> still.', side: null },
    { at: 3661.5, seconds: 1, breath: 'out', times: 1, text: 'Rest.', side: null },
  ])
  // As the published format has it (W3C WebVTT): header, blank line, times, words without markup.
  expect(vtt).toBe(
    'WEBVTT\n\n00:00:00.000 --> 00:00:04.000\nGrow &lt;tall> &amp; → still.\n\n01:01:01.500 --> 01:01:02.500\nRest.\n'
  )
})
