import { SAY_BVH } from '../language'
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
    if (at >= lines.length) fail(SAY_BVH.endsEarly)
    const found = words()
    at += 1
    return found
  }
  const numbers = (list: string[], what: string): number[] =>
    list.map((word) => {
      const value = Number(word)
      if (!Number.isFinite(value) || word === '') {
        at -= 1
        fail(SAY_BVH.noNumber(word, what))
      }
      return value
    })
  skip()
  if (at >= lines.length || words()[0]!.toUpperCase() !== 'HIERARCHY') fail(SAY_BVH.begins)
  at += 1
  const joints: BvhJoint[] = []
  const stack: number[] = []
  let ended = false
  while (!ended) {
    const [word = '', ...rest] = next()
    switch (word.toUpperCase()) {
      case 'ROOT':
      case 'JOINT': {
        if (joints.length >= MOST_JOINTS) fail(SAY_BVH.joints(MOST_JOINTS))
        if (word.toUpperCase() === 'ROOT' && joints.length > 0) fail(SAY_BVH.secondRoot)
        if (word.toUpperCase() === 'JOINT' && stack.length === 0) fail(SAY_BVH.outsideRoot)
        joints.push({
          name: rest.join(' ') || SAY_BVH.jointAt(joints.length + 1),
          parent: stack.at(-1) ?? -1,
          offset: [0, 0, 0],
          channels: [],
          line: at,
        })
        if (next()[0] !== '{') {
          at -= 1
          fail(SAY_BVH.opens)
        }
        stack.push(joints.length - 1)
        break
      }
      case 'OFFSET': {
        const joint = joints[stack.at(-1) ?? -1] ?? fail(SAY_BVH.outsideJoint('OFFSET'))
        const [x, y, z] = numbers(rest.slice(0, 3), 'OFFSET')
        if (z === undefined) {
          at -= 1
          fail(SAY_BVH.offset)
        }
        joint.offset = [x!, y!, z!]
        break
      }
      case 'CHANNELS': {
        const joint = joints[stack.at(-1) ?? -1] ?? fail(SAY_BVH.outsideJoint('CHANNELS'))
        const [count, ...names] = rest
        if (Number(count) !== names.length || !names.every((name) => CHANNEL.test(name))) {
          at -= 1
          fail(SAY_BVH.channels)
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
        if (stack.length === 0) fail(SAY_BVH.closesTooOften)
        stack.pop()
        break
      case 'MOTION':
        if (stack.length > 0) fail(SAY_BVH.closesBeforeMotion)
        ended = true
        break
      default:
        at -= 1
        fail(SAY_BVH.unknown(word))
    }
  }
  if (joints.length === 0) fail(SAY_BVH.noRoot)
  const head = next()
  const count = Number(head[1])
  if (!/^frames:$/i.test(head[0]!) || !Number.isInteger(count) || count < 1) {
    at -= 1
    fail(SAY_BVH.frames)
  }
  if (!/^frame$/i.test(next()[0]!)) {
    at -= 1
    fail(SAY_BVH.frameTime)
  }
  const width = joints.reduce((sum, joint) => sum + joint.channels.length, 0)
  const frames: number[][] = []
  while (frames.length < count) {
    skip()
    if (at >= lines.length) fail(SAY_BVH.promised(count, frames.length))
    const frame = numbers(next(), SAY_BVH.aFrame)
    if (frame.length !== width) {
      at -= 1
      fail(SAY_BVH.width(frame.length, width))
    }
    frames.push(frame)
  }
  return { joints, frames }
}
