import fc from 'fast-check'
import { inEach, keeping, remember, rememberIn, rememberOf, rememberWith } from './remember'

describe('what was worked out about a line', () => {
  test('is kept, whatever it was', () => {
    for (const value of [0, '', null, undefined, false, 7]) {
      let asked = 0
      const kept = remember(() => {
        asked += 1
        return value
      })
      expect([kept('a'), kept('a'), kept('a')]).toEqual([value, value, value])
      expect(asked).toBe(1)
    }
  })

  test('is that of its own line', () => {
    const upper = remember((text) => text.toUpperCase())
    expect(['a', 'b', 'a', '', 'constructor', '__proto__'].map((each) => upper(each))).toEqual([
      'A',
      'B',
      'A',
      '',
      'CONSTRUCTOR',
      '__PROTO__',
    ])
  })

  test('is given up when there are too many lines, and worked out anew', () => {
    const asked: string[] = []
    const length = remember((text) => {
      asked.push(text)
      return text.length
    }, 3)
    for (const text of ['a', 'bb', 'ccc', 'a', 'bb', 'dddd', 'a']) length(text)
    expect(asked).toEqual(['a', 'bb', 'ccc', 'dddd', 'a'])
  })

  test('is not kept when it came to no end', () => {
    let fails = true
    const once = remember((text) => {
      if (fails) throw new Error('not yet')
      return text
    })
    expect(() => once('a')).toThrow('not yet')
    fails = false
    expect(once('a')).toBe('a')
  })
})

describe('what is kept', () => {
  test('is never more than so much, and always the half that came last', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.array(fc.integer({ min: 0, max: 20 }), { maxLength: 60 }),
        (most, keys) => {
          const kept = keeping<number, string>(most)
          // Only what is new takes a place.
          const came: number[] = []
          for (const [i, key] of keys.entries()) {
            if (!kept.has(key)) came.push(key)
            expect(kept.set(key, `${key} ${i}`)).toBe(`${key} ${i}`)
            expect(kept.get(key)).toBe(`${key} ${i}`)
            const all = [...new Set(keys)].filter((each) => kept.has(each))
            expect(all.length).toBeLessThanOrEqual(most)
            for (const late of came.slice(-Math.ceil(most / 2))) expect(kept.has(late)).toBe(true)
            for (const each of all) expect(kept.get(each)).toMatch(new RegExp(`^${each} `))
          }
        }
      )
    )
  })

  test('stays when the same is set again', () => {
    const kept = keeping<string, number>(2)
    kept.set('a', 1)
    kept.set('b', 2)
    kept.set('b', 3)
    expect(['a', 'b'].map((key) => kept.get(key))).toEqual([1, 3])
  })
})

describe('what was worked out about a line within something', () => {
  test('is kept for each of both', () => {
    const asked: string[] = []
    const joined = rememberIn((text, within) => {
      asked.push(`${within}: ${text}`)
      return `${within}: ${text}`
    })
    const all = [
      ['a', 'en'],
      ['a', 'de'],
      ['b', 'en'],
      ['a', 'en'],
      ['a', 'de'],
      ['', ''],
    ] as const
    expect(all.map(([text, within]) => joined(text, within))).toEqual(
      all.map(([text, within]) => `${within}: ${text}`)
    )
    expect(asked).toEqual(['en: a', 'de: a', 'en: b', ': '])
  })

  test('is never that of another pair that is written the same', () => {
    const pair = rememberIn((text, within) => [text, within])
    expect(pair('b', 'a ')).toEqual(['b', 'a '])
    expect(pair(' b', 'a')).toEqual([' b', 'a'])
    expect(pair('\nb', 'a')).toEqual(['\nb', 'a'])
    expect(pair('b', 'a\n')).toEqual(['b', 'a\n'])
  })
})

describe('what was worked out about a thing', () => {
  test('is kept for that very thing, whatever it was, and not for one that is alike', () => {
    for (const value of [0, '', null, undefined, false, 7]) {
      const asked: object[] = []
      const kept = rememberOf((thing: object) => {
        asked.push(thing)
        return value
      })
      const [one, alike] = [{ id: 'a' }, { id: 'a' }]
      expect([kept(one), kept(alike), kept(one)]).toEqual([value, value, value])
      expect(asked.map((thing) => [one, alike].findIndex((each) => each === thing))).toEqual([0, 1])
    }
  })

  test('is not kept when it came to no end', () => {
    let fails = true
    const once = rememberOf(({ id }: { id: string }) => {
      if (fails) throw new Error('not yet')
      return id
    })
    const thing = { id: 'a' }
    expect(() => once(thing)).toThrow('not yet')
    fails = false
    expect(once(thing)).toBe('a')
  })
})

