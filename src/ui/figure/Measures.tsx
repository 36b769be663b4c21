import type { FigureAnswer } from '@/workers/figure'
import classes from './FigureBench.module.css'

const shown = (value: number, unit: string) => `${Math.round(value * 10) / 10} ${unit}`
const worded = (name: string) => name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

/** What is measured on the figure as it stands. */
export function Measures({ answer }: { answer: FigureAnswer }) {
  return (
    <section>
      <h2>Measures</h2>
      {answer.limits.length > 0 && (
        <p className={classes.limits}>
          At the end of their range:{' '}
          {answer.limits
            .map((each) => `${worded(each.joint)} ${each.angle} ${each.value}°`)
            .join(', ')}
          .
        </p>
      )}
      <div className={classes.scroll} tabIndex={0} role="region" aria-label="Measures">
        <table>
          <tbody>
            {answer.loads.map(({ part, share }) => (
              <tr key={part}>
                <th scope="row">load on the {part}</th>
                <td>{Math.round(share * 100)} %</td>
              </tr>
            ))}
            {Object.entries(answer.measures).map(([name, { value, unit }]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{shown(value, unit)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
