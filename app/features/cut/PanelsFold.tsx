import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { fromBack, type Panel, panelsOf } from '~/core/panels/panels'
import { useWallEditor } from '~/editor/WallEditor'
import { panelCutText, panelsText, panelText, say, seamTexts, sheetText } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Picks } from '~/ui/Picks'
import { Soft } from '~/ui/page'
import { space } from '~/ui/theme'

const Item = styled.li`
  display: grid;
  gap: ${space.xs};
  padding: ${space.s} 0;
  border-bottom: 1px solid var(--line);
`

/** One panel to scale with its holes, as it lies on the saw horses: its face up, or its back. */
function PanelPicture({ panel, back }: { panel: Panel; back: boolean }) {
  const { wording } = useWallEditor()
  const width = 360
  const scale = Math.min((width - 60) / panel.width, 150 / panel.height)
  const [w, h] = [panel.width * scale, panel.height * scale]
  const cuts = back ? panel.cuts.map(fromBack) : panel.cuts
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} ${h + 44}`}
      role="img"
      aria-label={`${panel.id} ${back ? sheetText.back : sheetText.face}`}
    >
      <rect
        x={40}
        y={24}
        width={w}
        height={h}
        fill="var(--board)"
        stroke="var(--rod-edge)"
        strokeWidth={1.5}
      />
      {panel.studs.map((at) => {
        const x = 40 + (back ? panel.width - at : at) * scale
        return (
          <line key={at} x1={x} x2={x} y1={24} y2={24 + h} stroke="var(--rod-ink)" strokeDasharray="2 6" />
        )
      })}
      {cuts.map((cut) => (
        <rect
          key={cut.thingId}
          x={40 + cut.left * scale}
          y={24 + cut.top * scale}
          width={cut.width * scale}
          height={cut.height * scale}
          fill="var(--paper)"
          stroke="var(--red)"
          strokeWidth={1.5}
        />
      ))}
      <text x={40 + w / 2} y={17} textAnchor="middle" fontSize={14} fontWeight={700} fill="var(--ink)">
        {say(panel.width, wording)}
      </text>
      <text
        x={32}
        y={24 + h / 2}
        textAnchor="middle"
        fontSize={14}
        fontWeight={700}
        fill="var(--ink)"
        transform={`rotate(-90 32 ${24 + h / 2})`}
      >
        {say(panel.height, wording)}
      </text>
    </svg>
  )
}

/** The panels of the backer: sizes, seams, holes from all four sides, from the face and from the back. */
export function PanelsFold() {
  const { plan, workpiece, wording } = useWallEditor()
  const [side, setSide] = useState<'face' | 'back'>('face')
  const found = useMemo(() => panelsOf(workpiece, plan.layout), [workpiece, plan])
  if (!found?.ok) return null
  const panels = found.value
  const rented = workpiece.wall.survey.walkRound.holder === 'renter'
  return (
    <Fold title={sheetText.panels} aside={String(panels.panels.length)}>
      <p>
        <Fractions text={panelsText(panels, rented, wording)} />
      </p>
      <ul aria-label="Seams">
        {seamTexts(panels, wording).map((text) => (
          <li key={text} data-seam>
            <Fractions text={text} />
          </li>
        ))}
      </ul>
      <Picks
        label="Seen"
        value={side}
        options={[
          { id: 'face', text: sheetText.face },
          { id: 'back', text: sheetText.back },
        ]}
        onChange={setSide}
      />
      <ul aria-label={sheetText.panels}>
        {panels.panels.map((panel) => (
          <Item key={panel.id} data-panel={panel.id}>
            <PanelPicture panel={panel} back={side === 'back'} />
            <p>
              <Fractions text={panelText(panel, wording)} />
            </p>
            {panel.cuts.map((cut) => (
              <Soft key={cut.thingId} data-panel-cut={cut.kind}>
                <Fractions text={panelCutText(side === 'back' ? fromBack(cut) : cut, wording)} />
              </Soft>
            ))}
          </Item>
        ))}
      </ul>
      <Soft>{sheetText.dust}</Soft>
    </Fold>
  )
}
