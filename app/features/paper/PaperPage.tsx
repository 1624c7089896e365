import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import type { Datum } from '~/core/marks/runningMarks'
import { JobFrame } from '~/editor/work/JobFrame'
import { paperPageText } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Picks } from '~/ui/Picks'
import { Alert, PageMain, Row, SideMain, Soft } from '~/ui/page'
import { narrow, space } from '~/ui/theme'
import { BookletSheet } from './BookletSheet'
import { FilesSheet } from './FilesSheet'
import { FullSizeSheet } from './FullSizeSheet'
import type { PaperPageJob } from './pageJob'
import { useOffers } from './useOffers'

/** The sheet lies on the bench while it is chosen what is made of it. White whatever the theme: it is paper. */
const Bench = styled.section`
  position: sticky;
  top: ${space.l};
  display: grid;
  gap: ${space.m};
  ${narrow} {
    position: static;
  }
`
const Preview = styled.img`
  display: block;
  width: 100%;
  height: auto;
  aspect-ratio: 11 / 8.5;
  object-fit: contain;
  padding: ${space.m};
  background: #ffffff;
  border: 1px solid var(--edge);
  box-shadow: 0 8px 24px rgb(0 0 0 / 0.16);
`
const Stack = styled.div`
  display: grid;
  gap: ${space.l};
`
const Picked = styled(Row)`
  align-items: end;
  & > :first-child {
    flex: 1 1 200px;
  }
`

/** A job on paper and as files: the booklet, rods and templates at full size, files for other programs. */
export function PaperPage({ job }: { readonly job: PaperPageJob }) {
  const [first] = job.walls
  return (
    <JobFrame job={job} here="paper" saver={null}>
      {first ? (
        <Papers job={job} first={first.id} />
      ) : (
        <PageMain>
          <h1>{paperPageText.title}</h1>
          {job.unreadable.length > 0 ? <Alert>{paperPageText.unreadable(job.unreadable)}</Alert> : null}
          <Soft>{paperPageText.noWallsYet}</Soft>
        </PageMain>
      )}
    </JobFrame>
  )
}

function Papers({ job, first }: { readonly job: PaperPageJob; readonly first: string }) {
  const [query, setQuery] = useSearchParams()
  const [datum, setDatum] = useState<Datum>('left')
  const asked = query.get('wall')
  const wall = job.walls.find(({ id }) => id === asked)?.id ?? first
  const name = job.walls.find(({ id }) => id === wall)?.name ?? ''
  const offers = useOffers(job.id, wall)
  return (
    <SideMain $side={520}>
      <Bench aria-label={paperPageText.title}>
        <h1>{paperPageText.title}</h1>
        <Soft>{paperPageText.lead}</Soft>
        {job.unreadable.length > 0 ? <Alert>{paperPageText.unreadable(job.unreadable)}</Alert> : null}
        <Picked>
          <Choice
            label={paperPageText.wall}
            value={wall}
            options={job.walls.map((each) => ({ id: each.id, text: each.name }))}
            onChange={(id) => setQuery({ wall: id }, { replace: true, preventScrollReset: true })}
          />
          <Picks<Datum>
            label={paperPageText.datum}
            value={datum}
            options={(['left', 'right'] as const).map((id) => ({ id, text: paperPageText.corner[id] }))}
            onChange={setDatum}
          />
        </Picked>
        <Preview
          key={`${wall} ${datum}`}
          src={`/jobs/${job.id}/paper/drawing.svg?wall=${wall}&datum=${datum}&of=${job.revision}`}
          alt={paperPageText.preview(name)}
        />
      </Bench>
      <Stack>
        <BookletSheet job={job} datum={datum} />
        <FullSizeSheet jobId={job.id} wall={wall} datum={datum} offers={offers} metric={job.units === 'mm'} />
        <FilesSheet jobId={job.id} wall={wall} datum={datum} offers={offers} />
      </Stack>
    </SideMain>
  )
}
