import { styled } from 'styled-components'
import { narrow, space } from '~/ui/theme'

/** Walls of a job side by side on their floor line, so that one finds it by eye. */
const Line = styled.span`
  display: flex;
  align-items: end;
  gap: ${space.s};
  height: 52px;
  overflow: hidden;
  border-bottom: 2px solid var(--rod-edge);
  & img {
    display: block;
    flex: 0 1 auto;
    min-width: 0;
    max-width: 104px;
    max-height: 50px;
    width: auto;
    height: auto;
  }
  ${narrow} {
    grid-column: 1 / -1;
  }
`

export function JobPictures({
  jobId,
  walls,
}: {
  jobId: string
  walls: readonly { readonly id: string; readonly version: string }[]
}) {
  return (
    <Line aria-hidden="true">
      {walls.map(({ id, version }) => (
        <img key={id} src={`/jobs/${jobId}/walls/${id}/picture.svg?v=${version}`} loading="lazy" alt="" />
      ))}
    </Line>
  )
}
