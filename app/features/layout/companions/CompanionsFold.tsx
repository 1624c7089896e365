import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, nearestNanometer } from '~/length'
import { companionsText as text } from '~/messages'
import { type Arch, type Companions, type Edit, inForce, type ItemRow } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Fold } from '~/ui/Fold'
import { Row } from '~/ui/page'
import { ArchWords } from './ArchWords'
import { RowWords } from './RowWords'

/** An id that no other of a list has. */
function freeId(stem: string, taken: readonly { id: string }[]): string {
  let n = taken.length + 1
  while (taken.some(({ id }) => id === `${stem}${n}`)) n += 1
  return `${stem}${n}`
}

/** An arch as it is begun with: common practice, no source. */
function newArch(arches: readonly Arch[], width: Length): Arch {
  const wide = nearestNanometer(Math.min(inches(48), Math.floor(width / inches(2)) * inches(1)))
  return {
    id: freeId('arch', arches),
    kind: 'segment',
    width: wide,
    rise: nearestNanometer(wide / 4),
    spring: inches(60),
    middle: { on: 'wall' },
    band: null,
    every: inches(6),
  }
}

/** A row as it is begun with. */
function newRow(rows: readonly ItemRow[]): ItemRow {
  return {
    id: freeId('row', rows),
    kind: 'letters',
    items: ['A', 'B', 'C'].map((name) => ({ name, width: inches(5) })),
    line: inches(66),
    height: inches(6),
    thickness: inches(0.5),
    spread: { by: 'gap', gap: inches(2) },
    middle: { on: 'wall' },
    overBed: false,
  }
}

/** Arches and rows of letters, signs, hooks or frames: what goes on the wall besides the trim, of whatever pattern. */
export function CompanionsFold() {
  const { workpiece, edit } = useWallEditor()
  const { companions } = inForce(workpiece.wall.design)
  const toEdits = (patch: Partial<Companions>): Edit[] => [
    { type: 'patchDesign', patch: { companions: { ...companions, ...patch } } },
  ]
  const withArch = (arch: Arch) =>
    toEdits({ arches: companions.arches.map((each) => (each.id === arch.id ? arch : each)) })
  const withRow = (row: ItemRow) =>
    toEdits({ rows: companions.rows.map((each) => (each.id === row.id ? row : each)) })
  const has = companions.arches.length + companions.rows.length
  return (
    <Fold title={text.title} aside={has === 0 ? 'none' : String(has)} open={has > 0}>
      {companions.arches.map((arch, i) => (
        <ArchWords
          key={arch.id}
          arch={arch}
          nth={i + 1}
          toEdits={withArch}
          away={() => edit(toEdits({ arches: companions.arches.filter(({ id }) => id !== arch.id) }), 'done')}
        />
      ))}
      {companions.rows.map((row, i) => (
        <RowWords
          key={row.id}
          row={row}
          nth={i + 1}
          toEdits={withRow}
          away={() => edit(toEdits({ rows: companions.rows.filter(({ id }) => id !== row.id) }), 'done')}
        />
      ))}
      <Row>
        <AddButton
          what="arches"
          has={companions.arches.length}
          onPress={() =>
            edit(
              toEdits({
                arches: [...companions.arches, newArch(companions.arches, workpiece.wall.survey.width)],
              }),
              'done',
            )
          }
        >
          {text.addArch}
        </AddButton>
        <AddButton
          what="itemRows"
          has={companions.rows.length}
          onPress={() => edit(toEdits({ rows: [...companions.rows, newRow(companions.rows)] }), 'done')}
        >
          {text.addRow}
        </AddButton>
      </Row>
    </Fold>
  )
}
