import { lookInto, newWall, openWall, startTarget } from './target'

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

/** Kills the server while it saves, again and again: what it said was saved must be there, and the file be sound. */
export async function killWhileSaving(times: number) {
  const found = { kills: times, saidSaved: 0, lost: 0, unsound: 0 }
  let target = await startTarget()
  const { wall } = await newWall(target)
  let width = 2_540_000_000
  for (let kill = 0; kill < times; kill++) {
    const client = await openWall(target, wall)
    let said = 0
    let going = true
    const saving = (async () => {
      while (going) {
        width += 1_000_000
        if (width > 50_000_000_000) width = 2_540_000_000
        const wanted = width
        const answer = await client.send((survey) => ({ ...survey, width: wanted }))
        if (answer.kind !== 'done') break
        said = wanted
        found.saidSaved += 1
      }
    })()
    // on a slow machine the first save may take longer than any pause: a kill before it would show nothing
    for (let waited = 0; said === 0 && waited < 10_000; waited += 10) await pause(10)
    await pause(Math.random() * 170)
    await target.kill('SIGKILL')
    going = false
    await saving
    target = await startTarget(target.file)
    const { sound, width: kept } = lookInto(target.file)
    if (!sound) found.unsound += 1
    // what was on its way when it was killed may have come through as well
    if (said !== 0 && kept !== said && kept !== width) found.lost += 1
  }
  await target.kill('SIGTERM')
  return found
}
