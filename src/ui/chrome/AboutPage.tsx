import classes from './AboutPage.module.css'
import { Header } from './Header'

/** What Notula is for, and what it is not. */
export function AboutPage() {
  return (
    <>
      <Header here="about" />
      <main id="main" tabIndex={-1} className={classes.main}>
        <h1>About Notula</h1>
        <p>
          A card holds one pose. You write one side; the other side writes itself. A side word that
          must stay the same goes in braces, as in “roll to your {'{right}'} side”, and gets a
          dotted line.
        </p>
        <p>
          Between the halves runs the breath: widening for in, narrowing for out, a bar for a hold,
          a wave for a free breath. The taller the shape, the longer the breath.
        </p>
        <p>
          The notches on a card’s edge are its sections. A filled notch is written, an open one is
          not.
        </p>
        <h2>What it does not do</h2>
        <p>
          It gives usual cautions, never a diagnosis or a cure. What the student’s own clinician
          says comes first, and so do local rules.
        </p>
      </main>
    </>
  )
}
