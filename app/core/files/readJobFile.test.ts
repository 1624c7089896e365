import { readFileSync } from 'node:fs'
import { fileProblemText } from '~/messages'
import { readJobFile } from './readJobFile'

type Wall = { survey: Record<string, { id: string }[]>; design: { frame: { rails: object[] } } }
const demo = () => JSON.parse(readFileSync('examples/tern-cottage.regla.json', 'utf8'))

function problems(change: (wall: Wall, job: ReturnType<typeof demo>) => void): string[] {
  const job = demo()
  change(job.rooms[4].walls[0], job)
  const read = readJobFile(JSON.stringify(job))
  return read.ok ? [] : read.issue.map((problem) => fileProblemText(problem))
}
const twice = (list: { id: string }[] | undefined) => list?.push({ ...(list[0] as { id: string }) })

describe('ids stand once in a file', () => {
  test('the demo is fine', () => expect(problems(() => undefined)).toEqual([]))

  test.each([
    [
      'things',
      (wall: Wall) => twice(wall.survey.things),
      'rooms[4].walls[0].survey.things[2].id: "stub" is used twice',
    ],
    [
      'readings',
      (wall: Wall) => twice(wall.survey.readings),
      'rooms[4].walls[0].survey.readings[7].id: "r901" is used twice',
    ],
    [
      'rails',
      (wall: Wall) => twice(wall.design.frame.rails as { id: string }[]),
      'rooms[4].walls[0].design.frame.rails[1].id: "rail-1" is used twice',
    ],
    [
      'materials',
      (_: Wall, job: ReturnType<typeof demo>) => twice(job.settings.materials),
      'settings.materials[9].id: "pine-1x2" is used twice',
    ],
    [
      'offers',
      (_: Wall, job: ReturnType<typeof demo>) => twice(job.settings.shop.offers),
      'settings.shop.offers[26].id: "pine-1x2-8ft" is used twice',
    ],
    [
      'walls of other rooms',
      (_: Wall, job: ReturnType<typeof demo>) => (job.rooms[0].walls[0].id = 'far-alcove'),
      'rooms[4].walls[2].id: "far-alcove" is used twice',
    ],
  ])('%s', (_, change, expected) => {
    const [first, ...more] = problems(change)
    expect(first).toContain(expected)
    expect(more).toEqual([])
  })

  test('a rail may not take the name of a strip the plan makes itself', () => {
    for (const id of ['topRail', 'border', 'batten-3', 'gridRail-2', 'filler-left', 'cap'])
      expect(problems((wall) => ((wall.design.frame.rails[0] as { id: string }).id = id))[0]).toContain(
        `"${id}" is a name the plan gives its own strips`,
      )
    expect(problems((wall) => ((wall.design.frame.rails[0] as { id: string }).id = 'my-batten-3'))).toEqual(
      [],
    )
  })
})
