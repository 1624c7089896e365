import { styled } from 'styled-components'
import { narrow } from '~/ui/theme'

/** Walls of a job side by side on their floor line, so that one finds it by eye. */
const Line = styled.span`
  display: flex;
  align-items: end;
  height: 52px;
  overflow: hidden;
  border-bottom: 2px solid var(--rod-edge);
  & img {
    display: block;
    max-width: 100%;
    max-height: 50px;
  }
  ${narrow} {
    grid-column: 1 / -1;
  }
`

export function JobPictures({ jobId, version }: { jobId: string; version: string | null }) {
  return (
    <Line aria-hidden="true">
      {version === null ? null : (
        <img src={`/jobs/${jobId}/picture.svg?v=${version}`} loading="lazy" alt="" />
      )}
    </Line>
  )
}
