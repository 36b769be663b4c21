import type { Side } from '@/core/card'

/** The letter of a side with a notch that points to it; told without colour. */
export function SideNotch({ side }: { side: Side }) {
  const left = side === 'left'
  return (
    <svg width={22} height={12} viewBox="0 0 22 12" aria-hidden style={{ verticalAlign: '-1px' }}>
      <path d={left ? 'M6 1 L0 6 L6 11 Z' : 'M16 1 L22 6 L16 11 Z'} fill="currentColor" />
      <text x={left ? 9 : 3} y={10.5} fontSize={12} fontWeight={700} fill="currentColor">
        {left ? 'L' : 'R'}
      </text>
    </svg>
  )
}
