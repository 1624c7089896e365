import type { DayLine } from '~/core/log/dayPages'
import { logText, noteName, stageWork } from './logText'
import { taskIdName } from './taskText'
import { durationText } from './workText'

type Places = Parameters<typeof taskIdName>[1]

const DID: Readonly<Record<Extract<DayLine, { kind: 'done' }>['what'], string>> = {
  marked: 'Marked',
  cut: 'Cut',
  up: 'Fitted',
  spoiled: 'Spoiled',
  pulled: 'Pulled off',
  finish: 'Finished',
  task: 'Done',
  read: 'Read',
}
/** Beyond this names are counted. */
const MOST_NAMES = 12

/** A line of a day's page in words. */
export function dayLineText(line: DayLine, places: Places): string {
  switch (line.kind) {
    case 'worked': {
      const what = line.of.includes('/') ? taskIdName(line.of, places) : stageWork(line.of)
      const how = { pressed: logText.pressed, typed: logText.typed, ticks: logText.ticks }[line.by]
      return `${what}: ${durationText(Math.round(line.minutes))}, ${how}`
    }
    case 'done': {
      const { what, names } = line
      if (what === 'marked' || what === 'read' || what === 'finish' || names.length > MOST_NAMES)
        return `${DID[what]}: ${names.length}`
      const said = what === 'task' ? names.map((id) => taskIdName(id, places)) : names
      return `${DID[what]}: ${said.join(', ')}`
    }
    case 'noted':
      return [noteName(line.what), line.text].filter((each) => each !== '').join(': ')
    case 'used':
      return [line.product, line.color, line.batch].filter((each) => each !== '').join(', ')
  }
}