describe('what was worked out about something and all that it hangs on', () => {
  test('is kept until one of them is another', () => {
    const asked: string[] = []
    const told = rememberWith(({ name }: { name: string }, ...by: unknown[]) => {
      asked.push(name)
      return [name, ...by].join(' ')
    })
    const [a, b] = [{ name: 'a' }, { name: 'b' }]
    const calls: [{ name: string }, ...unknown[]][] = [
      [a, 1, undefined],
      [b, 1, undefined],
      [a, 1, undefined],
      [a, 2, undefined],
      [b, 1, undefined],
      [a, 2, 'x'],
      [a, 2, 'x'],
    ]
    expect(calls.map(([of, ...by]) => told(of, ...by))).toEqual(
      calls.map(([{ name }, ...by]) => [name, ...by].join(' '))
    )
    expect(asked).toEqual(['a', 'b', 'a', 'a'])
  })

  test('is never that of fewer or more of them', () => {
    const count = rememberWith((_: object, ...by: unknown[]) => by.length)
    const of = {}
    expect([[1], [1, 2], [1], [], [undefined]].map((by) => count(of, ...by))).toEqual([
      1, 2, 1, 0, 1,
    ])
  })
})

describe('what is found in each of a list', () => {
  /** Looks at words, and tells which it looked at. */
  const looking = () => {
    const seen: string[] = []
    const found = inEach((by: string, many: number) => (word: { text: string }, at: number) => {
      seen.push(word.text)
      return Array.from({ length: many }, () => `${by}${at}${word.text}`)
    })
    return { seen, found }
  }

  test('is looked for only where another one stands', () => {
    const { seen, found } = looking()
    const [a, b, c] = ['a', 'b', 'c'].map((text) => ({ text })) as [object, object, object]
    const words = (...all: object[]) => all as { text: string }[]
    expect(found(words(a, b), 'x', 1)).toEqual(['x0a', 'x1b'])
    expect(found(words(a, c), 'x', 1)).toEqual(['x0a', 'x1c'])
    expect(seen.join('')).toBe('abc')
    // Another place is another look: what is found may tell where it is.
    expect(found(words(c, a), 'x', 2)).toEqual(['x0c', 'x0c', 'x1a', 'x1a'])
    expect(found(words(c, a, b), 'x', 2)).toEqual(['x0c', 'x0c', 'x1a', 'x1a', 'x2b', 'x2b'])
    expect(seen.join('')).toBe('abccab')
    expect(found(words(c), 'x', 2)).toEqual(['x0c', 'x0c'])
    expect(found(words(c), 'x', 0)).toEqual([])
    expect(seen.join('')).toBe('abccabc')
  })

  test('is the same list while the same is looked at', () => {
    const { seen, found } = looking()
    const all = [{ text: 'a' }]
    expect(found(all, 'x', 1)).toBe(found(all, 'x', 1))
    expect(found([...all], 'x', 1)).toEqual(['x0a'])
    expect(seen).toEqual(['a'])
  })

  test('is looked for anew when a look came to no end', () => {
    let fails = false
    const found = inEach(() => (each: number) => {
      if (fails) throw new Error('not yet')
      return [each]
    })
    expect(found([1])).toEqual([1])
    fails = true
    expect(() => found([1, 2])).toThrow('not yet')
    fails = false
    expect(found([1, 2])).toEqual([1, 2])
  })

  test('is what looking at all of them finds, whatever was looked at before', () => {
    const word = fc.constantFrom(...['a', 'b', 'c', 'd'].map((text) => ({ text })))
    const list = fc.tuple(fc.array(word, { maxLength: 5 }), fc.constantFrom('x', 'y'), fc.nat(2))
    fc.assert(
      fc.property(fc.array(list, { maxLength: 12 }), (lists) => {
        const { found } = looking()
        for (const [all, by, many] of lists)
          expect(found(all, by, many)).toEqual(looking().found(all, by, many))
      })
    )
  })
})
