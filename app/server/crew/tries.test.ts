import { newTries, TRIES_A_MINUTE } from './tries.server'

describe('tries to come in', () => {
  const over = (answers: readonly boolean[]) => answers.filter((each) => !each).length
  const many = async (
    of: ReturnType<typeof newTries>,
    count: number,
    at: (n: number) => [string, string | null],
  ) => {
    const said: boolean[] = []
    for (let n = 0; n < count; n++) said.push(await of.tooMany(...at(n)))
    return said
  }

  test('from one address ten a minute, whatever names are tried; another address has its own', async () => {
    const tries = newTries()
    expect(over(await many(tries, 40, (n) => ['10.0.0.7', `name ${n}`]))).toBe(TRIES_A_MINUTE)
    expect(await tries.tooMany('10.0.0.8', 'Ida')).toBe(false)
  })

  test('under one name ten a minute, from however many addresses and however it is written; codes count as one', async () => {
    const tries = newTries()
    const names = ['Ida', 'ida', ' IDA ']
    expect(over(await many(tries, 40, (n) => [`10.0.0.${n}`, names[n % 3] ?? '']))).toBe(TRIES_A_MINUTE)
    expect(over(await many(tries, 40, (n) => [`10.0.1.${n}`, null]))).toBe(TRIES_A_MINUTE)
    expect(await tries.tooMany('10.0.9.1', 'Ben')).toBe(false)
  })

  test('who came in starts the name anew, but not the address', async () => {
    const tries = newTries()
    await many(tries, 9, (n) => [`10.0.0.${n}`, 'Ida'])
    await tries.forgive('IDA')
    expect(over(await many(tries, 40, (n) => [`10.0.2.${n}`, 'Ida']))).toBe(TRIES_A_MINUTE)
  })
})
