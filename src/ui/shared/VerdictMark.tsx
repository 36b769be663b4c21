import { memo } from 'react'
import type { Verdict } from '@/core/card'

/** Avoid: filled square. Ask first: open ring. Change: half-filled. Fine: small dot. Always beside the word. */
export const VerdictMark = memo(function VerdictMark({ verdict }: { verdict: Verdict }) {
  return (
    <svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
      {verdict === 'avoid' && <rect x={1} y={1} width={10} height={10} fill="var(--ink)" />}
      {verdict === 'ask-first' && (
        <circle cx={6} cy={6} r={4.6} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      )}
      {verdict === 'change' && (
        <>
          <circle cx={6} cy={6} r={4.8} fill="none" stroke="var(--ink)" strokeWidth={1.2} />
          <path d="M6 1.2 A4.8 4.8 0 0 0 6 10.8 Z" fill="var(--ink)" />
        </>
      )}
      {verdict === 'fine' && <circle cx={6} cy={6} r={2} fill="var(--ink)" />}
    </svg>
  )
})
