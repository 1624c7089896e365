import { blankSurvey, startingDesign, startingSettings, type Workpiece } from '~/model'
import { layoutPlanner, type PlanningProcess, UP, type WallSaid } from './layoutWords.server'

const workpiece: Workpiece = {
  wall: { survey: blankSurvey(), design: startingDesign() },
  settings: startingSettings('inches', '1/16'),
}

type Answer = { ticket: number; said: WallSaid | null }
const saying = (words: string): WallSaid => ({ words, picture: '<svg/>', wrong: 0, open: 0 })
/** A process whose answers the test gives; null ends it. */
function processes(answer: (ticket: number, say: (answer: Answer | null) => void) => void, comesUp = true) {
  const seen = { started: 0, ended: 0, asked: 0 }
  const start = (): PlanningProcess => {
    seen.started += 1
    let hear = (_: Answer) => {}
    let gone = () => {}
    return {
      ask: ({ ticket }) => {
        seen.asked += 1
        if (comesUp) hear({ ticket: UP, said: null })
        answer(ticket, (said) => (said ? hear(said) : gone()))
      },
      onAnswer: (listener) => void (hear = listener),
      onEnd: (listener) => void (gone = listener),
      end: () => void (seen.ended += 1),
    }
  }
  return { start, seen }
}

describe('what walls become, planned off the request', () => {
  test('one after the other, each once', async () => {
    const { start, seen } = processes((ticket, say) =>
      setTimeout(() => say({ ticket, said: saying(`wall ${ticket}`) })),
    )
    const plans = layoutPlanner(start)
    expect(plans.knownWords('a')).toBeNull()
    const [a, b, again] = await Promise.all(['a', 'b', 'a'].map((key) => plans.wordsOf({ key, workpiece })))
    expect([a, b, again]).toEqual([
      { kind: 'said', ...saying('wall 1') },
      { kind: 'said', ...saying('wall 2') },
      { kind: 'said', ...saying('wall 1') },
    ])
    expect(plans.knownWords('a')).toEqual(a)
    expect(seen).toEqual({ started: 1, ended: 0, asked: 2 })
  })

  test('one that takes too long is given up, and the next is planned in a process of its own', async () => {
    const { start, seen } = processes((ticket, say) => {
      if (ticket > 1) say({ ticket, said: saying('quick') })
    })
    const plans = layoutPlanner(start, 20)
    const both = await Promise.all(['slow', 'quick'].map((key) => plans.wordsOf({ key, workpiece })))
    expect(both).toEqual([{ kind: 'tooLong' }, { kind: 'said', ...saying('quick') }])
    expect(seen).toMatchObject({ started: 2, ended: 1 })
  })

  test('time counts once the process is up; one that never comes up says nothing of the wall', async () => {
    const late = processes(
      (ticket, say) =>
        setTimeout(() => {
          say({ ticket: UP, said: null })
          setTimeout(() => say({ ticket, said: saying('late') }), 5)
        }, 60),
      false,
    )
    const patient = layoutPlanner(late.start, 30, 5_000)
    expect(await patient.wordsOf({ key: 'a', workpiece })).toEqual({ kind: 'said', ...saying('late') })
    const never = processes(() => undefined, false)
    const plans = layoutPlanner(never.start, 5_000, 20)
    expect(await plans.wordsOf({ key: 'a', workpiece })).toEqual({ kind: 'tooLong' })
    expect(plans.knownWords('a')).toBeNull()
    await plans.wordsOf({ key: 'a', workpiece })
    expect(never.seen).toEqual({ started: 2, ended: 2, asked: 2 })
  })

  test('one that breaks, or brings its process down, takes nothing with it', async () => {
    const { start } = processes((ticket, say) => {
      if (ticket === 1) say({ ticket, said: null })
      else if (ticket === 2) say(null)
      else say({ ticket, said: saying('fine') })
    })
    const plans = layoutPlanner(start)
    const all = await Promise.all(['a', 'b', 'c'].map((key) => plans.wordsOf({ key, workpiece })))
    expect(all.map(({ kind }) => kind)).toEqual(['broken', 'broken', 'said'])
  })

  test('the real process plans the wall', async () => {
    const plans = layoutPlanner()
    expect(await plans.wordsOf({ key: 'x', workpiece })).toMatchObject({
      kind: 'said',
      words: '6 battens to a rail at 64',
      picture: expect.stringMatching(/^<svg xmlns.*<\/svg>$/),
      wrong: 0,
      // width, height and the walk round the room
      open: 3,
    })
    plans.stop()
  })
})
