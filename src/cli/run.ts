import { Command, CommanderError } from 'commander'
import { BAD_CALL, BadCall, GOOD } from './badCall'

/**
 * The `notula` command: the same core, without a screen and without a database. A verb loads
 * only what it works with, so that the command answers at once.
 */

async function verbOf(argv: readonly string[]): Promise<number> {
  let code = GOOD
  const program = new Command('notula')
    .description('Pose cards on the command line: a card is a Markdown or a JSON file.')
    .exitOverride()
    .showHelpAfterError()
  program
    .command('mirror')
    .description('write each line from the standard input for the other side')
    .option('--language <code>', 'of the lines', 'en')
    .option('--spelling <word>', 'counterclockwise or anticlockwise', 'counterclockwise')
    .action(async (options) => {
      code = (await import('./verbs/mirror')).mirror(options)
    })
  program
    .command('check')
    .description('tell what is to be mended on cards')
    .argument('<files...>')
    .option('--json', 'as JSON')
    .option('--review', 'tell what is not written yet, too')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .action(async (files, options) => {
      code = await (await import('./verbs/check')).check(files, options)
    })
  program
    .command('convert')
    .description('write a card in another format')
    .argument('<file>')
    .requiredOption('--to <format>', 'md or json')
    .option('--rung <id>', 'the form as a card of its own; else the whole card')
    .option('--out <file>', 'where to; else the standard output')
    .action(async (file, options) => {
      code = await (await import('./verbs/convert')).convert(file, options)
    })
  program
    .command('time')
    .description(
      'tell how long a card takes, in seconds: each side, between them, in all; and in breaths'
    )
    .argument('<file>')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .option('--json', 'as JSON, which it always is')
    .action(async (file, options) => {
      code = (await import('./verbs/time')).time(file, options)
    })
  program
    .command('call')
    .description('write what is said for a card, line by line in its time')
    .argument('<file>')
    .option('--side <side>', 'left, right, or both in their order', 'both')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .option('--to <format>', 'text, vtt or json', 'text')
    .option('--out <file>', 'where to; else the standard output')
    .action(async (file, options) => {
      code = await (await import('./verbs/call')).call(file, options)
    })
  program
    .command('figure')
    .description('draw the form of a card, or tell its joints, measures and loads')
    .argument('<file>')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .option('--side <side>', 'left or right; else the side that the card is written for')
    .option('--to <format>', 'svg, json, or bvh with every drawn form as a frame', 'svg')
    .option('--stature <cm>', 'of the person, 100 to 230', '170')
    .option('--of <form>', 'a form of the card: start, "step s3", "rung forearm"')
    .option('--from <source>', 'kept, as the card keeps it, or words, as its words move it', 'kept')
    .option('--manner <manner>', 'tones or lines, for an SVG', 'tones')
    .option('--body <body>', 'usual, slight, long, broad, heavy or older', 'usual')
    .option('--out <file>', 'where to; else the standard output')
    .action(async (file, options) => {
      code = (await import('./verbs/figure')).figure(file, options)
    })
  program
    .command('ladder')
    .description('tell what each rung asks of the body, their order, and for whom they are open')
    .argument('<file>')
    .option('--json', 'as JSON')
    .option('--why', 'what each number was worked out from')
    .option('--body <file>', 'what a person can do, as JSON: {"straightLegRaise": 60, …}')
    .action(async (file, options) => {
      code = (await import('./verbs/ladder')).ladder(file, options)
    })
  program
    .command('verdicts')
    .description('tell, rung by rung, what a form means for people with some conditions')
    .argument('<file>')
    .requiredOption('--has <conditions>', 'names with commas between, as "glaucoma, vertigo"')
    .option('--school <file>', 'the rules of a school as JSON, with its policy')
    .option('--json', 'as JSON')
    .action(async (file, options) => {
      code = (await import('./verbs/verdicts')).verdicts(file, options)
    })
  program
    .command('conditions')
    .description('list the conditions that are known, with their other names')
    .option('--json', 'as JSON')
    .action(async (options) => {
      code = (await import('./verbs/verdicts')).listConditions(options)
    })
  program
    .command('read')
    .description('tell what lines ask the body to do: of the standard input, or of a card')
    .argument('[file]')
    .option('--json', 'as JSON')
    .option('--place', 'read set-up lines: base, contacts and props')
    .option('--language <code>', 'of the lines', 'en')
    .action(async (file, options) => {
      code = (await import('./verbs/read')).read(file, options)
    })
  program
    .command('pose')
    .description('read one frame of a BVH file as the figure of a card')
    .argument('<file>')
    .option('--frame <number>', 'from 1', '1')
    .action(async (file, options) => {
      code = (await import('./verbs/pose')).pose(file, options)
    })
  program
    .command('print')
    .description('print cards to a PDF')
    .argument('<files...>')
    .option('--stock <paper>', 'A4, A5 or A6', 'A5')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .requiredOption('--out <file>', 'the PDF to write')
    .action(async (files, options) => {
      code = await (await import('./verbs/print')).print(files, options)
    })
  await program.parseAsync(argv, { from: 'user' })
  return code
}

/**
 * Runs the command with its words.
 * @returns 0 good, 1 findings of severity stop, 2 a bad call or an unreadable file, told on stderr
 */
export async function run(words: readonly string[]): Promise<number> {
  try {
    return await verbOf(words)
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? GOOD : BAD_CALL
    const message = error instanceof Error ? error.message : String(error)
    process.stderr.write(error instanceof BadCall ? `${message}\n` : `notula: ${message}\n`)
    return BAD_CALL
  }
}
