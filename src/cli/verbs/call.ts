import { DEFAULT_SCHOOL } from '@/core/card'
import { LABELS } from '@/core/language'
import { callScript, callVtt, clock } from '@/core/play'
import { GOOD, oneOf } from '../badCall'
import { cardFrom, write } from '../files'
import { onRung } from '../onRung'

/** Writes what is said for a card, line by line in its time. */
export async function call(
  file: string,
  options: { side: string; rung?: string; to: string; out?: string }
): Promise<number> {
  const side = oneOf('the side', options.side, ['left', 'right', 'both'])
  const to = oneOf('the format', options.to, ['text', 'vtt', 'json'])
  const card = await onRung(file, cardFrom(file), options.rung)
  const lines = callScript(card, DEFAULT_SCHOOL, side)
  const plain = () =>
    lines
      .map(({ at, breath, times, text }) => {
        const phase = breath === 'breaths' ? '' : LABELS.breath[breath]
        return `${clock(at).padStart(6)}  ${`${phase}${times > 1 && phase ? ` ×${times}` : ''}`.padEnd(9)} ${text}\n`
      })
      .join('')
  write(
    to === 'vtt' ? callVtt(lines) : to === 'json' ? `${JSON.stringify(lines, null, 2)}\n` : plain(),
    options.out
  )
  return GOOD
}
