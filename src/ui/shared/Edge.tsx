import { SECTIONS } from '@/core/card'

/**
 * The notched edge of a card: one notch for each section, filled when it is complete.
 * @param sections bit i is set when section i is complete
 */
export function Edge({ sections, height = 88 }: { sections: number; height?: number }) {
  const gap = 2
  const notch = (height - gap * (SECTIONS.length - 1)) / SECTIONS.length
  const done = SECTIONS.filter((_, i) => sections & (1 << i)).length
  const open = SECTIONS.filter((_, i) => !(sections & (1 << i))).map((section) => section.title)
  const label = open.length
    ? `${done} of ${SECTIONS.length} sections written; open: ${open.join(', ')}`
    : 'All sections written'
  return (
    <svg width={10} height={height} viewBox={`0 0 10 ${height}`} role="img" aria-label={label}>
      <title>{label}</title>
      {SECTIONS.map((section, i) => (
        <rect
          key={section.id}
          x={0.75}
          y={i * (notch + gap) + 0.75}
          width={8.5}
          height={Math.max(notch - 1.5, 1)}
          fill={sections & (1 << i) ? 'var(--ink)' : 'none'}
          stroke="var(--ink)"
          strokeWidth={1}
        />
      ))}
    </svg>
  )
}
