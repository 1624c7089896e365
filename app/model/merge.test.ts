import fc from 'fast-check'
import { inches } from '~/length'
import { startingDesign, withDesign } from './design'
import { mergeDocuments, sameValue } from './merge'
import { startingSettings } from './settings'

const json = fc.jsonValue({ maxDepth: 3 })

describe('two changes of one document', () => {
  test('laws: a side that changed nothing decides nothing; both alike is no clash; mine stands where both changed', () => {
    fc.assert(
      fc.property(json, json, json, (base, mine, theirs) => {
        expect(mergeDocuments(base, base, theirs).merged).toEqual(theirs)
        expect(mergeDocuments(base, mine, base).merged).toEqual(mine)
        expect(mergeDocuments(base, mine, mine)).toEqual({ merged: mine, clashes: [] })
        const one = mergeDocuments(base, mine, theirs)
        const other = mergeDocuments(base, theirs, mine)
        expect(one.clashes.length).toBe(other.clashes.length)
        if (one.clashes.length === 0 && !JSON.stringify([mine, theirs]).includes('"id"'))
          expect(sameValue(one.merged, other.merged)).toBe(true)
      }),
    )
  })

  test('a law of records: each field is as the one who touched it left it', () => {
    const record = fc.dictionary(fc.constantFrom('a', 'b', 'c', 'd'), fc.nat(3))
    fc.assert(
      fc.property(record, record, record, (base, mine, theirs) => {
        const { merged, clashes } = mergeDocuments(base, mine, theirs) as {
          merged: Record<string, number>
          clashes: string[]
        }
        for (const key of ['a', 'b', 'c', 'd']) {
          const left = mine[key] === base[key] ? theirs[key] : mine[key]
          expect(merged[key]).toBe(left)
          expect(clashes.includes(key)).toBe(
            mine[key] !== base[key] && theirs[key] !== base[key] && mine[key] !== theirs[key],
          )
        }
      }),
    )
  })

  test('lists go by the names of their entries: added, changed and taken out on either side', () => {
    const entry = (id: string, n = 0) => ({ id, n })
    const base = [entry('a'), entry('b'), entry('c')]
    expect(
      mergeDocuments(
        base,
        [entry('a', 1), entry('b'), entry('c'), entry('mine')],
        [entry('b', 2), entry('a'), entry('theirs')],
      ),
    ).toEqual({
      merged: [entry('b', 2), entry('a', 1), entry('theirs'), entry('mine')],
      clashes: [],
    })
    // taken out here, changed there: the one who asks is told
    expect(mergeDocuments(base, [entry('a'), entry('b')], [entry('a'), entry('b'), entry('c', 5)])).toEqual({
      merged: [entry('a'), entry('b')],
      clashes: ['[c]'],
    })
  })

  test('records of different shapes are never mixed', () => {
    const base = { school: 'count', strips: 6, ends: 'strip' }
    const mine = { school: 'wish', strips: 6, wish: 4 }
    expect(mergeDocuments({ s: base }, { s: mine }, { s: { ...base, strips: 7 } })).toEqual({
      merged: { s: mine },
      clashes: ['s'],
    })
    // of a list without names the whole is one thing
    expect(mergeDocuments([1, 2], [1, 3], [4, 2])).toEqual({ merged: [1, 3], clashes: [''] })
  })

  test('what is in a job: a price here and a material there; a height here and a lock there', () => {
    const settings = startingSettings('inches', '1/16')
    const lath = {
      id: 'lath',
      nominal: 'lath',
      name: '',
      width: inches(1.5),
      thickness: inches(0.25),
    }
    const added = { ...settings, materials: [...settings.materials, lath] }
    const [first, ...others] = settings.shop.offers
    const priced = {
      ...settings,
      shop: { ...settings.shop, offers: [{ ...first, price: 899 }, ...others] },
    }
    expect(mergeDocuments(settings, priced, added)).toEqual({
      merged: { ...priced, materials: added.materials },
      clashes: [],
    })
    const design = startingDesign()
    const higher = withDesign(design, { height: { rule: 'typed', value: inches(60) } })
    const locked = withDesign(design, { locked: true })
    const both = withDesign(higher, { locked: true })
    expect(mergeDocuments(design, higher, locked)).toEqual({ merged: both, clashes: [] })
    const lower = withDesign(higher, { height: { rule: 'typed', value: inches(40) } })
    expect(mergeDocuments(higher, lower, both).clashes).toEqual([])
    expect(
      mergeDocuments(higher, lower, withDesign(higher, { height: { rule: 'typed', value: inches(50) } }))
        .clashes,
    ).toEqual(['patterns.battens.height.value'])
  })
})
