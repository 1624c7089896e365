import { useMemo } from 'react'
import { useStore } from 'zustand'
import { styled } from 'styled-components'
import { isCut } from '~/core/marks/marked'
import { BoardRows } from '~/editor/BoardRows'
import { Matters } from '~/editor/Matters'
import { ReadyToCut } from '~/editor/ReadyToCut'
import { newToken } from '~/editor/saving/browserSaver'
import { useAwake } from '~/editor/useAwake'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Column, Heading, Side, Split } from '~/editor/Workbench'
import { count, cutText, markText, materialName, WORK_CAUTIONS } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { narrow } from '~/ui/theme'
import { CutRow } from './CutRow'
import { LineGroups } from './LineGroups'
import { FixingChoice } from './FixingChoice'

const Rows = styled(Table)`
  ${narrow} {
    &,
    & > caption,
    & > tbody {
      display: block;
    }
    & > thead {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
  }
`
/** The wall takes what the list leaves it. */
const WALL_HEIGHT = 'clamp(220px, 46vh, 460px)'

/** Said once all pieces of the wall are cut; kept as what happened, so no undo of the layout takes it back. */
function WallCut() {
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  const cut = isCut(acts)
  return (
    <Row role="status">
      {cut ? <b>{cutText.done}</b> : null}
      <Button
        $kind={cut ? 'quiet' : 'plain'}
        onPress={() => outbox.record({ id: newToken(), kind: cut ? 'uncut' : 'cut', doneAt: Date.now() })}
      >
        {cut ? cutText.notYet : cutText.all}
      </Button>
    </Row>
  )
}

/** Stage: what to cut. */
export function CutStage() {
  const { plan, boards, wording } = useWallEditor()
  const awake = useAwake()
  const longest = Math.max(1, ...plan.cutList.map(({ cutLength }) => cutLength))
  const byId = useMemo(() => new Map(plan.pieces.map((piece) => [piece.id, piece])), [plan])
  const several = boards.materials.length > 1
  const labels = useMemo(
    () => new Map(plan.cutList.flatMap(({ label, pieceIds }) => pieceIds.map((id) => [id, label] as const))),
    [plan],
  )
  return (
    <Split>
      <Column aria-label="Cut list">
        <Heading>
          <h1>Cut list, {count(plan.pieces.length, 'piece')}</h1>
          <ReadyToCut />
        </Heading>
        <Matters brief />
        <LineGroups />
        <WallStage height={WALL_HEIGHT} rods={false} labels={labels} />
        <Rows role="table" aria-label="Pieces to cut">
          <caption>{cutText.order}</caption>
          <thead role="rowgroup">
            <tr role="row">
              {cutText.columns.map((name) => (
                <th key={name} role="columnheader" scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody role="rowgroup">
            {plan.cutList.map((row) => (
              <CutRow
                key={row.label}
                row={row}
                pieces={row.pieceIds.flatMap((id) => byId.get(id) ?? [])}
                longest={longest}
              />
            ))}
          </tbody>
        </Rows>
        {plan.pieces.length > 0 ? <WallCut /> : null}
        {awake === 'none' ? <Soft data-awake>{markText.awake}</Soft> : null}
        <ul aria-label="Cautions">
          {WORK_CAUTIONS.map((caution) => (
            <li key={caution}>
              <Soft>{caution}</Soft>
            </li>
          ))}
        </ul>
      </Column>
      <Side aria-label="Boards">
        <FixingChoice />
        <h2>From which board</h2>
        {boards.materials.map(({ request, result }) =>
          result.ok ? (
            <section key={request.materialId}>
              {several ? (
                <h3>
                  <Fractions text={materialName(request.materialId, wording)} />
                </h3>
              ) : null}
              <BoardRows plan={result.value} />
            </section>
          ) : null,
        )}
        {boards.materials.length === 0 ? <Soft>No pieces yet.</Soft> : null}
      </Side>
    </Split>
  )
}
