import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { kitOf } from '~/core/marks/kit'
import { edgesOf } from '~/core/pieces'
import { useWallEditor } from '~/editor/WallEditor'
import {
  endSettingText,
  jointText,
  kitText,
  labelText,
  materialName,
  sayWithUnit,
  rowNames,
  whyNot,
} from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Picks } from '~/ui/Picks'
import { Row, Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'
import { Printed } from './Printed'
import { useCutList } from './useCutList'

const Sheet = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 2px;
  @media print {
    grid-template-columns: repeat(3, 1fr);
  }
`
const Label = styled.li`
  display: grid;
  gap: 2px;
  align-content: start;
  min-height: 96px;
  padding: ${space.s} ${space.m};
  border: 1px dashed var(--edge);
  background: var(--paper);
  break-inside: avoid;
  & > b {
    font-size: ${type.title};
  }
  & small {
    font-size: ${type.small};
  }
`

/** A label a piece: its name, where it goes, its length and its ends; one by one, or all on a sheet to print. */
export function LabelsPage() {
  const { identity, plan, workpiece, wording } = useWallEditor()
  const { cards, release } = useCutList()
  const [shown, setShown] = useState<'sheet' | 'one'>('sheet')
  const [at, setAt] = useState(0)
  const names = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece.name]))
  const labels = cards.flatMap((card) =>
    card.row.pieceIds.map((id) => ({
      id,
      card,
      name: names.get(id) ?? card.row.label,
      where: rowNames(
        plan.pieces.filter((piece) => piece.id === id),
        wording,
      ),
    })),
  )
  const kit = useMemo(() => kitOf(plan.layout, plan.pieces, workpiece.settings.tape), [plan, workpiece])
  const now = Math.min(at, Math.max(0, labels.length - 1))
  const seen = shown === 'one' ? labels.slice(now, now + 1) : labels
  return (
    <Printed
      title={`${jointText.labels}, ${identity.name}`}
      controls={
        <>
          <LinkButton href={`/jobs/${identity.job.id}/walls/${identity.id}/cut`}>Cut list</LinkButton>
          <Picks
            label="Show"
            value={shown}
            options={[
              { id: 'sheet', text: 'all on a sheet' },
              { id: 'one', text: 'one by one' },
            ]}
            onChange={setShown}
          />
          {shown === 'one' ? (
            <Row>
              <Button isDisabled={now === 0} why={whyNot.first} onPress={() => setAt(now - 1)}>
                Before
              </Button>
              <Button isDisabled={now + 1 >= labels.length} why={whyNot.last} onPress={() => setAt(now + 1)}>
                Next
              </Button>
            </Row>
          ) : null}
        </>
      }
    >
      {release ? null : <Soft>{labelText.notReleased}</Soft>}
      <Sheet aria-label={jointText.labels}>
        {seen.map(({ id, card, name, where }) => (
          <Label key={id} data-label={name}>
            <b>
              {name} · <Fractions text={sayWithUnit(edgesOf(card.row).measured, wording)} />
            </b>
            <span>
              {identity.name}: {where}
            </span>
            <small>
              <Fractions text={materialName(card.row.materialId, wording)} />
            </small>
            <small>{labelText.ends(endSettingText(card.start), endSettingText(card.end))}</small>
          </Label>
        ))}
        {shown === 'sheet'
          ? kit.map((block) => (
              <Label key={block.id} data-label={block.id}>
                <b>
                  <Fractions text={sayWithUnit(block.length, wording)} />
                </b>
                <span>
                  {identity.name}: {kitText(block, wording)}
                </span>
                <small>{labelText.block}</small>
              </Label>
            ))
          : null}
      </Sheet>
    </Printed>
  )
}
