/** English: what is said of a BVH file that cannot be read. */
export const englishBvh = {
  endsEarly: 'the file ends too early',
  noNumber: (word: string, what: string) => `“${word}” in ${what} should be a number`,
  aFrame: 'a frame',
  begins: 'a BVH file begins with the word HIERARCHY',
  joints: (most: number) => `more than ${most} joints`,
  secondRoot: 'a second ROOT: only one body can be read',
  noRoot: 'there is no ROOT',
  outsideRoot: 'a JOINT stands outside the ROOT',
  outsideJoint: (word: string) => `${word} stands outside a joint`,
  jointAt: (n: number) => `joint ${n}`,
  opens: '“{” is missing after the name of a joint',
  closesTooOften: 'one “}” too many',
  closesBeforeMotion: '“}” is missing before MOTION',
  offset: 'OFFSET needs three numbers',
  channels: 'CHANNELS should be a count and as many names such as Zrotation',
  unknown: (word: string) => `“${word}” is not known here`,
  frames: '“Frames:” and a whole number above 0 should stand here',
  frameTime: '“Frame Time:” should stand here',
  promised: (count: number, there: number) => `${count} frames are promised, ${there} are there`,
  width: (frame: number, joints: number) =>
    `a frame has ${frame} numbers, the joints have ${joints} channels`,
  noFrame: (frame: number, count: number) => `there is no frame ${frame}; the file has ${count}`,
  noJoint: (missing: readonly string[], names: readonly string[]) =>
    `no joint was found for ${missing.join(', ')}; the file has ${names.join(', ')}`,
}
