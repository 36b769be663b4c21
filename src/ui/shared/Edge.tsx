import { type SectionId, SECTIONS } from '@/core/card'

/**
 * The notched edge of a card: one notch for each section, filled when it is complete.
 * @param unwritten sections that are not complete
 */
export function Edge({ unwritten, height = 88 }: { unwritten: SectionId[]; height?: number }) {
  const gap = 2
  const notch = (height - gap * (SECTIONS.length - 1)) / SECTIONS.length
  const open = SECTIONS.filter(({ id }) => unwritten.includes(id)).map((section) => section.title)
  const label = open.length
    ? `${SECTIONS.length - open.length} of ${SECTIONS.length} sections written; open: ${open.join(', ')}`
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
          fill={unwritten.includes(section.id) ? 'none' : 'var(--ink)'}
          stroke="var(--ink)"
          strokeWidth={1}
        />
      ))}
    </svg>
  )
}
