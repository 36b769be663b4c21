/** English: what is said of a verdict beside the traits that it follows from. */
export const englishCautions = {
  notDrawn: 'the form is not drawn, and no words tell it: what cannot be seen is not fine',
  noRule: (condition: string) => `no rule is about ${condition}`,
  askAnyway: (condition: string) =>
    `with ${condition} the clinician is asked first, whatever the form`,
  unknown: (name: string, near: string[]) =>
    `“${name}” is no condition that is known${near.length ? `; the nearest are ${near.join(', ')}` : ''}`,
  none: 'name at least one condition',
  open: (name: string) => `highest rung open: ${name}`,
  closed: 'no rung is open',
  defer: 'Usual cautions, no diagnosis: the person’s own clinician and local rules come first.',
}
