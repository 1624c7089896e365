import { useMemo } from 'react'
import { planRipped } from '~/core/sheets/planRipped'
import { panelsOf } from '~/core/panels/panels'
import { useWallEditor } from '~/editor/WallEditor'
import {
  breakDownText,
  jointText,
  materialName,
  panelCutText,
  panelText,
  sayWithUnit,
  sheetName,
  ticketText,
} from '~/messages'
import { breakDowns } from '~/core/sheets/stripSheets'
import { edgesOf } from '~/core/pieces'
import { LinkButton } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { Printed } from './Printed'
import { useCutList } from './useCutList'

/** What a store or a friend cuts: sheets broken down, strips and caps ripped, panels with their holes, and what no tool of ours makes. */
export function TicketPage() {
  const { identity, plan, workpiece, wording } = useWallEditor()
  const { cards } = useCutList()
  const { settings } = workpiece
  const sheets = useMemo(
    () =>
      planRipped(
        cards.map(({ row }) => row),
        settings,
      ),
    [cards, settings],
  )
  const panels = panelsOf(workpiece, plan.layout)
  const rips = cards.filter(({ rip }) => rip !== null)
  const others = cards.filter(
    ({ work, start, end }) =>
      work.some(({ tool }) => tool === null) || [...start, ...end].some(({ other }) => other?.way === 'mate'),
  )
  const most = settings.shop.saw.crosscut
  const nothing = sheets.length + rips.length + others.length === 0 && !panels?.ok
  return (
    <Printed
      title={`${jointText.ticket}, ${identity.job.name}, ${identity.name}`}
      controls={<LinkButton href={`/jobs/${identity.job.id}/walls/${identity.id}/cut`}>Cut list</LinkButton>}
    >
      {nothing ? (
        <p>{ticketText.nothing}</p>
      ) : (
        <Soft>{ticketText.lead(sayWithUnit(settings.shop.kerf, wording))}</Soft>
      )}
      {sheets.map(({ sheet, result }) =>
        result.ok ? (
          <section key={sheet.id} data-ticket-sheet={sheet.id}>
            <h2>
              <Fractions text={sheetName(sheet, wording)} />
            </h2>
            <ol>
              {result.value.sheets.map((each) => (
                <li key={each.number}>
                  <Fractions text={ticketText.sheet(each, wording)} />{' '}
                  <Fractions text={breakDownText(breakDowns(each, most, settings.shop.kerf), wording)} />
                </li>
              ))}
            </ol>
          </section>
        ) : null,
      )}
      {rips.length > 0 ? (
        <Table data-ticket-rips>
          <caption>{ticketText.rips}</caption>
          <thead>
            <tr>
              {ticketText.columns.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rips.map(({ row, rip }) => (
              <tr key={row.label}>
                <th scope="row">{row.label}</th>
                <td>
                  <Fractions text={materialName(row.materialId, wording)} />
                </td>
                <td className="number">
                  <Fractions text={sayWithUnit(rip?.to ?? 0, wording)} />
                </td>
                <td className="number">
                  <Fractions text={sayWithUnit(edgesOf(row).measured, wording)} />
                </td>
                <td className="number">{row.pieceIds.length}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
      {panels?.ok ? (
        <section>
          <h2>Panels</h2>
          <ul>
            {panels.value.panels.map((panel) => (
              <li key={panel.id}>
                <Fractions text={panelText(panel, wording)} />
                {panel.cuts.map((cut) => (
                  <p key={cut.thingId}>
                    <Fractions text={panelCutText(cut, wording)} />
                  </p>
                ))}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {others.length > 0 ? (
        <section>
          <h2>{ticketText.others}</h2>
          <ul>
            {others.map(({ row }) => (
              <li key={row.label}>
                <Fractions text={ticketText.other(row, wording)} />
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </Printed>
  )
}
