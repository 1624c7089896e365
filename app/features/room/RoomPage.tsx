import { useRef } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import { useSize } from '~/drawing/interaction/useSize'
import { SavingTools, SavingTrouble } from '~/editor/SavingBar'
import { roomNotes, type Wording } from '~/messages'
import { AnywhereButtons } from '~/ui/anywhere'
import { Logo } from '~/ui/Logo'
import { RenameHere } from '~/ui/RenameHere'
import { PageHeader, Trail } from '~/ui/PageHeader'
import { Row, Soft, Spread } from '~/ui/page'
import { narrow, space } from '~/ui/theme'
import { CornersPanel } from './CornersPanel'
import { LayOutLike } from './LayOutLike'
import { MatchPanel } from './MatchPanel'
import { RoomOptions, type RoomOptionRow } from './RoomOptions'
import { RoomWallView } from './RoomWallView'
import { type RoomData, useRoom } from './useRoom'

const Page = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: ${space.l};
  padding: ${space.m} ${space.l} ${space.xl};
  ${narrow} {
    padding: ${space.m} ${space.s};
  }
`
const Unrolled = styled.div.attrs({ tabIndex: 0, role: 'group', 'aria-label': 'The walls, unrolled' })`
  display: flex;
  align-items: start;
  gap: ${space.s};
  overflow-x: auto;
  padding-bottom: ${space.s};
  /* on a phone one wall stands below the other, and nothing lies beside the page */
  ${narrow} {
    flex-direction: column;
    gap: ${space.l};
    overflow-x: visible;
  }
`
const Panels = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-items: start;
  gap: ${space.l};
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`
/** The width below which the walls stand one below the other: the page's narrow form, less its sides. */
const STACKED_BELOW = 844
const FIRST_SIZE = { width: 1200, height: 240 }
/** All walls side by side fill the width, but a wall is never drawn smaller or larger than this. */
const HEIGHTS = { least: 150, most: 260 }

/** The walls of a room unrolled side by side: matched, joined in the corners, in the order of fitting. */
export function RoomPage({
  room: data,
}: {
  room: RoomData & { readonly options: readonly RoomOptionRow[] }
}) {
  const room = useRoom(data)
  const box = useRef<HTMLDivElement>(null)
  const size = useSize(box, FIRST_SIZE)
  const { units, tape, materials } = room.settings
  const wording: Wording = { format: { units, tape }, materials }
  const surveys = room.walls.map(({ workpiece }) => workpiece.wall.survey)
  const total = surveys.reduce((sum, { width }) => sum + width, 0)
  const highest = Math.max(1, ...surveys.map(({ height }) => height))
  const room0 = size.width - surveys.length * 24
  const widest = Math.max(1, ...surveys.map(({ width }) => width))
  const stacked = size.width < STACKED_BELOW
  const scale = stacked
    ? Math.min(HEIGHTS.most / highest, (size.width - 16) / widest)
    : Math.min(HEIGHTS.most / highest, Math.max(HEIGHTS.least / highest, room0 / Math.max(1, total)))
  return (
    <>
      <PageHeader>
        <Link to="/" aria-label="Regla, all jobs" style={{ color: 'var(--ink)' }}>
          <Logo />
        </Link>
        <Trail aria-label="Where this room is">
          <Link to={`/jobs/${data.job.id}`}>{data.job.name}</Link> / <strong>{data.name}</strong>
          <RenameHere
            what="this room"
            name={data.name}
            action={`/jobs/${data.job.id}`}
            fields={{ intent: 'renameRoom', roomId: data.id }}
          />
        </Trail>
        <Row>
          <AnywhereButtons />
          <SavingTools saver={room.saver} here={null} />
        </Row>
        <SavingTrouble saver={room.saver} here={null} />
      </PageHeader>
      <Page>
        <Spread>
          <h1>{data.name}, wall by wall</h1>
          {room.walls.length > 1 ? <LayOutLike room={room} /> : null}
        </Spread>
        <div ref={box}>
          <Unrolled>
            {room.walls.map((planned) => (
              <RoomWallView
                key={planned.id}
                planned={planned}
                room={room}
                jobId={data.job.id}
                scale={scale}
                highest={stacked ? null : highest}
                wording={wording}
              />
            ))}
          </Unrolled>
        </div>
        {room.walls.length === 0 ? <Soft>{roomNotes.noWall}</Soft> : null}
        <Panels>
          <MatchPanel room={room} wording={wording} />
          <CornersPanel room={room} />
        </Panels>
        <RoomOptions options={data.options} walls={room.walls} currency={room.settings.currency} />
      </Page>
    </>
  )
}
