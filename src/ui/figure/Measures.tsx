'use client'

import { LABELS } from '@/core/language'
import { MARKED, measureWords } from '@/core/figure'
import type { FigureAnswer } from '@/workers/figure'
import classes from './FigureBench.module.css'

const canShow = (name: string) => MARKED.includes(name.replace(/^(?:left|right) /, ''))

/** What is measured on the figure as it stands; one measure can be shown on the drawing. */
export function Measures({
  answer,
  show,
  onShow,
}: {
  answer: FigureAnswer
  show: string | null
  onShow: (name: string | null) => void
}) {
  return (
    <section>
      <h2>Measures</h2>
      {answer.limits.length > 0 && (
        <p className={classes.limits}>
          At the end of their range (diamonds):{' '}
          {answer.limits
            .map(
              (each) => `${LABELS.worded(each.joint)} ${LABELS.worded(each.angle)} ${each.value}°`
            )
            .join(', ')}
          .
        </p>
      )}
      <div className={classes.scroll} tabIndex={0} role="region" aria-label="Measures">
        <table>
          <tbody>
            {answer.carried?.loads.map(({ part, share }) => (
              <tr key={part}>
                <th scope="row">load on the {part}</th>
                <td>{Math.round(share * 100)} %</td>
              </tr>
            ))}
            {Object.entries(answer.measures).map(([name, { value, unit }]) => (
              <tr key={name}>
                <th scope="row">
                  {canShow(name) ? (
                    <button
                      aria-pressed={show === name}
                      title="Show it on the figure"
                      onClick={() => onShow(show === name ? null : name)}
                    >
                      {name}
                    </button>
                  ) : (
                    name
                  )}
                </th>
                <td>{measureWords(value, unit)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <details className={classes.moments}>
        <summary>What the joints hold, standing still</summary>
        <table>
          <tbody>
            {answer.carried?.moments.map(({ joint, moment }) => (
              <tr key={joint}>
                <th scope="row">{LABELS.worded(joint)}</th>
                <td>{(moment * 100).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className={classes.limits}>Moments, in hundredths of body weight times stature.</p>
      </details>
    </section>
  )
}
