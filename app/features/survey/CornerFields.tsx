import { NumberField } from 'react-aria-components'
import { useWallEditor } from '~/editor/WallEditor'
import { turnName } from '~/messages'
import { LIMITS, type Reading, type Turn, TURNS } from '~/model'
import { Choice } from '~/ui/Choice'
import { FieldBox, FieldName, Pair } from '~/ui/fields'
import { newEntryId } from './takeReading'

type Corner = Extract<Reading, { deg: unknown }>

/** The angle of one corner and which way it turns; the saw is set by half of it. */
function CornerField({ kind, title }: { kind: Corner['kind']; title: string }) {
  const { workpiece, edit } = useWallEditor()
  const { readings } = workpiece.wall.survey
  const now = readings.filter((reading): reading is Corner => reading.kind === kind).at(-1)
  const side = kind === 'cornerLeft' ? 'left' : 'right'
  const { turns } = workpiece.wall.survey
  const turn = turns[side] === 'none' ? 'none' : (now?.turn ?? turns[side])
  const turnTo = (which: Turn) => {
    const kept = readings.filter((reading) => reading.kind !== kind || reading.turn === which)
    edit([{ type: 'patchSurvey', patch: { turns: { ...turns, [side]: which }, readings: kept } }], 'done')
  }
  const take = (deg: number, which: Corner['turn']) => {
    const reading: Corner = {
      id: newEntryId('c'),
      kind,
      deg,
      turn: which,
      method: 'tape',
      takenAt: new Date().toISOString(),
    }
    edit([{ type: 'patchSurvey', patch: { readings: [...readings, reading] } }], 'done')
  }
  return (
    <Pair>
      <NumberField
        isDisabled={turn === 'none' || readings.length >= LIMITS.readings}
        value={now?.deg ?? NaN}
        minValue={LIMITS.cornerDeg.least}
        maxValue={LIMITS.cornerDeg.most}
        formatOptions={{ maximumFractionDigits: 1 }}
        onChange={(deg) => {
          if (!Number.isNaN(deg)) take(deg, turn === 'none' ? 'inside' : turn)
        }}
      >
        <FieldName>{title}, degrees</FieldName>
        <FieldBox placeholder="not read" />
      </NumberField>
      <Choice
        label="It turns"
        value={turn}
        options={TURNS.map((id) => ({ id, text: turnName(id) }))}
        onChange={turnTo}
      />
    </Pair>
  )
}

export function CornerFields() {
  return (
    <>
      <CornerField kind="cornerLeft" title="Left corner" />
      <CornerField kind="cornerRight" title="Right corner" />
    </>
  )
}
