import { clearRows, isChosenWeight } from '~/core/asbuilt/builtUp'
import { useWallEditor } from '~/editor/WallEditor'
import { gridText } from '~/messages'
import { type Design, inForce, LIMITS } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Choice } from '~/ui/Choice'
import { Sentence } from '~/ui/Sentence'
import { CountWord } from './CountWord'

/** Rows from the bottom up, each as tall as its weight says. */
function withRows(rows: readonly number[], count: number): number[] {
  return Array.from({ length: count }, (_, i) => rows[i] ?? 1)
}

const WEIGHTS = [0.5, 0.75, 1, 1.5, 2, 3]

/** A grid's rows, border and what runs through. */
export function GridSentence() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  const patch = (next: Partial<Design>) => edit([{ type: 'patchDesign', patch: next }], 'done')
  const { rows } = design
  const weigh = (at: number, label: string, value: number) => (
    <Choice
      word
      label={label}
      value={String(value)}
      options={[...new Set([...WEIGHTS, value])].map((weight) => ({
        id: String(weight),
        text: String(weight),
      }))}
      onChange={(weight) => patch({ rows: rows.with(at, Number(weight)) })}
    />
  )
  return (
    <Sentence>
      In{' '}
      <CountWord
        label="Number of rows"
        value={rows.length}
        least={1}
        onChange={(count) => patch({ rows: withRows(rows, Math.min(count, LIMITS.rows)) })}
      />{' '}
      {rows.length === 1 ? 'row' : 'rows'}
      {rows.length > 1 && !rows.every(isChosenWeight) ? (
        <span data-rows="built">
          , as they are built <Fractions text={gridText.builtRows(clearRows(plan.layout), wording)} />{' '}
          <Button $kind="quiet" onPress={() => patch({ rows: rows.map(() => 1) })}>
            {gridText.evenRows}
          </Button>
        </span>
      ) : rows.length > 1 ? (
        <>
          , from the bottom up{' '}
          {rows.map((weight, i) => (
            <span key={i}>
              {i > 0 ? ' : ' : ''}
              {weigh(i, `Weight of row ${i + 1}`, weight)}
            </span>
          ))}{' '}
          in height
        </>
      ) : null}
      , with{' '}
      <Choice
        word
        label="Border"
        value={design.border}
        options={[
          { id: 'none', text: 'no border' },
          { id: 'butt', text: 'a border butted at the corners' },
          { id: 'miter', text: 'a border mitered at the corners' },
          {
            id: 'threeSided',
            text: 'a border on three sides, butted',
            hint: 'none at the foot: its sides stand on the base that stays, or on the floor',
          },
          {
            id: 'threeSidedMiter',
            text: 'a border on three sides, its head mitered',
            hint: 'none at the foot; head and sides meet in a miter',
          },
        ]}
        onChange={(border) => patch({ border })}
      />
      ;{' '}
      <Choice
        word
        label="What runs through"
        value={design.through}
        options={[
          {
            id: 'byStock',
            text: `${plan.layout.uprightsThrough ? 'stiles' : 'rails'} run through (by stock)`,
            hint: 'on a wall longer than the boards the stiles run through',
          },
          { id: 'uprights', text: 'stiles run through' },
          { id: 'rails', text: 'rails run through' },
          {
            id: 'lapped',
            text: 'both run through, halved',
            hint: 'each loses half its thickness where they cross, rails from the back, stiles from the face',
          },
        ]}
        onChange={(through) => patch({ through })}
      />
      .
    </Sentence>
  )
}
