import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import type { Datum } from '~/core/marks/runningMarks'
import { JobFrame } from '~/editor/work/JobFrame'
import { paperPageText } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Picks } from '~/ui/Picks'
import { Alert, PageMain, Row, Soft } from '~/ui/page'
import { BookletSheet } from './BookletSheet'
import { FilesSheet } from './FilesSheet'
import { FullSizeSheet } from './FullSizeSheet'
import type { PaperPageJob } from './pageJob'

/** White whatever the theme: it is paper. */
const Preview = styled.img`
  display: block;
  width: 100%;
  height: auto;
  aspect-ratio: 16 / 9;
  object-fit: contain;
  background: #ffffff;
  border: 1px solid var(--edge);
  box-shadow: 0 6px 18px rgb(0 0 0 / 0.14);
`

/** A job on paper and as files: the booklet, rods and templates at full size, files for other programs. */
export function PaperPage({ job }: { readonly job: PaperPageJob }) {
  const [query, setQuery] = useSearchParams()
  const [datum, setDatum] = useState<Datum>('left')
  const [first] = job.walls
  const wall = job.walls.find(({ id }) => id === query.get('wall')) ?? first
  return (
    <JobFrame job={job} here="paper" saver={null}>
      <PageMain>
        <h1>{paperPageText.title}</h1>
        <Soft>{paperPageText.lead}</Soft>
        {job.unreadable.length > 0 ? <Alert>{paperPageText.unreadable(job.unreadable)}</Alert> : null}
        {wall ? (
          <>
            <Row>
              <Soft>{paperPageText.datum}</Soft>
              <Picks<Datum>
                label={paperPageText.datum}
                value={datum}
                options={(['left', 'right'] as const).map((id) => ({ id, text: paperPageText.corner[id] }))}
                onChange={setDatum}
              />
            </Row>
            <BookletSheet job={job} datum={datum} />
            <Choice
              label={paperPageText.wall}
              value={wall.id}
              options={job.walls.map(({ id, name }) => ({ id, text: name }))}
              onChange={(id) => setQuery({ wall: id }, { replace: true, preventScrollReset: true })}
            />
            <Preview
              key={`${wall.id} ${datum}`}
              src={`/jobs/${job.id}/paper/drawing.svg?wall=${wall.id}&datum=${datum}&of=${job.revision}`}
              alt={paperPageText.preview(wall.name)}
              loading="lazy"
            />
            <FullSizeSheet jobId={job.id} wall={wall.id} datum={datum} metric={job.units === 'mm'} />
            <FilesSheet jobId={job.id} wall={wall.id} datum={datum} />
          </>
        ) : (
          <Soft>{paperPageText.noWallsYet}</Soft>
        )}
      </PageMain>
    </JobFrame>
  )
}
