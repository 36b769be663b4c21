import { spawn } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { dotDir, root, SetUpError, step, withoutPasswords } from './base.mjs'

/** Commands of one folder, one at a time; what a killed one left is taken over by the next. */

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** When a process began, so that another one with its number is not taken for it; null when it is gone. */
export function begun(pid) {
  try {
    process.kill(pid, 0)
    // Field 22, after the name in brackets; a dead one that nobody has missed yet is gone, too.
    const stat = fs.readFileSync(`/proc/${pid}/stat`, 'utf8')
    const [state, ...fields] = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
    return state === 'Z' ? null : fields[18]
  } catch (error) {
    return error.code === 'EPERM' ? 'unknown' : null
  }
}

const named = (pid) => `${pid} ${begun(pid)}`

/** What stands in a file that may be taken away at any moment; '' when it is gone. */
function textOf(file) {
  try {
    return fs.readFileSync(file, 'utf8')
  } catch (error) {
    if (error.code !== 'ENOENT') throw error
    return ''
  }
}

/** The process that a text names, as long as it lives; null when it is gone. */
function living(text) {
  const [pid, since] = text.split(' ')
  return since && begun(Number(pid)) === since ? Number(pid) : null
}

/** Takes a lock away that says what it said before; one that another took over meanwhile stays. */
function takeAway(lock, text) {
  const mine = `${lock}.${process.pid}`
  try {
    fs.renameSync(lock, mine)
    if (textOf(mine) !== text) fs.linkSync(mine, lock)
  } catch (error) {
    if (error.code !== 'ENOENT' && error.code !== 'EEXIST') throw error
  }
  fs.rmSync(mine, { force: true })
}

/**
 * Does something while no other command of this folder does it.
 * @param doing what it is, for those that wait
 * @throws SetUpError when another one has been at it for longer than `patience`, in ms
 */
export async function alone(name, doing, work, patience = 120_000) {
  fs.mkdirSync(dotDir, { recursive: true })
  const lock = path.join(dotDir, `${name}.lock`)
  for (const until = Date.now() + patience; ;) {
    try {
      fs.writeFileSync(lock, named(process.pid), { flag: 'wx' })
      break
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
      const text = textOf(lock)
      // Of one that was killed, or that has not written its number yet.
      const age = Date.now() - (fs.statSync(lock, { throwIfNoEntry: false })?.mtimeMs ?? Date.now())
      if (text.includes(' ') ? living(text) === null : age > 2000) takeAway(lock, text)
      else if (Date.now() > until)
        throw new SetUpError(
          `Another command (process ${text.split(' ')[0]}) has been ${doing} for ${patience / 60_000} minutes. End it, or delete ${lock}.`
        )
      else await pause(50)
    }
  }
  try {
    return await work()
  } finally {
    fs.rmSync(lock, { force: true })
  }
}

/** Ends the program that a killed command began and left to itself. */
async function endLeft(file) {
  const pid = living(textOf(file))
  if (pid === null) return
  process.kill(pid, 'SIGKILL')
  while (living(textOf(file)) !== null) await pause(20)
}

const MAKING = 600_000

/**
 * Has a program make what all commands of the folder use. One command does it and the others
 * wait; a program that was left by a command that was killed is ended first.
 * @param stamp a file that says what was made
 * @param wanted what it should say
 * @param program its name and its words
 * @throws SetUpError with what the program said when it fails
 */
export async function makeOnce(name, { title, stamp, wanted, program, env = process.env }) {
  const made = () => textOf(stamp) === wanted
  if (made()) return
  const [command, ...words] = program
  await alone(
    name,
    `busy with “${title}”`,
    async () => {
      if (made()) return
      const file = path.join(dotDir, `${name}.program`)
      await endLeft(file)
      // What is made half-way must not be taken for a whole.
      fs.rmSync(stamp, { force: true })
      await step(title, async () => {
        const child = spawn(command, words, { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] })
        if (child.pid) fs.writeFileSync(file, named(child.pid))
        let said = ''
        for (const stream of [child.stdout, child.stderr])
          stream.on('data', (part) => (said += part))
        const code = await new Promise((resolve, reject) => {
          child.once('error', reject)
          child.once('close', resolve)
        })
        fs.rmSync(file, { force: true })
        if (code !== 0)
          throw new SetUpError(withoutPasswords(`${command} ${words.join(' ')}\n${said}`.trim()))
        fs.writeFileSync(stamp, wanted)
      })
    },
    MAKING
  )
}
