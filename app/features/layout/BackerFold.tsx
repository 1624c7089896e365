import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, ZERO } from '~/length'
import { panelsText, sheetName, sheetText } from '~/messages'
import { type Backer, type Edit, inForce, usualSheets } from '~/model'
import { panelsOf } from '~/core/panels/panels'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Pair } from '~/ui/fields'
import { Soft } from '~/ui/page'

/** A usual gap between panels: they swell. Common practice, no source. */
const GAP = inches(1 / 8)

/** A skin of sheets under the trim: of which sheet, how high, its seams. */
export function BackerFold() {
  const { plan, workpiece, wording, edit } = useWallEditor()
  const { backer } = inForce(workpiece.wall.design)
  const { shop } = workpiece.settings
  // thin sheets that are not listed yet come with the choice
  const known = shop.sheets
  const thin = usualSheets(inches(1 / 4)).filter((sheet) => !known.some(({ id }) => id === sheet.id))
  const set = (next: Partial<Backer>): Edit[] =>
    backer ? [{ type: 'patchDesign', patch: { backer: { ...backer, ...next } } }] : []
  const choose = (id: string) => {
    if (id === 'none') return edit([{ type: 'patchDesign', patch: { backer: null } }], 'done')
    const fresh = thin.find((sheet) => sheet.id === id)
    const start: Backer = backer ?? { sheet: id, seams: 'studs', gap: GAP, round: GAP, from: ZERO, to: null }
    edit(
      [
        ...(fresh
          ? [{ type: 'patchSettings' as const, patch: { shop: { ...shop, sheets: [...known, fresh] } } }]
          : []),
        { type: 'patchDesign', patch: { backer: { ...start, sheet: id } } },
      ],
      'done',
    )
  }
  const found = panelsOf(workpiece, plan.layout)
  return (
    <Fold title={sheetText.backer} aside={found?.ok ? String(found.value.panels.length) : sheetText.noBacker}>
      <Choice
        label="Sheets under the trim"
        value={backer?.sheet ?? 'none'}
        options={[
          { id: 'none', text: 'none: the trim goes on the wall' },
          ...[...known, ...thin].map((sheet) => ({ id: sheet.id, text: sheetName(sheet, wording) })),
          ...(backer && ![...known, ...thin].some(({ id }) => id === backer.sheet)
            ? [{ id: backer.sheet, text: 'a sheet that is not listed any more' }]
            : []),
        ]}
        onChange={choose}
      />
      {backer ? (
        <>
          <Choice
            label="Seams"
            value={backer.seams}
            options={[
              { id: 'studs', text: 'on studs, under strips where they can be' },
              { id: 'sheets', text: 'whole sheets from the left' },
            ]}
            onChange={(seams) => edit(set({ seams }), 'done')}
          />
          <Pair>
            <EditLength
              field="backer.gap"
              label="Between panels"
              value={backer.gap}
              least={ZERO}
              most={inches(1)}
              toEdits={(gap) => set({ gap })}
            />
            <EditLength
              field="backer.round"
              label="All round"
              value={backer.round}
              least={ZERO}
              most={inches(2)}
              toEdits={(round) => set({ round })}
            />
            <EditLength
              field="backer.from"
              label="From the floor"
              value={backer.from}
              least={ZERO}
              most={inches(200)}
              toEdits={(from) => set({ from })}
            />
            <EditLength
              field="backer.to"
              label="Up to"
              value={backer.to ?? plan.layout.lines.headLine}
              least={inches(2)}
              most={inches(400)}
              toEdits={(to) => set({ to: to >= plan.layout.lines.headLine ? null : to })}
            />
          </Pair>
          {found?.ok ? (
            <Soft>
              <Fractions
                text={panelsText(found.value, workpiece.wall.survey.walkRound.holder === 'renter', wording)}
              />
            </Soft>
          ) : null}
        </>
      ) : null}
    </Fold>
  )
}
