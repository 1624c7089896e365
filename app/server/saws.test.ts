import { inches } from '~/length'
import { USUAL_SAW } from '~/model'
import { openDatabase } from './db/database.server'
import { keepSaw, keptSaws } from './saws.server'

const saw = { name: 'Yard saw', swing: 48, kerf: inches(1 / 8), saw: { ...USUAL_SAW, name: 'Yard saw' } }

describe('the crew’s saws', () => {
  test('are kept by name, one in the place of another of its name, for any job', () => {
    const db = openDatabase(':memory:')
    expect(keepSaw(db, saw)).toEqual([saw])
    expect(keepSaw(db, { ...saw, swing: 55 })?.map(({ swing }) => swing)).toEqual([55])
    expect(keepSaw(db, { ...saw, name: 'Attic saw' })?.map(({ name }) => name)).toEqual([
      'Attic saw',
      'Yard saw',
    ])
    expect(keptSaws(db)).toHaveLength(2)
  })

  test('what can’t be read is refused and nothing is kept', () => {
    const db = openDatabase(':memory:')
    for (const posted of [null, {}, { ...saw, name: ' ' }, { ...saw, swing: 100 }, { ...saw, saw: {} }])
      expect(keepSaw(db, posted)).toBeNull()
    expect(keptSaws(db)).toEqual([])
  })

  test('no more than forty, but those that are there can be changed', () => {
    const db = openDatabase(':memory:')
    for (let i = 0; i < 40; i++) keepSaw(db, { ...saw, name: `Saw ${i}` })
    expect(keepSaw(db, { ...saw, name: 'One more' })).toBeNull()
    expect(keepSaw(db, { ...saw, name: 'Saw 3', swing: 30 })).toHaveLength(40)
  })
})
