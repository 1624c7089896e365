import { Archive, ArchiveRestore, Copy } from 'lucide-react'
import { Suspense } from 'react'
import { Await, Link, useFetcher } from 'react-router'
import { styled } from 'styled-components'
import { jobText, wallStanding } from '~/messages'
import { RenameHere } from '~/ui/RenameHere'
import { Button } from '~/ui/Button'
import { useMay } from '~/ui/rights'
import { Fractions } from '~/ui/Fractions'
import { Alert, Soft } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { Tip } from '~/ui/Tip'

/** What a wall's layout is in a few words and what is open on it, or why it can't be said. */
export type WallWords =
  | { readonly kind: 'said'; readonly words: string; readonly wrong: number; readonly open: number }
  | { readonly kind: 'tooLong' | 'broken' }

export interface WallOnJob {
  readonly id: string
  readonly name: string
  readonly archived: boolean
  readonly size: string | null
  readonly picture: { readonly width: number; readonly height: number; readonly version: string } | null
  readonly words: WallWords | null
  readonly toMeasure: boolean
  readonly cut: boolean
}

/** Walls stand side by side on one floor line, as they do round the room. */
export const Walls = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.l} ${space.xl};
  ${narrow} {
    display: grid;
    gap: ${space.m};
  }
`
const Item = styled.li`
  display: grid;
  grid-template-rows: 116px auto;
  gap: ${space.s};
  width: 232px;
  & a {
    color: var(--ink);
    font-size: ${type.lead};
    font-weight: 650;
    text-underline-offset: 4px;
  }
  ${narrow} {
    width: auto;
    grid-template: auto / 116px minmax(0, 1fr);
    align-items: start;
    gap: ${space.m};
    padding-bottom: ${space.m};
    border-bottom: 1px solid var(--line);
  }
`
const Drawing = styled(Link)`
  display: flex;
  align-items: end;
  border-bottom: 3px solid var(--rod-edge);
  & img {
    max-width: 100%;
    height: auto;
    display: block;
  }
`
const Tools = styled.span`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  margin-left: -${space.s};
`
const Standing = styled.span<{ $done: boolean }>`
  font-weight: 600;
  color: ${({ $done }) => ($done ? 'var(--green)' : 'var(--ink)')};
`

function Said({ wall, words }: { wall: WallOnJob; words: WallWords | null }) {
  const said = words?.kind === 'said' ? words : null
  const standing = wallStanding({ ...wall, planned: said })
  const layout = words === null ? '' : said ? said.words : jobText[words.kind as 'tooLong' | 'broken']
  return (
    <>
      {layout === '' ? null : <Fractions text={`, ${layout}`} />}
      <br />
      {standing ? (
        <Standing $done={standing.done}>
          {standing.done ? '✓ ' : ''}
          {standing.text}
        </Standing>
      ) : (
        '\u00a0'
      )}
    </>
  )
}

/** A wall of the job: its small drawing, its name, where it stands, and what can be done with it. */
export function WallCard({
  jobId,
  wall,
  words,
}: {
  jobId: string
  wall: WallOnJob
  words: Promise<Readonly<Record<string, WallWords>>> | null
}) {
  const fetcher = useFetcher<{ full?: string }>()
  const send = (fields: Record<string, string>) =>
    void fetcher.submit({ wallId: wall.id, ...fields }, { method: 'post' })
  const may = useMay()
  const { picture } = wall
  const path = `/jobs/${jobId}/walls/${wall.id}`
  const open = `${path}/${wall.toMeasure ? 'measure' : may('jobs') ? 'layout' : 'mark'}`
  return (
    <Item>
      {/* the name beside it is the same link */}
      <Drawing to={open} tabIndex={-1} aria-hidden="true">
        {picture ? (
          <img
            src={`${path}/picture.svg?v=${picture.version}`}
            width={picture.width}
            height={picture.height}
            loading="lazy"
            alt=""
          />
        ) : null}
      </Drawing>
      <div>
        {wall.archived ? <Soft>{wall.name}, put away</Soft> : <Link to={open}>{wall.name}</Link>}
        {fetcher.data?.full ? <Alert role="alert">{fetcher.data.full}</Alert> : null}
        <Soft>
          {wall.size ? <Fractions text={wall.size} /> : null}
          {wall.words ? (
            <Said wall={wall} words={wall.words} />
          ) : (
            <Suspense fallback={<Said wall={wall} words={null} />}>
              <Await
                resolve={words}
                // walls that take too long to plan are opened all the same
                errorElement={<Said wall={wall} words={null} />}
              >
                {(said) => <Said wall={wall} words={said?.[wall.id] ?? null} />}
              </Await>
            </Suspense>
          )}
        </Soft>
        {may('jobs') ? (
          <Tools>
            <RenameHere
              what={wall.name}
              name={wall.name}
              action={`/jobs/${jobId}`}
              fields={{ intent: 'renameWall', wallId: wall.id }}
            />
            <Tip text={`Duplicate ${wall.name}`}>
              <Button
                $kind="quiet"
                aria-label={`Duplicate ${wall.name}`}
                onPress={() => send({ intent: 'duplicateWall' })}
              >
                <Copy size={18} aria-hidden />
              </Button>
            </Tip>
            <Tip text={wall.archived ? `Bring ${wall.name} back` : `Put ${wall.name} away`}>
              <Button
                $kind="quiet"
                aria-label={wall.archived ? `Bring ${wall.name} back` : `Put ${wall.name} away`}
                onPress={() => send({ intent: wall.archived ? 'restoreWall' : 'archiveWall' })}
              >
                {wall.archived ? <ArchiveRestore size={18} aria-hidden /> : <Archive size={18} aria-hidden />}
              </Button>
            </Tip>
          </Tools>
        ) : null}
      </div>
    </Item>
  )
}
