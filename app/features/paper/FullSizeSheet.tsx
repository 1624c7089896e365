import { useState } from 'react'
import { formatExact } from '~/length'
import { paperNames, paperPageText, templateNames } from '~/messages'
import { LABEL_SHEETS, PAPERS, TEMPLATES, type PaperOffers } from '~/model'
import { Choice } from '~/ui/Choice'
import { NumberBox } from '~/ui/NumberBox'
import { Picks } from '~/ui/Picks'
import { Row, Sheet, Soft } from '~/ui/page'
import { Buttons, GetButton, GetState, GiveUp } from './GetFile'
import { useGetFile } from './useGetFile'

type On = (typeof PAPERS)[number] | 'roll'

/** Measures of a label, as they stand on its box. */
function sizeOf({ paper, width, height }: (typeof LABEL_SHEETS)[number]): string {
  return paper === 'a4'
    ? `${width} × ${height} mm`
    : [width, height].map((each) => formatExact(Math.round(each * 25_400_000), 'inches')).join(' × ') + ' in'
}

/** Rods, templates and labels of one wall: what is laid on it as it comes from the printer. */
export function FullSizeSheet({
  jobId,
  wall,
  datum,
  offers,
  metric,
}: {
  readonly jobId: string
  readonly wall: string
  readonly datum: string
  readonly offers: PaperOffers | null
  readonly metric: boolean
}) {
  const file = useGetFile()
  const [on, setOn] = useState<On>(metric ? 'a4' : 'letter')
  // as a part of what it should be
  const [ratio, setRatio] = useState(1)
  const bar = ratio * 6
  const whole = metric ? 100 : 6
  const [sheet, setSheet] = useState(metric ? 'a4-21' : 'letter-30')
  const [skip, setSkip] = useState(0)
  const [right, setRight] = useState(0)
  const [down, setDown] = useState(0)
  const at = (name: string, query: Readonly<Record<string, string>>) =>
    `/jobs/${jobId}/paper/${name}?${new URLSearchParams({ wall, datum, ...query })}`
  const paper = on === 'roll' ? (metric ? 'a4' : 'letter') : on
  const own = LABEL_SHEETS.find(({ id }) => id === sheet)
  return (
    <Sheet aria-label={paperPageText.full}>
      <h2>{paperPageText.full}</h2>
      <Soft>{paperPageText.fullHow}</Soft>
      <Row>
        <Picks<On>
          label={paperPageText.on}
          value={on}
          options={[
            ...PAPERS.map((id) => ({ id, text: paperNames[id] })),
            { id: 'roll' as const, text: paperPageText.roll },
          ]}
          onChange={setOn}
        />
        <NumberBox
          label={metric ? paperPageText.barMm : paperPageText.bar}
          lay="beside"
          value={Number((ratio * whole).toFixed(3))}
          least={whole * 0.9}
          most={whole * 1.1}
          step={metric ? 0.1 : 0.001}
          onDone={(value) => setRatio((value ?? whole) / whole)}
        />
      </Row>
      <Soft>{Math.abs(ratio - 1) > 0.03 ? paperPageText.barFar : paperPageText.barHow}</Soft>
      <h3>{paperPageText.rods}</h3>
      <Buttons>
        <GetButton name={paperPageText.rods} href={at('rod.pdf', { on, bar: String(bar) })} file={file} />
      </Buttons>
      <h3>{paperPageText.templates}</h3>
      <Buttons>
        {TEMPLATES.map((kind) => (
          <GetButton
            key={kind}
            name={templateNames[kind]}
            off={offers !== null && !offers.templates.includes(kind)}
            href={at('templates.pdf', { kinds: kind, paper, bar: String(bar) })}
            file={file}
          />
        ))}
      </Buttons>
      <h3>{paperPageText.labels}</h3>
      <Row>
        <Choice
          label={paperPageText.labelSheet}
          value={sheet}
          options={LABEL_SHEETS.map((each) => ({
            id: each.id,
            text: `${paperNames[each.paper]}: ${paperPageText.labelName(each.across, each.down, sizeOf(each))}`,
          }))}
          onChange={setSheet}
        />
        <NumberBox
          label={paperPageText.skip}
          lay="above"
          value={skip}
          least={0}
          most={(own ? own.across * own.down : 30) - 1}
          step={1}
          onDone={(value) => setSkip(value ?? 0)}
        />
        <NumberBox
          label={paperPageText.shiftRight}
          lay="above"
          value={right}
          least={-10}
          most={10}
          step={0.1}
          onDone={(value) => setRight(value ?? 0)}
        />
        <NumberBox
          label={paperPageText.shiftDown}
          lay="above"
          value={down}
          least={-10}
          most={10}
          step={0.1}
          onDone={(value) => setDown(value ?? 0)}
        />
      </Row>
      <Buttons>
        <GetButton
          name={paperPageText.labels}
          off={offers !== null && offers.labels === 0}
          href={at('labels.pdf', {
            sheet,
            skip: String(skip),
            right: String(right),
            down: String(down),
          })}
          file={file}
        />
        <GiveUp file={file} />
      </Buttons>
      <Soft>{paperPageText.none}</Soft>
      <GetState state={file.state} />
    </Sheet>
  )
}
