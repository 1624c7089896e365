import { addressOf, orShown, showing } from './lastShown'
import { withSameParts } from './useFresh'

const asks = (address: string) => ({ url: `http://127.0.0.1${address}` }) as Request
const away = () => Promise.reject(new TypeError('Failed to fetch'))

describe('a page that is open when the server goes away', () => {
  test('keeps what it shows; a page that is not open says that the server is away, as does an answer that says no', async () => {
    const jobs = { jobs: ['Mill house'] }
    const end = showing(addressOf('/', '?page=2'), jobs)
    expect(await orShown(asks('/?index&page=2'), away)).toBe(jobs)
    expect(await orShown(asks('/?page=2'), () => Promise.resolve('fresh'))).toBe('fresh')
    await expect(orShown(asks('/?index'), away)).rejects.toThrow('Failed to fetch')
    await expect(
      orShown(asks('/?index&page=2'), () => Promise.reject(new Error('no such job'))),
    ).rejects.toThrow('no such job')
    end()
    await expect(orShown(asks('/?index&page=2'), away)).rejects.toThrow('Failed to fetch')
  })
})

describe('what is brought anew', () => {
  test('is the same thing where it says the same; of what changed the other parts stay', () => {
    const before = { job: { id: 'a', walls: [1, 2] }, now: 5 }
    expect(withSameParts(before, { job: { id: 'a', walls: [1, 2] }, now: 5 })).toBe(before)
    const later = withSameParts(before, { job: { id: 'a', walls: [1, 2] }, now: 6 })
    expect(later).toEqual({ ...before, now: 6 })
    expect(later.job).toBe(before.job)
    expect(withSameParts<object>(before, { job: before.job })).toEqual({ job: before.job })
  })
})
