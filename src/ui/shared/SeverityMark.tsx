import type { Severity } from '@/core/card'

/** Stop: a filled octagon. Mend: half a disc. Note: a small ring. Always beside the word. */
export function SeverityMark({ severity }: { severity: Severity }) {
  return (
    <svg width={11} height={11} viewBox="0 0 12 12" aria-hidden>
      {severity === 'stop' && (
        <path d="M3.5 0 H8.5 L12 3.5 V8.5 L8.5 12 H3.5 L0 8.5 V3.5 Z" fill="var(--alert)" />
      )}
      {severity === 'mend' && <path d="M6 0 A6 6 0 0 0 6 12 Z" fill="var(--ink)" />}
      {severity === 'note' && (
        <circle cx={6} cy={6} r={3.5} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      )}
    </svg>
  )
}
