import { inches } from '~/length'
import { deliver, deliveredSince, lastDelivery } from './devices.server'
import { themeOf } from './theme.server'

describe('devices', () => {
  test('the stand-in reads about what it is aimed at; a real device’s reading is taken as it is', () => {
    const start = lastDelivery()
    const stood = deliver('laser', { aimedAt: inches(100) })
    expect(stood?.device === 'laser' && Math.abs(stood.value - inches(100))).toBeLessThan(6e6)
    expect(deliver('laser', { value: 1_234_567 })).toMatchObject({ value: 1_234_567, number: start + 2 })
  })

  test('a waiting field gets what is newer than what it knew, once', () => {
    const known = lastDelivery()
    expect(deliveredSince('laser', known)).toBeNull()
    const press = deliver('laser', { value: 5 })
    expect(deliveredSince('laser', known)).toEqual(press)
    expect(deliveredSince('laser', press?.number ?? 0)).toBeNull()
    expect(deliveredSince('finder', known)).toBeNull()
  })

  test('a sweep delivers edges in pairs; given edges are taken as they are', () => {
    const swept = deliver('finder', { studs: [16, 32, 48].map(inches) })
    if (swept?.device !== 'finder') throw new Error('no sweep')
    expect(swept.edges.length % 2).toBe(0)
    const edges = [{ at: inches(15.25), edge: 'begins' }]
    expect(deliver('finder', { edges })).toMatchObject({ edges })
  })

  test.each([
    ['laser', null],
    ['laser', { aimedAt: '12 in' }],
    ['laser', { value: 1.5 }],
    ['laser', { value: 1, more: 2 }],
    ['finder', { studs: 'all' }],
    ['finder', { edges: [{ at: 1, edge: 'sideways' }] }],
  ] as const)('%s: %j can’t be read', (device, body) => {
    const before = lastDelivery()
    expect(deliver(device, body)).toBeNull()
    expect(lastDelivery()).toBe(before)
  })
})

test('the look chosen last comes from the cookie; nonsense is the day’s look', () => {
  const asked = (cookie?: string) =>
    themeOf(new Request('http://127.0.0.1/', cookie ? { headers: { cookie } } : {}))
  expect(asked()).toBe('light')
  expect(asked('a=b; regla-theme=site')).toBe('site')
  expect(asked('regla-theme=neon')).toBe('light')
})
