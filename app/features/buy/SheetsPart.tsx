import { Trash2 } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { boughtReady, cubicInches, demandsOf, givesStrips, ripWork } from '~/core/sheets/ripped'
import { planRipped } from '~/core/sheets/planRipped'
import { breakDowns, oneMoreStrip, planSheetsQuickly, type SheetPlan } from '~/core/sheets/stripSheets'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Result, ZERO } from '~/length'
import {
  againstText,
  breakDownText,
  capital,
  count,
  materialName,
  oneMoreText,
  sheetIssueText,
  sheetName,
  sheetPlanText,
  sheetText,
  ticketText,
} from '~/messages'
import { type Sheet, usualSheets } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Pair } from '~/ui/fields'
import { PriceField } from '~/ui/PriceField'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { proveSheets } from '~/workers/boardsClient'
import type { SheetIssue } from '~/core/sheets/stripSheets'

const Item = styled.section`
  display: grid;
  gap: ${space.s};
  padding-bottom: ${space.m};
  border-bottom: 1px solid var(--line);
`

/** The sheets a wall's ripped strips take: a good plan at once, the proven one when it is found. */
function useRipped() {
  const { plan, workpiece } = useWallEditor()
  const { settings } = workpiece
  const quick = useMemo(() => planRipped(plan.cutList, settings), [plan, settings])
  const [proven, setProven] = useState<{
    of: typeof quick
    results: Map<string, Result<SheetPlan, SheetIssue>>
  } | null>(null)
  useEffect(() => {
    let over = false
    const jobs: { cancel: () => void }[] = []
    const all = async () => {
      const results = new Map<string, Result<SheetPlan, SheetIssue>>()
      for (const { sheet } of quick) {
        const job = proveSheets(sheet, demandsOf(plan.cutList, settings, sheet.id), settings.shop)
        jobs.push(job)
        results.set(sheet.id, await job.answer)
      }
      if (!over && results.size > 0) setProven({ of: quick, results })
    }
    // the first plan stands where the search breaks down, and says that it is not proven
    void all().catch(() => undefined)
    return () => {
      over = true
      jobs.forEach((job) => job.cancel())
    }
  }, [quick, plan, settings])
  return quick.map((offer) => ({
    ...offer,
    result: (proven?.of === quick ? proven.results.get(offer.sheet.id) : undefined) ?? offer.result,
  }))
}

function SheetItem({ sheet }: { sheet: Sheet }) {
  const { workpiece, wording, edit } = useWallEditor()
  const { shop, currency } = workpiece.settings
  const set = (next: Partial<Sheet>) => [
    {
      type: 'patchSettings' as const,
      patch: {
        shop: {
          ...shop,
          sheets: shop.sheets.map((each) => (each.id === sheet.id ? { ...each, ...next } : each)),
        },
      },
    },
  ]
  const name = sheetName(sheet, wording)
  return (
    <Item data-sheet={sheet.id}>
      <Row>
        <b>
          <Fractions text={capital(name)} />
        </b>
        <Button
          $kind="quiet"
          aria-label={`Take ${name} off the list`}
          onPress={() =>
            edit(
              [
                {
                  type: 'patchSettings',
                  patch: { shop: { ...shop, sheets: shop.sheets.filter(({ id }) => id !== sheet.id) } },
                },
              ],
              'done',
            )
          }
        >
          <Trash2 size={17} aria-hidden />
        </Button>
      </Row>
      <Pair>
        <EditLength
          field={`sheet.${sheet.id}.width`}
          label="Across"
          value={sheet.width}
          least={inches(6)}
          most={inches(144)}
          toEdits={(width) => set({ width })}
        />
        <EditLength
          field={`sheet.${sheet.id}.length`}
          label="Long way"
          value={sheet.length}
          least={inches(12)}
          most={inches(240)}
          toEdits={(length) => set({ length })}
        />
        <EditLength
          field={`sheet.${sheet.id}.edge`}
          label="Off each edge"
          value={sheet.edge}
          least={ZERO}
          most={inches(4)}
          toEdits={(edge) => set({ edge })}
        />
        <PriceField
          label={`Price of ${name}`}
          value={sheet.price}
          currency={currency}
          onChange={(price) => edit(set({ price }), 'done')}
        />
      </Pair>
    </Item>
  )
}

