import { useState } from 'react'
import { wallLineOf } from '~/core/files/wallLineOf'
import { readWallLines } from '~/core/files/wallLines'
import { useWallEditor } from '~/editor/WallEditor'
import { measureLineText, typedWallText, wallLineExample, wallLineProblemText } from '~/messages'
import { LIMITS, type Survey } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'

/** What a line says of a wall put on the survey there is: sizes and trim it names, its things beside those there are. */
function withLine(survey: Survey, typed: Survey): Partial<Survey> {
  const taken = new Set([...survey.things, ...survey.readings].map(({ id }) => id))
  const free = (id: string) => {
    let found = id
    for (let n = 2; taken.has(found); n++) found = `${id}-${n}`
    taken.add(found)
    return found
  }
  return {
    width: typed.width,
    height: typed.height,
    ...(typed.baseboard ? { baseboard: typed.baseboard } : {}),
    ...(typed.crown ? { crown: typed.crown } : {}),
    // a later reading of one kind and place counts; the earlier ones are kept
    readings: [...survey.readings, ...typed.readings.map((each) => ({ ...each, id: free(each.id) }))],
    things: [...survey.things, ...typed.things.map((thing) => ({ ...thing, id: free(thing.id) }))],
  }
}

/** All measures of the wall in one line, taken over with Enter; what was read of it is said while it is typed. */
export function WallLine() {
  const { workpiece, wording, identity, edit } = useWallEditor()
  const { units } = workpiece.settings
  const { survey } = workpiece.wall
  const [text, setText] = useState('')
  const read = readWallLines(text, units)
  const wall = read.ok ? read.value[0] : undefined
  const typed = wall?.survey ?? null
  const full = typed !== null && survey.things.length + typed.things.length > LIMITS.things
  const [left, setLeft] = useState(false)
  const problem =
    text.trim() === '' || !left
      ? undefined
      : full
        ? measureLineText.full
        : read.ok
          ? typed
            ? undefined
            : measureLineText.noSize
          : read.issue[0] && wallLineProblemText(read.issue[0], units)
  const [copied, setCopied] = useState<string | null>(null)
  const copy = async () => {
    const { line, unsaid } = wallLineOf(identity.name, survey, units)
    try {
      await navigator.clipboard.writeText(line)
      setCopied(measureLineText.copied(line, unsaid.length))
    } catch {
      // without a clipboard it can be copied from here
      setCopied(line)
    }
  }
  const take = () => {
    setLeft(true)
    if (!typed || full) return
    edit([{ type: 'patchSurvey', patch: withLine(survey, typed) }], 'done')
    setText('')
    setLeft(false)
  }
  return (
    <>
      <TextBox
        label={measureLineText.label}
        value={text}
        onChange={(next) => {
          setText(next)
          setLeft(false)
        }}
        maxLength={400}
        placeholder={wallLineExample(units).replace(/^[^:]*: /, '')}
        problem={problem}
        onBlur={() => setLeft(true)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take()
          else event.continuePropagation()
        }}
      />
      {typed && wall ? (
        <Soft>
          <Fractions text={typedWallText(wall, identity.name, wording)} />{' '}
          <Button onPress={take}>{measureLineText.take}</Button>
        </Soft>
      ) : null}
      {text === '' && survey.things.length + survey.readings.length > 0 ? (
        <Soft role="status">
          <Button $kind="quiet" onPress={() => void copy()}>
            {measureLineText.copy}
          </Button>
          {copied === null ? null : <Fractions text={copied} />}
        </Soft>
      ) : null}
    </>
  )
}
