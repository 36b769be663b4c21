import type { Vec } from './vec'

/** What a BVH file says that cannot be used. */
export class BvhError extends Error {
  constructor(
    readonly line: number,
    message: string
  ) {
    super(message)
    this.name = 'BvhError'
  }
}

export interface BvhJoint {
  name: string
  parent: number
  offset: Vec
  channels: string[]
  line: number
}

export interface Bvh {
  joints: BvhJoint[]
  frames: number[][]
}

const MOST_JOINTS = 400
const CHANNEL = /^[XYZ](?:position|rotation)$/i

/** Reads the text of a BVH file. */
export function parseBvh(text: string): Bvh {
  const lines = text.split(/\r\n?|\n/)
  let at = 0
  const fail = (message: string): never => {
    throw new BvhError(Math.min(at + 1, lines.length), message)
  }
  const words = () => lines[at]!.trim().split(/\s+/)
  const skip = () => {
    while (at < lines.length && lines[at]!.trim() === '') at += 1
  }
  const next = (): string[] => {
    skip()
    if (at >= lines.length) fail('the file ends too early')
    const found = words()
    at += 1
    return found
  }
  const numbers = (list: string[], what: string): number[] =>
    list.map((word) => {
      const value = Number(word)
      if (!Number.isFinite(value) || word === '') {
        at -= 1
        fail(`“${word}” in ${what} should be a number`)
      }
      return value
    })
  skip()
  if (at >= lines.length || words()[0]!.toUpperCase() !== 'HIERARCHY')
    fail('a BVH file begins with the word HIERARCHY')
  at += 1
  const joints: BvhJoint[] = []
  const stack: number[] = []
  let ended = false
  while (!ended) {
    const [word = '', ...rest] = next()
    switch (word.toUpperCase()) {
      case 'ROOT':
      case 'JOINT': {
        if (joints.length >= MOST_JOINTS) fail(`more than ${MOST_JOINTS} joints`)
        if (word.toUpperCase() === 'ROOT' && joints.length > 0)
          fail('a second ROOT: only one body can be read')
        if (word.toUpperCase() === 'JOINT' && stack.length === 0)
          fail('a JOINT stands outside the ROOT')
        joints.push({
          name: rest.join(' ') || `joint ${joints.length + 1}`,
          parent: stack.at(-1) ?? -1,
          offset: [0, 0, 0],
          channels: [],
          line: at,
        })
        if (next()[0] !== '{') {
          at -= 1
          fail('“{” is missing after the name of a joint')
        }
        stack.push(joints.length - 1)
        break
      }
      case 'OFFSET': {
        const joint = joints[stack.at(-1) ?? -1] ?? fail('OFFSET stands outside a joint')
        const [x, y, z] = numbers(rest.slice(0, 3), 'OFFSET')
        if (z === undefined) {
          at -= 1
          fail('OFFSET needs three numbers')
        }
        joint.offset = [x!, y!, z!]
        break
      }
      case 'CHANNELS': {
        const joint = joints[stack.at(-1) ?? -1] ?? fail('CHANNELS stands outside a joint')
        const [count, ...names] = rest
        if (Number(count) !== names.length || !names.every((name) => CHANNEL.test(name))) {
          at -= 1
          fail('CHANNELS should be a count and as many names such as Zrotation')
        }
        joint.channels = names
        break
      }
      case 'END': {
        // What an end site holds is not needed.
        while (next()[0] !== '}');
        break
      }
      case '}':
        if (stack.length === 0) fail('one “}” too many')
        stack.pop()
        break
      case 'MOTION':
        if (stack.length > 0) fail('“}” is missing before MOTION')
        ended = true
        break
      default:
        at -= 1
        fail(`“${word}” is not known here`)
    }
  }
  if (joints.length === 0) fail('there is no ROOT')
  const head = next()
  const count = Number(head[1])
  if (!/^frames:$/i.test(head[0]!) || !Number.isInteger(count) || count < 1) {
    at -= 1
    fail('“Frames:” and a whole number above 0 should stand here')
  }
  if (!/^frame$/i.test(next()[0]!)) {
    at -= 1
    fail('“Frame Time:” should stand here')
  }
  const width = joints.reduce((sum, joint) => sum + joint.channels.length, 0)
  const frames: number[][] = []
  while (frames.length < count) {
    skip()
    if (at >= lines.length) fail(`${count} frames are promised, ${frames.length} are there`)
    const frame = numbers(next(), 'a frame')
    if (frame.length !== width) {
      at -= 1
      fail(`a frame has ${frame.length} numbers, the joints have ${width} channels`)
    }
    frames.push(frame)
  }
  return { joints, frames }
}
