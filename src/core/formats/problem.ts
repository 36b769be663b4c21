import { FORMAT_VERSION, FORMAT_VERSIONS } from '../card'
import { SAY_FILES } from '../language'

/** One thing that is wrong in a card file. */
export interface Problem {
  /** Line in the file, from 1. */
  line: number
  message: string
}

/** A file that is no card, with everything that is wrong in it. */
export class CardFileError extends Error {
  readonly problems: Problem[]

  constructor(problems: Problem[]) {
    super(problems.map(({ line, message }) => `line ${line}: ${message}`).join('\n'))
    this.name = 'CardFileError'
    this.problems = problems
  }
}

/** `file:line: message` for each problem, as editors read it. */
export function describeProblems(file: string, error: CardFileError): string {
  return error.problems.map(({ line, message }) => `${file}:${line}: ${message}`).join('\n')
}

/** @returns what is wrong with the version a file gives, or null */
export function versionProblem(version: unknown): string | null {
  if (FORMAT_VERSIONS.some((each) => each === version)) return null
  if (version === undefined) return SAY_FILES.noVersion(FORMAT_VERSION)
  return SAY_FILES.otherVersion((JSON.stringify(version) ?? '').slice(0, 40), FORMAT_VERSIONS)
}
