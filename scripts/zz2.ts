import { readFileSync } from 'node:fs'
import { readCard } from '@/core/formats'
import { askedOf } from '@/core/cautions'
for (const id of process.argv.slice(2)) {
  const c = readCard(readFileSync(`demo/${id}.md`, 'utf8'))
  for (const t of askedOf(c)) console.log(id, t.id, Object.entries(t.traits).filter(([, v]) => v > 0.5).map(([k, v]) => `${k} ${Math.round(v)}`).join(', '))
}