/** Strips ripped from sheets instead of bought: which stuff, from which sheet, how many, and what it saves or costs. */
export function SheetsPart() {
  const { plan, workpiece, wording, edit } = useWallEditor()
  const { settings } = workpiece
  const { shop, currency } = settings
  const plans = useRipped()
  const used = [...new Set(plan.pieces.map(({ materialId }) => materialId))]
  const rippable = settings.materials.filter(({ id }) => used.includes(id))
  const fresh = usualSheets(rippable[0]?.thickness ?? inches(3 / 4)).filter(
    (sheet) => !shop.sheets.some(({ id }) => id === sheet.id),
  )
  return (
    <Fold title={sheetText.title} aside={String(shop.sheets.length)} open={plans.length > 0}>
      <Soft>{shop.sheets.length === 0 ? sheetText.none : sheetText.longWay}</Soft>
      {rippable.map((material) => {
        const gives = shop.sheets.filter((sheet) => givesStrips(sheet, material))
        const now = shop.ripped[material.id]
        if (gives.length === 0 && now === undefined) return null
        const { [material.id]: _, ...others } = shop.ripped
        return (
          <Choice
            key={material.id}
            label={materialName(material.id, wording)}
            value={now ?? 'strips'}
            options={[
              { id: 'strips', text: sheetText.asStrips },
              ...gives.map((sheet) => ({ id: sheet.id, text: `ripped from ${sheetName(sheet, wording)}` })),
            ]}
            onChange={(id) =>
              edit(
                [
                  {
                    type: 'patchSettings',
                    patch: {
                      shop: { ...shop, ripped: id === 'strips' ? others : { ...others, [material.id]: id } },
                    },
                  },
                ],
                'done',
              )
            }
          />
        )
      })}
      {plans.map(({ sheet, result }) => {
        const demands = demandsOf(plan.cutList, settings, sheet.id)
        if (!result.ok)
          return (
            <p key={sheet.id} role="alert">
              <Fractions text={sheetIssueText(result.issue, wording)} />
            </p>
          )
        const made = result.value
        const { minutes, dust } = ripWork(made, shop.kerf)
        // what another size on the list would take
        const other = shop.sheets
          .filter((each) => each.id !== sheet.id && each.thickness === sheet.thickness)
          .flatMap((each) => {
            const plan = planSheetsQuickly(each, demands, shop)
            return plan.ok && plan.value.sheets.length !== made.sheets.length
              ? [{ each, sheets: plan.value.sheets.length }]
              : []
          })
        return (
          <Item key={sheet.id} data-sheet-plan={made.sheets.length} data-proven={made.proven}>
            <b>
              <Fractions text={capital(sheetName(sheet, wording))} />
            </b>
            <p>{sheetPlanText(made, currency)}</p>
            <ol>
              {made.sheets.map((each) => (
                <li key={each.number}>
                  <SheetPicture plan={made} number={each.number} />
                  <Fractions text={ticketText.sheet(each, wording)} />
                </li>
              ))}
            </ol>
            {made.sheets[0] ? (
              <Soft>
                <Fractions
                  text={breakDownText(breakDowns(made.sheets[0], shop.saw.crosscut, shop.kerf), wording)}
                />
              </Soft>
            ) : null}
            <Soft>
              <Fractions
                text={againstText(
                  boughtReady(demands, settings),
                  made,
                  { minutes, cubicInches: cubicInches(dust) },
                  currency,
                )}
              />
            </Soft>
            {demands.map(({ materialId, width }) => (
              <Soft key={materialId}>
                <Fractions
                  text={oneMoreText(
                    oneMoreStrip(made, width, shop.kerf),
                    materialName(materialId, wording),
                    currency,
                  )}
                />
              </Soft>
            ))}
            {other.map(({ each, sheets }) => (
              <Soft key={each.id}>
                <Fractions
                  text={`${capital(sheetName(each, wording))}: ${count(sheets, 'sheet')} would do.`}
                />
              </Soft>
            ))}
            <Soft>{sheetText.dust}</Soft>
          </Item>
        )
      })}
      {shop.sheets.map((sheet) => (
        <SheetItem key={sheet.id} sheet={sheet} />
      ))}
      {fresh.map((sheet) => (
        <AddButton
          key={sheet.id}
          what="sheets"
          has={shop.sheets.length}
          onPress={() =>
            edit(
              [{ type: 'patchSettings', patch: { shop: { ...shop, sheets: [...shop.sheets, sheet] } } }],
              'done',
            )
          }
        >
          <Fractions text={`List ${sheetName(sheet, wording)}`} />
        </AddButton>
      ))}
    </Fold>
  )
}

/** One sheet lying with its long way across the page: its strips and what is cut from each. */
function SheetPicture({ plan, number }: { plan: SheetPlan; number: number }) {
  const { wording } = useWallEditor()
  const found = plan.sheets.find((each) => each.number === number)
  const width = 300
  const scale = width / plan.sheet.length
  const height = plan.sheet.width * scale
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={found ? ticketText.sheet(found, wording) : ''}
    >
      <rect width={width} height={height} fill="none" stroke="var(--ink-soft)" strokeDasharray="4 4" />
      {found?.strips.flatMap((strip, i) =>
        strip.pieces.map((piece) => (
          <rect
            key={`${i} ${piece.id} ${piece.from}`}
            x={piece.from * scale}
            y={strip.from * scale}
            width={piece.length * scale}
            height={strip.width * scale}
            fill="var(--board)"
            stroke="var(--rod-edge)"
            strokeWidth={0.6}
          />
        )),
      )}
    </svg>
  )
}
