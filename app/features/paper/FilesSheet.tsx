import { paperPageText, tableNames } from '~/messages'
import { DRAWINGS, TABLES, type PaperOffers } from '~/model'
import { LinkButton } from '~/ui/Button'
import { Sheet, Soft } from '~/ui/page'
import { Buttons, GetButton, GetState, GiveUp } from './GetFile'
import { useGetFile } from './useGetFile'

/** Drawings and tables of one wall, and the job's own files, in forms that other programs read. */
export function FilesSheet({
  jobId,
  wall,
  datum,
  offers,
}: {
  readonly jobId: string
  readonly wall: string
  readonly datum: string
  readonly offers: PaperOffers | null
}) {
  const file = useGetFile()
  const at = (name: string, query: Readonly<Record<string, string>>) =>
    `/jobs/${jobId}/paper/${name}?${new URLSearchParams({ wall, datum, ...query })}`
  return (
    <Sheet aria-label={paperPageText.files}>
      <h2>{paperPageText.files}</h2>
      <h3>{paperPageText.drawings}</h3>
      <Buttons>
        {DRAWINGS.map((drawing) => (
          <GetButton
            key={drawing}
            name={`${paperPageText.drawing[drawing]}: SVG`}
            off={offers !== null && !offers.drawings.includes(drawing)}
            href={at('drawing.svg', { drawing })}
            file={file}
          />
        ))}
        <GetButton
          name={`${paperPageText.drawing.wall}: ${paperPageText.png}`}
          href={at('drawing.png', {})}
          file={file}
        />
        <GetButton
          name={`${paperPageText.drawing.boards}: ${paperPageText.png}`}
          off={offers !== null && !offers.drawings.includes('boards')}
          href={at('drawing.png', { drawing: 'boards' })}
          file={file}
        />
        <GetButton name={paperPageText.dxf} href={at('drawing.dxf', {})} file={file} />
        <GetButton name={paperPageText.dxfOld} href={at('drawing.dxf', { version: 'r12' })} file={file} />
      </Buttons>
      <Soft>{paperPageText.dxfHow}</Soft>
      <h3>{paperPageText.tables}</h3>
      <Buttons>
        {TABLES.map((table) => (
          <GetButton
            key={table}
            name={`${tableNames[table]}: ${paperPageText.csv}`}
            href={at('table.csv', { table })}
            file={file}
          />
        ))}
      </Buttons>
      <Buttons>
        <GetButton name={paperPageText.calendar} href={`/jobs/${jobId}/paper/work.ics`} file={file} />
        <LinkButton href={`/jobs/${jobId}/export`} download>
          {paperPageText.jobFile}
        </LinkButton>
        <GiveUp file={file} />
      </Buttons>
      <Soft>{paperPageText.jobFileHow}</Soft>
      <GetState state={file.state} />
    </Sheet>
  )
}
